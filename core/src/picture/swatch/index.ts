export {
  swatchColor,
  SWATCH_WARNINGS,
  type SwatchInput,
  type SwatchWarning,
  type SwatchColor,
} from './swatch.ts';
