export {
  CROP_CRITERIA,
  cropBench,
  findCrops,
  judgeCrop,
  overlap,
  type Crop,
  type CropBench,
  type CropCriterion,
  type CropGround,
  type Part,
} from './crop.ts';
export { withJpegDensity, withPngDensity } from './density.ts';
export { faceAtAGlance, type LabelledFace } from './face.ts';
