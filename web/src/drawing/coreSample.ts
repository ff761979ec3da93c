import type { CoreSample, SampleLayer } from '@icy-ribbon/core/piece/stack';

export interface DrawnSampleLayer {
  readonly key: string;
  readonly layer: SampleLayer;
  readonly path: string;
  /** Top and bottom in the middle, px from the top of the drawing. */
  readonly top: number;
  readonly bottom: number;
  readonly labelY: number;
}

export interface DrawnSample {
  readonly layers: readonly DrawnSampleLayer[];
  readonly pxPerMm: number;
  /** The support's surface, px from the top. */
  readonly floor: number;
  readonly dent: string | null;
}

const LABEL_PX = 34;
const STEPS = 24;
const HEADROOM = 1.12;

/**
 * A core sample drawn to scale: thickness upward in one scale, width in another; each puddle ends in the
 * round shoulder of a spreading puddle, (1 - s^2)^(1/3).
 *
 * @param dentMm what the air presses into its top
 */
export function drawSample(
  sample: CoreSample,
  box: { readonly width: number; readonly height: number },
  dentMm: number,
): DrawnSample {
  const pxPerMm = box.height / (Math.max(1, sample.heightMm) * HEADROOM);
  const widest = Math.max(
    1,
    ...sample.layers.map(({ radiusMm }) => (Number.isFinite(radiusMm) ? radiusMm : 0)),
  );
  const pxPerRadius = box.width / 2 / widest;
  const floor = box.height;
  const middle = box.width / 2;
  // Height of the pile so far at each step from the middle outward, as shares of the widest puddle.
  const pile = Array.from({ length: STEPS + 1 }, () => 0);
  let underMm = 0;
  const drawn = sample.layers.map((layer, index) => {
    const before = [...pile];
    pile.forEach((_, step) => {
      const s = (step / STEPS) * (widest / layer.radiusMm);
      const shape = Number.isFinite(layer.radiusMm) ? Math.cbrt(Math.max(0, 1 - s * s)) : 1;
      pile[step] = before[step]! + layer.thicknessMm * shape;
    });
    const x = (step: number) => (step / STEPS) * widest * pxPerRadius;
    const edge = (heights: readonly number[], side: 1 | -1) =>
      heights.map(
        (mm, step) => `${(middle + side * x(step)).toFixed(1)} ${(floor - mm * pxPerMm).toFixed(1)}`,
      );
    const upper = [...edge(pile, -1).toReversed(), ...edge(pile, 1).slice(1)];
    const lower = [...edge(before, 1).toReversed(), ...edge(before, -1).slice(1)];
    const bottom = floor - underMm * pxPerMm;
    underMm += layer.thicknessMm;
    return {
      key: layer.layerId ?? `base${index}`,
      layer,
      path: `M${[...upper, ...lower].join('L')}Z`,
      top: floor - underMm * pxPerMm,
      bottom,
      labelY: floor - (underMm - layer.thicknessMm / 2) * pxPerMm,
    };
  });
  return {
    layers: spread(drawn, box.height),
    pxPerMm,
    floor,
    dent:
      dentMm > 0 && sample.heightMm > 0
        ? dentPath(sample, dentMm, middle, floor, pxPerMm, pxPerRadius)
        : null,
  };
}

/** Labels from the bottom up, none over another, none out of the drawing. */
function spread(layers: readonly DrawnSampleLayer[], height: number): DrawnSampleLayer[] {
  let limit = height - 8;
  const placed = layers.map((layer) => {
    const labelY = Math.min(layer.labelY, limit);
    limit = labelY - LABEL_PX;
    return { ...layer, labelY };
  });
  const over = 14 - Math.min(14, ...placed.map(({ labelY }) => labelY));
  if (over <= 0) return placed;
  let ceiling = 14;
  return placed
    .toReversed()
    .map((layer) => {
      const labelY = Math.max(ceiling, layer.labelY);
      ceiling = labelY + LABEL_PX;
      return { ...layer, labelY };
    })
    .toReversed();
}

/** The dish that the air presses into the top of the pile. */
function dentPath(
  sample: CoreSample,
  dentMm: number,
  middle: number,
  floor: number,
  pxPerMm: number,
  pxPerRadius: number,
): string {
  const top = floor - sample.heightMm * pxPerMm;
  const deep = Math.min(sample.heightMm, dentMm) * pxPerMm;
  const half = Math.max(16, 10 * pxPerRadius);
  return `M${middle - half} ${top}C${middle - half / 2} ${top} ${middle - half / 2} ${top + deep} ${middle} ${top + deep}S${middle + half / 2} ${top} ${middle + half} ${top}`;
}
