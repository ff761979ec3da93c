import { NINE_IN_TEN } from '../../base/statistics/index.ts';
import { spunMm } from '../../flow/film/index.ts';
import { layerAmounts } from '../amount/index.ts';
import type { Place } from '../plan/index.ts';
import { paintedArea, type SupportSize } from '../support/index.ts';
import { coveredOdds, logOdds, shareOfOdds, type CoverFacts } from './likeTheFilm.ts';
import { laidColors, petals, swiped, type CoverageInput, type Petal } from './reach.ts';

/** How much of the face the design will cover, as shares of it. */
export interface Coverage {
  readonly covered: number;
  /** Where it lies nine times in ten. */
  readonly low: number;
  readonly high: number;
  /** Where each petal ends, when the spinner stands still. */
  readonly petals: readonly Petal[];
}

/** Colors thinner than this break up rather than spread, mm (common practice). */
const THINNEST_MM = 0.25;
/** How far pours of one plan lie apart, sd of the log odds (an estimate); own pours narrow it: `judgement/cover`. */
const ARTIST_SD = 0.85;
/** Squares along the longer side in which the face is looked at. */
const SQUARES = 60;

/**
 * What will be covered by the design, and what stays negative space: as the rehearsal would find it (`coveredOdds`), from the puddles
 * and bands as they are laid, the petals as far as `reach` carries them, the paint there is and how much a spin thins it. What a card
 * draws over the rehearsal does not know: that is the union of what is laid and drawn.
 *
 * Law: an emulator of the film model; never wider than the paint reaches.
 *
 * @returns null when no color is laid
 * @throws InputError naming the field
 */
export function coverage(support: SupportSize, input: CoverageInput): Coverage | null {
  const laid = laidColors(input);
  const volumeMl = laid.reduce((sum, each) => sum + each.volumeMl, 0);
  if (volumeMl <= 0) return null;
  const blown = petals(input, laid);
  const flung = [...blown, ...swiped(input.plan, support)];
  const faceMm2 = 100 * paintedArea(support).faceCm2;
  const isCovered = (at: Place) =>
    laid.some(({ places, halfWidthMm }) => places.some((place) => isWithin(place, at, halfWidthMm))) ||
    flung.some((petal) => inPetal(petal, at));
  const before = shareOf(support, isCovered);
  const depthMm = (1000 * volumeMl) / Math.max(1, before * faceMm2);
  const wider = depthMm / spunFrom(input, depthMm);
  const most = Math.min(1, (1000 * volumeMl) / THINNEST_MM / faceMm2);
  const evenMm = (1000 * volumeMl) / faceMm2;
  const facts = { share: before, thinner: evenMm / spunFrom(input, evenMm) };
  const { odds, sd } = input.plan.settings.card
    ? { odds: logOdds(before * wider), sd: ARTIST_SD }
    : coveredOdds({ ...facts, ...paintFacts(input, support) });
  const apart = NINE_IN_TEN * Math.hypot(sd, ARTIST_SD);
  return {
    covered: Math.min(most, shareOfOdds(odds)),
    low: Math.min(most, shareOfOdds(odds - apart)),
    high: Math.min(most, shareOfOdds(odds + apart)),
    petals: blown.map((petal) => ({ ...petal, tip: outward(petal.tip, Math.sqrt(wider)) })),
  };

  /** The spinner turns about the middle of the support. */
  function outward({ x, y }: Place, by: number): Place {
    const middle = { x: support.widthMm / 2, y: support.heightMm / 2 };
    return { x: middle.x + (x - middle.x) * by, y: middle.y + (y - middle.y) * by };
  }
}

const IS_COLOR: readonly string[] = ['color', 'activator', 'swipe'];

/** What decides of the paint itself. */
function paintFacts(
  { plan, paints, blowers }: CoverageInput,
  support: SupportSize,
): Pick<CoverFacts, 'colorMm' | 'viscosityPaS' | 'hasPillow' | 'isPiled'> {
  const used = usedPaints(plan, paints);
  const colors = used.filter(({ role }) => IS_COLOR.includes(role));
  const colorMl = layerAmounts(support, plan, paints, blowers)
    .filter(({ cupId }) => colors.some(({ id }) => id === cupId))
    .reduce((sum, each) => sum + each.volumeMl, 0);
  const ln = colors.reduce((sum, { viscosityPaS }) => sum + Math.log(viscosityPaS), 0);
  return {
    colorMm: (10 * colorMl) / paintedArea(support).faceCm2,
    viscosityPaS: Math.exp(ln / Math.max(1, colors.length)),
    hasPillow: used.some(({ role }) => role === 'pillow'),
    isPiled: plan.stacks.some(({ layers }) => layers.length > 0),
  };
}

/** The paints of piles and ribbons. */
const usedPaints = (plan: CoverageInput['plan'], paints: CoverageInput['paints']): CoverageInput['paints'] =>
  paints.filter(({ id }) =>
    [...plan.stacks, ...plan.paths].some(({ layers }) => layers.some(({ cupId }) => cupId === id)),
  );

function spunFrom({ plan, paints }: CoverageInput, thicknessMm: number): number {
  const { spinRpm: rpm, spinSeconds: seconds } = plan.settings;
  const used = usedPaints(plan, paints);
  if (used.length === 0) return thicknessMm;
  const mean = (value: (paint: (typeof used)[number]) => number) =>
    used.reduce((sum, paint) => sum + value(paint), 0) / used.length;
  return spunMm({
    thicknessMm,
    viscosityPaS: Math.exp(mean(({ viscosityPaS }) => Math.log(viscosityPaS))),
    densityKgM3: 1000 * mean(({ densityGPerMl }) => densityGPerMl),
    rpm,
    seconds,
  });
}

/** Squares are counted by the thousand: without a root. */
const isWithin = (one: Place, other: Place, mm: number): boolean =>
  (one.x - other.x) ** 2 + (one.y - other.y) ** 2 <= mm * mm;

/** A petal is as wide as its puddle at the foot and half as wide at the tip. */
function inPetal({ from, tip, halfWidthMm }: Petal, at: Place): boolean {
  const [dx, dy] = [tip.x - from.x, tip.y - from.y];
  const squared = dx * dx + dy * dy;
  const along = squared === 0 ? 0 : ((at.x - from.x) * dx + (at.y - from.y) * dy) / squared;
  const part = Math.min(1, Math.max(0, along));
  const nearest = { x: from.x + dx * part, y: from.y + dy * part };
  return isWithin(nearest, at, halfWidthMm * (1 - part / 2));
}

function shareOf({ shape, widthMm, heightMm }: SupportSize, isCovered: (at: Place) => boolean): number {
  const step = Math.max(widthMm, heightMm) / SQUARES;
  const radius = widthMm / 2;
  let inside = 0;
  let covered = 0;
  for (let x = step / 2; x < widthMm; x += step) {
    for (let y = step / 2; y < heightMm; y += step) {
      if (shape === 'round' && Math.hypot(x - radius, y - radius) > radius) continue;
      inside += 1;
      if (isCovered({ x, y })) covered += 1;
    }
  }
  return covered / Math.max(1, inside);
}
