/** Cup sizes that are usual on the table, ml. */
const CAPACITIES_ML = [60, 150, 250, 500, 1000, 2000, 5000];
const ROOM_TO_STIR = 0.85;
const TAPER = 0.74;
const SLENDERNESS = 2.1;

/** A straight-sided tapering cup; lengths in centimeters. */
export interface CupShape {
  readonly capacityMl: number;
  readonly topRadiusCm: number;
  readonly bottomRadiusCm: number;
  readonly heightCm: number;
}

/** The smallest usual cup that holds a volume with room to stir. */
export function cupFor(volumeMl: number): CupShape {
  const capacityMl =
    CAPACITIES_ML.find((capacity) => capacity * ROOM_TO_STIR >= volumeMl) ??
    Math.ceil(volumeMl / ROOM_TO_STIR);
  const perRadius3 = ((Math.PI * SLENDERNESS) / 3) * (1 + TAPER + TAPER ** 2);
  const topRadiusCm = Math.cbrt(capacityMl / perRadius3);
  return {
    capacityMl,
    topRadiusCm,
    bottomRadiusCm: TAPER * topRadiusCm,
    heightCm: SLENDERNESS * topRadiusCm,
  };
}

/**
 * How high a volume stands in a cup, in centimeters: the frustum's volume solved for its height.
 *
 * @param volumeMl 0 up to the capacity; more is drawn at the brim
 */
export function levelCm(shape: CupShape, volumeMl: number): number {
  const { topRadiusCm: top, bottomRadiusCm: bottom, heightCm } = shape;
  const widening = (top - bottom) / heightCm;
  const radius = Math.cbrt(bottom ** 3 + (3 * widening * Math.max(0, volumeMl)) / Math.PI);
  return Math.min(heightCm, (radius - bottom) / widening);
}

export interface CupLayer {
  readonly id: string;
  readonly label: string;
  /** The word that is written beside the grams. */
  readonly role: string;
  readonly colorHex: string;
  readonly mg: number;
  readonly volumeMl: number;
  readonly state: 'in' | 'toCome';
}

export interface DrawnLayer extends CupLayer {
  readonly path: string;
  readonly middleY: number;
  readonly edgeX: number;
  readonly labelY: number;
}

export const LABEL_PX = 15;
/** Width kept beside a cup for its labels, px: grams and what it is. */
export const BESIDE_PX = 104;
/** Least width of labels that stand over a cup, px. */
export const OVER_PX = 96;

/**
 * Lays ingredients into a drawn cup from the bottom up and finds a place for each label beside it.
 *
 * @param pxPerCm the scale of the drawing; x is 0 at the cup's left rim, y at its brim
 */
export function drawLayers(shape: CupShape, layers: readonly CupLayer[], pxPerCm: number): DrawnLayer[] {
  const height = shape.heightCm * pxPerCm;
  const center = shape.topRadiusCm * pxPerCm;
  const radiusAt = (level: number) =>
    (shape.bottomRadiusCm + ((shape.topRadiusCm - shape.bottomRadiusCm) * level) / shape.heightCm) * pxPerCm;
  let filledMl = 0;
  const drawn = layers.map((layer) => {
    const from = levelCm(shape, filledMl);
    filledMl += layer.volumeMl;
    const to = levelCm(shape, filledMl);
    const [low, high] = [height - from * pxPerCm, height - to * pxPerCm];
    const [narrow, wide] = [radiusAt(from), radiusAt(to)];
    const path = `M${center - narrow} ${low}L${center - wide} ${high}L${center + wide} ${high}L${center + narrow} ${low}Z`;
    return {
      ...layer,
      path,
      middleY: (low + high) / 2,
      edgeX: center + (narrow + wide) / 2,
      labelY: (low + high) / 2,
    };
  });
  return spreadLabels(drawn, height);
}

/** Pushes labels apart, bottom up, so that none covers another. */
function spreadLabels(layers: readonly DrawnLayer[], bottom: number): DrawnLayer[] {
  let limit = bottom;
  return layers.map((layer) => {
    const labelY = Math.min(layer.labelY, limit);
    limit = labelY - LABEL_PX;
    return { ...layer, labelY };
  });
}
