export {
  resinAmounts,
  USUAL_COAT,
  USUAL_KIT,
  type ResinAmounts,
  type ResinCoat,
  type ResinRatio,
} from './resin.ts';
