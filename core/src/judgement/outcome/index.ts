export { FAULT_KINDS, FAULTS, fault, type FaultKind } from './faults.ts';
export { pourRecordOf, type ComparedPiece } from './fromPiece.ts';
export { shownPhoto, speakingPhoto } from './speakingPhoto.ts';
export type { BlownPass, Outcome, PouredCup, PourRecord } from './record.ts';
export type { Measure } from './measure.ts';
export {
  photoNumbers,
  PHOTO_QUANTITY_KEYS,
  photoQuantity,
  type PhotoNumbers,
  type PhotoQuantityKey,
} from './photoQuantities.ts';
