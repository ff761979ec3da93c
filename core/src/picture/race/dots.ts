import { oklabInto } from '../../paint/color/oklab.ts';
import { median } from '../quantile.ts';
import type { LaidFace } from '../coat/index.ts';

/** A dot of paint at the start line. */
export interface Dot {
  /** First and last pixel of it along the start line. */
  readonly left: number;
  readonly right: number;
  /** Its color over that of the coat: red, green, blue. */
  readonly ratio: readonly [number, number, number];
}

/** The start line is as deep as this for finding dots, mm to each side. */
const BAND_MM = 2.5;
/** Paint at the line differs from the coat by at least this, in OKLab, after a mean over the band. */
const DIFFERS = 0.018;
/** Columns are a mean over so much of the line, mm; holes no wider than this lie inside a dot. */
const SMOOTH_MM = 0.7;
const HOLE_MM = 1.5;
/** A dot is as wide as this, mm. */
const LEAST_MM = 2.5;
const MOST_MM = 45;
/** The rim of the card, whose corners are never found to the pixel, mm. */
const RIM_MM = 1.5;

/** Dots on the start line, from left to right. */
export function dotsOn(card: LaidFace, startLineMm: number): Dot[] {
  const { width, pxPerMm } = card;
  const far = columnsOf(card, startLineMm);
  const rim = Math.ceil(RIM_MM * pxPerMm);
  const hole = Math.max(1, Math.round(HOLE_MM * pxPerMm));
  const dots: Dot[] = [];
  let from = -1;
  let last = -1;
  const close = () => {
    const wideMm = (last - from + 1) / pxPerMm;
    if (from >= 0 && wideMm >= LEAST_MM && wideMm <= MOST_MM) {
      dots.push({ left: from, right: last, ratio: colorOf(card, startLineMm, from, last) });
    }
    from = -1;
  };
  for (let x = rim; x < width - rim; x += 1) {
    if (far[x]! > DIFFERS) {
      if (from < 0) from = x;
      last = x;
    } else if (from >= 0 && x - last > hole) close();
  }
  close();
  return dots;
}

/** How far each column of the start line is from the bare coat; glare tells nothing. */
function columnsOf(card: LaidFace, startLineMm: number): Float32Array {
  const { width, ratio, glare, pxPerMm, coatLight } = card;
  const [top, bottom] = band(card, startLineMm);
  const around = Math.max(0, Math.round((SMOOTH_MM * pxPerMm - 1) / 2));
  const sums = new Float32Array(3 * width);
  const counts = new Float32Array(width);
  for (let y = top; y <= bottom; y += 1) {
    for (let x = 0; x < width; x += 1) {
      const at = y * width + x;
      if (glare[at]) continue;
      counts[x]! += 1;
      for (let channel = 0; channel < 3; channel += 1) sums[3 * x + channel]! += ratio[3 * at + channel]!;
    }
  }
  const far = new Float32Array(width);
  for (let x = 0; x < width; x += 1) {
    const mean = [0, 0, 0];
    let count = 0;
    for (let near = Math.max(0, x - around); near <= Math.min(width - 1, x + around); near += 1) {
      count += counts[near]!;
      for (let channel = 0; channel < 3; channel += 1) mean[channel]! += sums[3 * near + channel]!;
    }
    if (count > 0)
      far[x] = distanceFromCoat(mean.map((sum) => sum / count) as [number, number, number], coatLight);
  }
  return far;
}

function band({ height, pxPerMm }: LaidFace, startLineMm: number): [number, number] {
  const clamp = (mm: number) => Math.min(height - 1, Math.max(0, Math.round(mm * pxPerMm)));
  return [clamp(startLineMm - BAND_MM), clamp(startLineMm + BAND_MM)];
}

/** The middle color of a dot, its sides and what glare changes left out. */
function colorOf(card: LaidFace, startLineMm: number, left: number, right: number): Dot['ratio'] {
  const [top, bottom] = band(card, startLineMm);
  const inset = Math.floor((right - left) / 4);
  const seen: number[][] = [[], [], []];
  const veiled: number[][] = [[], [], []];
  for (let y = top; y <= bottom; y += 1) {
    for (let x = left + inset; x <= right - inset; x += 1) {
      const at = y * card.width + x;
      const list = card.nearGlare[at] ? veiled : seen;
      for (let channel = 0; channel < 3; channel += 1) list[channel]!.push(card.ratio[3 * at + channel]!);
    }
  }
  const from = seen[0]!.length >= 12 ? seen : veiled;
  return from.map((values) => median(values)) as unknown as Dot['ratio'];
}

/** OKLab of a color that is given as its share of the coat's light. */
export function labOf([r, g, b]: Rgb, [coatR, coatG, coatB]: Rgb): Float32Array {
  const lab = new Float32Array(3);
  oklabInto(r * coatR, g * coatG, b * coatB, lab, 0);
  return lab;
}

type Rgb = readonly [number, number, number];

function distanceFromCoat(ratio: Rgb, coatLight: Rgb): number {
  const [lab, coat] = [labOf(ratio, coatLight), labOf([1, 1, 1], coatLight)];
  return Math.hypot(lab[0]! - coat[0]!, lab[1]! - coat[1]!, lab[2]! - coat[2]!);
}
