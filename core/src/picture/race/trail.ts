import { median } from '../quantile.ts';
import type { LaidFace } from '../coat/index.ts';
import type { Dot } from './dots.ts';

/** A trail of paint from the start line down a card. */
export interface Trail {
  /** Where it crosses the start line, and its tip, mm from the card's top left corner. */
  readonly from: readonly [number, number];
  readonly to: readonly [number, number];
  /** From the start line to the tip, down the card. */
  readonly lengthMm: number;
  readonly widthMm: number;
  /** How unsure the length is, mm. */
  readonly sdMm: number;
  /** Whether its tip lies at the card's own edge: it may have run on. */
  readonly isCut: boolean;
  /** Whether glare lies over its tip. */
  readonly isGlared: boolean;
  /** First and last pixel of each row from the start line on. */
  readonly rows: readonly (readonly [left: number, right: number])[];
}

/** More than one half of the way from coat to paint is paint; farther aside than this share of it is another color. */
const HALF = 0.5;
const ASIDE = 0.6;
/** Glare across a trail is crossed for this long, mm. */
const GAP_MM = 16;
/** Narrower than this share of its usual width a trail is a drip that ran on alone. */
const DRIP = 0.35;
/** A round tip is narrower than that only over this share of its width. */
const ROUND_TIP = (1 - Math.sqrt(1 - DRIP ** 2)) / 2;
const TIP = 0.3;
/** How exactly a tip can be read: pixels of the photo, and the shadow at the paint's edge, mm; under glare, mm. */
const TIP_PX = 1;
const TIP_MM = 0.12;
const GLARED_MM = 1.5;
const RIM_MM = 1.6;

/**
 * Follows a dot down the card, row by row, to its tip.
 *
 * Law: a pixel is paint when it lies more than one half of the way from the coat to the dot's own color, in linear light; a trail is what hangs together
 * with its dot, rows under glare crossed.
 */
export function trailFrom(card: LaidFace, dot: Dot, startLineMm: number): Trail {
  const { width, height, pxPerMm } = card;
  const paint = paintOf(card, dot);
  const top = Math.round(startLineMm * pxPerMm - 0.5);
  const rows: [number, number][] = [];
  const wide: number[] = [];
  let [left, right] = [dot.left, dot.right];
  let gap = 0;
  let last = 0;
  for (let y = top; y < height; y += 1) {
    const reach = 1 + Math.round(0.2 * gap);
    const found = sectionOf(card, paint, y, Math.max(0, left - reach), Math.min(width - 1, right + reach));
    if (found) {
      [left, right] = [found.left, found.right];
      last = y - top;
      gap = 0;
    } else {
      gap += 1;
      if (gap > GAP_MM * pxPerMm || !isGlared(card, y, left, right)) break;
    }
    rows.push([left, right]);
    wide.push(found?.paint ?? 0);
  }
  const usual = median(wide.filter((each) => each > 0));
  let core = wide.length - 1;
  while (core > 0 && wide[core]! < DRIP * usual) core -= 1;
  const isDrip = last - core > TIP * usual;
  const [tipLeft, tipRight] = rows[isDrip ? core : last] ?? [dot.left, dot.right];
  const tipX = (tipLeft + tipRight + 1) / 2;
  const tipY = isDrip
    ? top + core + 1 + ROUND_TIP * usual
    : top + last + 0.5 + beyond(paint, width, top + last, tipLeft, tipRight);
  const glared = around(card, tipX, tipY, usual / 2);
  return {
    from: [(dot.left + dot.right + 1) / 2 / pxPerMm, startLineMm],
    to: [tipX / pxPerMm, tipY / pxPerMm],
    lengthMm: Math.max(0, tipY / pxPerMm - startLineMm),
    widthMm: usual / pxPerMm,
    sdMm: Math.hypot(TIP_PX / card.photoPxPerMm, TIP_MM, glared ? GLARED_MM : 0),
    isCut: tipY > height - RIM_MM * pxPerMm,
    isGlared: glared,
    rows,
  };
}

/** How far on the way from the coat to the paint a pixel is; 0 of what is another color. */
type Paint = (at: number) => number;

function paintOf({ ratio }: LaidFace, dot: Dot): Paint {
  const [r, g, b] = [dot.ratio[0] - 1, dot.ratio[1] - 1, dot.ratio[2] - 1];
  const square = r * r + g * g + b * b;
  const most = ASIDE * ASIDE * square;
  return (at) => {
    const [x, y, z] = [ratio[3 * at]! - 1, ratio[3 * at + 1]! - 1, ratio[3 * at + 2]! - 1];
    const share = (x * r + y * g + z * b) / square;
    const aside = x * x + y * y + z * z - share * share * square;
    return aside > most * Math.max(1, share * share) ? 0 : share;
  };
}

/** The run of paint in a row that hangs together with the row above; holes under glare lie inside it. */
function sectionOf(
  { width, glare, pxPerMm }: LaidFace,
  paint: Paint,
  y: number,
  left: number,
  right: number,
): { readonly left: number; readonly right: number; readonly paint: number } | undefined {
  const row = y * width;
  const is = (x: number) => paint(row + x) > HALF;
  const hole = Math.max(1, Math.round(0.5 * pxPerMm));
  let best: { left: number; right: number; paint: number } | undefined;
  for (let x = left; x <= right; x += 1) {
    if (!is(x)) continue;
    let [first, end] = [x, x];
    let count = 1;
    while (first > 0 && is(first - 1)) {
      first -= 1;
      count += 1;
    }
    for (let next = x + 1, missed = 0; next < width && missed <= hole; next += 1) {
      if (is(next)) {
        end = next;
        count += 1 + (glare[row + next - 1] ? missed : 0);
        missed = 0;
      } else if (!glare[row + next]) missed += 1;
      else if (next > right) break;
    }
    if (!best || count > best.paint) best = { left: first, right: end, paint: count };
    x = end;
  }
  return best;
}

/** Whether what hides a row may be glare. */
function isGlared({ width, nearGlare }: LaidFace, y: number, left: number, right: number): boolean {
  let count = 0;
  for (let x = left; x <= right; x += 1) count += nearGlare[y * width + x]!;
  return count > 0.3 * (right - left + 1);
}

/** How far below its last row's middle the tip lies, between two rows where the paint ends at one half. */
function beyond(paint: Paint, width: number, y: number, left: number, right: number): number {
  let most = 0;
  for (let x = left; x <= right; x += 1) {
    const inside = paint(y * width + x);
    const outside = paint((y + 1) * width + x);
    if (inside > HALF && outside < HALF) most = Math.max(most, (inside - HALF) / (inside - outside));
  }
  return most;
}

function around(
  { width, height, nearGlare, pxPerMm }: LaidFace,
  x: number,
  y: number,
  half: number,
): boolean {
  let [count, all] = [0, 0];
  const reach = Math.max(half, 1.5 * pxPerMm);
  for (let row = Math.floor(y - reach); row <= y + reach; row += 1) {
    for (let column = Math.floor(x - reach); column <= x + reach; column += 1) {
      if (row < 0 || column < 0 || row >= height || column >= width) continue;
      all += 1;
      count += nearGlare[row * width + column]!;
    }
  }
  return count > 0.12 * all;
}
