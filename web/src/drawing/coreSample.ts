import type { CoreSample, SampleLayer } from '@icy-ribbon/core/piece/stack';

export interface DrawnSampleLayer {
  readonly key: string;
  readonly layer: SampleLayer;
  /** Top and bottom, px from the top of the drawing. */
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

const LABEL_PX = 50;
const STEPS = 24;
const HEADROOM = 1.06;

/**
 * The middle of a pile as a drill would lift it out: a straight column, thickness to scale.
 *
 * @param box px
 * @param dentMm what the air presses into its top
 */
export function drawColumn(
  sample: CoreSample,
  box: { readonly width: number; readonly height: number },
  dentMm: number,
): DrawnSample {
  const pxPerMm = box.height / (Math.max(1, sample.heightMm) * HEADROOM);
  const floor = box.height;
  let underMm = 0;
  const drawn = sample.layers.map((layer, index) => {
    const bottom = floor - underMm * pxPerMm;
    underMm += layer.thicknessMm;
    return {
      key: layer.layerId ?? `base${index}`,
      layer,
      top: floor - underMm * pxPerMm,
      bottom,
      labelY: floor - (underMm - layer.thicknessMm / 2) * pxPerMm,
    };
  });
  const deep = Math.min(sample.heightMm, dentMm) * pxPerMm;
  const top = floor - sample.heightMm * pxPerMm;
  return {
    layers: spread(drawn, box.height),
    pxPerMm,
    floor,
    dent: deep > 0 ? `M0 ${top}Q${box.width / 2} ${top + 2 * deep} ${box.width} ${top}` : null,
  };
}

/** Labels from the bottom up, none over another, none out of the drawing. */
function spread(layers: readonly DrawnSampleLayer[], height: number): DrawnSampleLayer[] {
  let limit = height - 24;
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

export interface Silhouette {
  readonly layers: readonly { readonly key: string; readonly path: string; readonly colorHex: string }[];
  /** Of the widest puddle; what lies on the whole support has no width of its own. */
  readonly widthMm: number;
  readonly heightMm: number;
  /** Width and height of the drawing, px. */
  readonly width: number;
  readonly height: number;
  /** Ends of the pile on the floor, px. */
  readonly from: number;
  readonly to: number;
}

/** What lies under the pile is drawn so much wider than the pile. */
const AROUND = 1.15;

/**
 * A pile from the side, width and height in one scale: how flat it lies. Each puddle ends in the round shoulder
 * of a spreading puddle, (1 - s^2)^(1/3).
 *
 * @param box the most it may take, px
 */
export function drawSilhouette(
  sample: CoreSample,
  box: { readonly width: number; readonly height: number },
): Silhouette {
  const radii = sample.layers.map(({ radiusMm }) => radiusMm).filter(Number.isFinite);
  const widest = Math.max(1, ...radii);
  const scale = Math.min(box.width / (2 * AROUND * widest), box.height / Math.max(0.1, sample.heightMm));
  const [width, height] = [2 * AROUND * widest * scale, sample.heightMm * scale];
  const middle = width / 2;
  // Height of the pile so far at each step from the middle outward.
  const pile = Array.from({ length: STEPS + 1 }, () => 0);
  const outward = (step: number) => (step / STEPS) * AROUND * widest;
  const layers = sample.layers.map((layer, index) => {
    const before = [...pile];
    pile.forEach((_, step) => {
      const s = outward(step) / layer.radiusMm;
      pile[step] = before[step]! + layer.thicknessMm * Math.cbrt(Math.max(0, 1 - s * s));
    });
    const edge = (heights: readonly number[], side: 1 | -1) =>
      heights.map(
        (mm, step) =>
          `${(middle + side * outward(step) * scale).toFixed(1)} ${(height - mm * scale).toFixed(1)}`,
      );
    const upper = [...edge(pile, -1).toReversed(), ...edge(pile, 1).slice(1)];
    const lower = [...edge(before, 1).toReversed(), ...edge(before, -1).slice(1)];
    return {
      key: layer.layerId ?? `base${index}`,
      path: `M${[...upper, ...lower].join('L')}Z`,
      colorHex: layer.paint.colorHex,
    };
  });
  return {
    layers,
    widthMm: 2 * widest,
    heightMm: sample.heightMm,
    width,
    height,
    from: middle - widest * scale,
    to: middle + widest * scale,
  };
}
