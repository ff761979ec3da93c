import { LIMITS, windowFor } from '../../paint/stage/index.ts';
import { airTool } from '../../flow/air/index.ts';
import { rpmOfShear, spinShearPa } from '../../flow/film/index.ts';
import { driftPerSlope, dryingFilm } from '../drying/index.ts';
import { fallLine } from '../../piece/care/index.ts';
import { patchContrast } from '../../piece/repair/index.ts';
import { mudOf } from '../../piece/order/index.ts';
import { usualBaseMm } from '../../piece/amount/index.ts';
import type { FaultKind, PouredCup, PourRecord } from '../outcome/index.ts';
import { dentMm, depthMm, massMg, meanPaS, type Asked } from './asked.ts';
import type { CauseCode, Missing, Weighed } from './cause.ts';
import { beyond } from './weight.ts';

/** A usual cause: the faults it explains, and how the record of a pour weighs it. */
export interface CauseRow<Code extends CauseCode = CauseCode> {
  readonly code: Code;
  readonly explains: readonly FaultKind[];
  readonly weigh: (asked: Asked) => Weighed<Code>;
}

const row = <Code extends CauseCode>(
  code: Code,
  explains: readonly FaultKind[],
  weigh: (asked: Asked) => Weighed<Code>,
): CauseRow<Code> => ({ code, explains, weigh });

const missing = (what: Missing) => ({ missing: what });
const middleOf = ({ thinPaS, thickPaS }: { thinPaS: number; thickPaS: number }) =>
  Math.sqrt(thinPaS * thickPaS);

/** The usual causes as the trade tells them (common practice, no published source), each held against the record. */
export const CAUSE_ROWS = [
  row('colors-thick', ['not-moving'], ({ colors, pour }) => {
    const colorPaS = meanPaS(colors);
    const window = windowFor(pour.technique, 'color', pour.aims);
    if (colorPaS === undefined || !window) return missing('colors');
    const facts = { colorPaS, limitPaS: window.thickPaS, aimPaS: middleOf(window.aim) };
    return { weight: beyond(colorPaS, window.thickPaS), facts };
  }),

  row('activator-much', ['washed-out'], (asked) => dose(asked, (share, { most }) => beyond(share, most))),

  row('activator-little', ['no-lacing'], (asked) => dose(asked, (share, { least }) => beyond(least, share))),

  row('activator-thick', ['washed-out'], ({ isBloom, activator, colors }) => {
    if (!isBloom) return null;
    const [activatorPaS, colorPaS] = [meanPaS(activator), meanPaS(colors)];
    if (activatorPaS === undefined || colorPaS === undefined) return missing('activator');
    const { aim, most } = LIMITS.activatorToColors;
    return {
      weight: beyond(activatorPaS / colorPaS, most),
      facts: {
        activatorPaS,
        colorPaS,
        sank: activatorPaS > colorPaS,
        aimPaS: aim * colorPaS,
      },
    };
  }),

  row('air-dug', ['dented', 'mud'], ({ pour, pillow, ground, colors, depthMm: groundMm }) => {
    if (pour.passes.length === 0) return missing('passes');
    const viscosityPaS = meanPaS([...ground, ...colors]);
    if (groundMm === undefined || viscosityPaS === undefined) return missing('depth');
    const film = { depthMm: groundMm, viscosityPaS };
    const dents = pour.passes.map((pass, index) => ({ pass, index, mm: dentMm(pass, film) }));
    const worst = dents.reduce((a, b) => (b.mm > a.mm ? b : a));
    const { tool, distanceMm, slantDeg, seconds } = worst.pass;
    // Slanting air spreads a thin film that runs out before it: that is what a Dutch pour is blown for.
    const spreads = pillow.length === 0 && slantDeg <= LIMITS.spreadsBelowDeg;
    const weight = beyond(worst.mm, LIMITS.dentShare * groundMm);
    return {
      weight: spreads ? Math.min(SPREADING_WEIGHT, weight) : weight,
      facts: {
        pass: worst.index + 1,
        ...{ tool, distanceMm, slantDeg, seconds },
        straightDown: slantDeg >= LIMITS.straightDownDeg,
        dentMm: worst.mm,
        groundMm,
        aimDistanceMm: distanceMm * Math.max(1.3, Math.sqrt(worst.mm / groundMm)),
        aimSlantDeg: slantDeg > LIMITS.spreadsBelowDeg ? AIM_SLANT_DEG : null,
      },
    };
  }),

  row('pillow-thin', ['dented'], ({ isBloom, pillow, depthMm: groundMm }) => {
    if (!isBloom) return null;
    if (pillow.length === 0 || groundMm === undefined) return missing('pillow');
    const { least } = LIMITS.pillowMm;
    const aimMg = massMg(pillow) * Math.min(2, Math.max(1.2, least / groundMm));
    return { weight: beyond(least, groundMm), facts: { groundMm, aimMg } };
  }),

  row('color-heavy', ['sunk'], (asked) =>
    besideOthers(asked, (cup, others) => {
      const othersGPerMl = others.reduce((sum, other) => sum + other.densityGPerMl, 0) / others.length;
      const denser = cup.densityGPerMl / othersGPerMl - 1;
      const facts = { name: cup.name, gPerMl: cup.densityGPerMl, othersGPerMl };
      return { weight: (0.35 * denser) / LIMITS.denser, facts };
    }),
  ),

  row('color-thin', ['sunk', 'takes-over'], (asked) =>
    besideOthers(asked, (cup, others) => {
      const othersPaS = meanPaS(others)!;
      const facts = { name: cup.name, paS: cup.viscosityPaS, othersPaS };
      return { weight: beyond(othersPaS / cup.viscosityPaS, LIMITS.neighborRatio.most), facts };
    }),
  ),

  row('opaque-low', ['sunk'], ({ concerned, isBloom, pour }) => {
    if (!concerned) return missing('which-color');
    const { opacity, name, role } = concerned;
    if (!isBloom || opacity === null || role !== 'color') return null;
    const index = pour.order.indexOf(concerned.id);
    const isLow = index >= 0 && index < pour.order.length / 2;
    const facts = { name, opacity, place: index < 0 ? null : index + 1, of: pour.order.length };
    return { weight: opacity === 'opaque' && isLow ? 0.8 : 0.1, facts };
  }),

  row('color-little', ['sunk'], ({ concerned, colors }) => {
    if (!concerned) return missing('which-color');
    if (concerned.role !== 'color') return null;
    const total = massMg(colors);
    const equalShare = 1 / Math.max(1, colors.length);
    const share = concerned.laidMg / Math.max(1, total);
    const facts = { laidMg: concerned.laidMg, share, aimMg: total * equalShare };
    return { weight: beyond(LIMITS.littleOfColor * equalShare, share), facts };
  }),

  row('neighbors-muddy', ['mud'], ({ pour }) => {
    const laid = pour.order.map((id) => pour.cups.find((cup) => cup.id === id)).filter(isColor);
    const pairs = laid.slice(1).map((upper, index) => {
      const lower = laid[index]!;
      return { lower: lower.name, upper: upper.name, lost: mudOf(lower.colorHex, upper.colorHex) };
    });
    if (pairs.length === 0) return null;
    const { lower, upper, lost } = pairs.reduce((a, b) => (b.lost > a.lost ? b : a));
    return { weight: beyond(lost, LIMITS.neighborsLose.most), facts: { lower, upper, keptShare: 1 - lost } };
  }),

  row('overworked', ['mud'], ({ pour, airSeconds: seconds, workedDm2 }) => {
    if (pour.passes.length === 0) return missing('passes');
    const sPerDm2 = seconds / workedDm2;
    return { weight: beyond(sPerDm2, LIMITS.airSPerDm2.most), facts: { seconds, sPerDm2 } };
  }),

  row('over-thinned', ['mud', 'broken-film'], ({ colors }) => {
    if (colors.length === 0) return missing('colors');
    const usual = LIMITS.waterFraction;
    const asked = colors.map((cup) => {
      const most = cup.waterLimit ?? (cup.hasWeakBinder ? usual.mostWithWeakBinder : usual.most);
      return { ...cup, most, over: cup.waterFraction / most };
    });
    const { name, waterFraction, hasWeakBinder, most } = asked.reduce((a, b) => (b.over > a.over ? b : a));
    return { weight: beyond(waterFraction, most), facts: { name, waterFraction, hasWeakBinder, most } };
  }),

  row('air-narrow', ['wisps'], ({ pour: { passes } }) => {
    if (passes.length === 0) return missing('passes');
    const narrow = passes.filter(({ tool, exit }) => (exit ?? airTool(tool)).exitDiameterMm <= NARROW_MM);
    const facts = { tool: narrow[0]?.tool ?? null, passes: narrow.length };
    return { weight: narrow.length > 0 ? 0.7 : 0.1, facts };
  }),

  row('base-much', ['wells'], ({ pour, ground, pillow, wholeDm2 }) => {
    if (ground.length === 0 || pillow.length > 0) return pillow.length > 0 ? null : missing('base');
    const gPerDm2 = massMg(ground) / 1000 / wholeDm2;
    const usualGPerDm2 = usualBase(pour, ground);
    const ranOver = pour.blowTest?.runsOver ?? false;
    const weight = beyond(gPerDm2, LIMITS.baseMuch.most * usualGPerDm2);
    return {
      weight: ranOver ? Math.max(RAN_OVER_WEIGHT, weight) : weight,
      facts: { gPerDm2, usualGPerDm2, ranOver, aimMg: 1000 * usualGPerDm2 * wholeDm2 },
    };
  }),

  row('color-much', ['takes-over'], ({ concerned, colors }) => {
    if (!concerned) return missing('which-color');
    if (concerned.role !== 'color' || colors.length < 2) return null;
    const { name, laidMg } = concerned;
    const [total, equalShare] = [massMg(colors), 1 / colors.length];
    const share = laidMg / Math.max(1, total);
    return {
      weight: beyond(share, LIMITS.muchOfColor * equalShare),
      facts: { name, laidMg, share, aimMg: total * equalShare },
    };
  }),

  row('neon-bleeds', ['takes-over', 'mud'], ({ concerned, pinned, colors }) => {
    const neon = concerned ?? colors.find(({ finish }) => finish === 'neon');
    if (!neon) return pinned.kind === 'takes-over' ? missing('which-color') : null;
    const { name, finish } = neon;
    return finish === 'neon' ? { weight: 0.75, facts: { name, finish } } : null;
  }),

  row('under-activator', ['takes-over'], ({ concerned, isBloom, colors, pour }) => {
    if (!isBloom) return null;
    if (!concerned) return missing('which-color');
    const top = pour.order.findLast((id) => colors.some((cup) => cup.id === id));
    if (concerned.id !== top || colors.length < 2) return null;
    const share = concerned.laidMg / Math.max(1, massMg(colors));
    const equalShare = 1 / colors.length;
    return {
      weight: beyond(share, TOP_OF_EQUAL * equalShare),
      facts: { name: concerned.name, share, equalShare },
    };
  }),

  row('patch-contrast', ['patch-shows'], ({ pour: { repairs = 0, cups } }) => {
    const contrast = patchContrast(cups);
    if (repairs === 0 || !contrast) return missing('repair');
    const { difference } = contrast;
    return { weight: beyond(difference, LIMITS.patchDifference.shows), facts: { difference, repairs } };
  }),

  row('torched-late', ['specks'], ({ pour: { torchedAfterAir } }) => ({
    weight: torchedAfterAir ? 0.75 : 0.05,
    facts: { torchedAfterAir },
  })),

  row('silicone', ['specks', 'fish-eyes'], ({ pour: { cups } }) => {
    const names = cups.filter(({ hasSilicone, laidMg }) => hasSilicone && laidMg > 0).map(({ name }) => name);
    return { weight: names.length > 0 ? 0.7 : 0.05, facts: { names } };
  }),

  row('spun-fast', ['warped'], ({ pour }) => {
    const rpm = Math.max(0, ...pour.spins.map((spin) => spin.rpm));
    // All of it, as Plan's check has it.
    const film = rpm > 0 && dryingFilm({ ...pour, spins: [], flowersDm2: 0, onFace: [] });
    if (!film) return { weight: 0.02, facts: { rpm, mostRpm: LIMITS.spinRpm.most } };
    const radiusMm = Math.min(pour.support.widthMm, pour.support.heightMm) / 2;
    const at = { thicknessMm: film.thickMm, densityKgM3: 1000 * film.densityGPerMl, radiusMm };
    const { most } = LIMITS.spinShearPa;
    const mostRpm = Math.floor(rpmOfShear(at, most));
    return { weight: beyond(spinShearPa({ ...at, rpm }), most), facts: { rpm, mostRpm } };
  }),

  row('colors-unequal', ['broken-film', 'cracks'], ({ colors }) => {
    if (colors.length < 2) return null;
    const sorted = [...colors].sort((a, b) => a.viscosityPaS - b.viscosityPaS);
    const [thin, thick] = [sorted[0]!, sorted.at(-1)!];
    const ratio = thick.viscosityPaS / thin.viscosityPaS;
    const told = ({ name, viscosityPaS }: PouredCup) => ({ name, paS: viscosityPaS });
    return {
      weight: beyond(ratio, LIMITS.colorRatio.most),
      facts: { thick: told(thick), thin: told(thin), ratio },
    };
  }),

  row(
    'colors-thin',
    ['washed-out', 'mud', 'specks', 'warped', 'broken-film'],
    ({ colors, pour: { technique, aims } }) => {
      const colorPaS = meanPaS(colors);
      const window = windowFor(technique, 'color', aims);
      if (colorPaS === undefined || !window) return missing('colors');
      const facts = { technique, colorPaS, limitPaS: window.thinPaS, aimPaS: middleOf(window.aim) };
      return { weight: beyond(window.thinPaS, colorPaS), facts };
    },
  ),

  row(
    'base-little',
    ['not-moving', 'no-lacing', 'bare-corner'],
    ({ pour, ground, pillow, faceDm2, isBloom, workedDm2 }) => {
      if (ground.length === 0) return isBloom ? null : missing('base');
      // A pillow is judged where it lies: see "pillow-thin".
      if (pillow.length > 0) return null;
      const gPerDm2 = massMg(ground) / 1000 / (isBloom ? workedDm2 : faceDm2);
      const usualGPerDm2 = usualBase(pour, ground);
      return {
        weight: beyond(LIMITS.baseOfFilm.least * usualGPerDm2, gPerDm2),
        facts: { gPerDm2, usualGPerDm2, aimMg: 1000 * usualGPerDm2 * faceDm2 },
      };
    },
  ),

  row('air-little', ['not-moving', 'washed-out', 'no-lacing'], ({ pour, airSeconds: seconds, workedDm2 }) => {
    const passes = pour.passes.length;
    if (passes === 0) return missing('passes');
    const sPerDm2 = seconds / workedDm2;
    return { weight: beyond(LIMITS.airSPerDm2.least, sPerDm2), facts: { seconds, passes, sPerDm2 } };
  }),

  row('paint-much', ['cracks', 'moved-overnight', 'wells'], ({ pour: { cups }, faceDm2, wholeDm2 }) => {
    const isBase = ({ role }: PouredCup) => role === 'base';
    const others = cups.filter((cup) => !isBase(cup));
    const mm = depthMm(cups.filter(isBase), wholeDm2) + depthMm(others, faceDm2);
    if (mm === 0) return missing('laid');
    return { weight: beyond(mm, LIMITS.wetPaintMm.most), facts: { mm } };
  }),

  row('not-level', ['moved-overnight'], ({ pour }) => {
    if (!pour.level) return missing('level');
    const perSlope = driftPerSlope(pour);
    if (perSlope === null) return missing('laid');
    const { slopeMmPerM } = fallLine(pour.level);
    const driftMm = slopeMmPerM * perSlope;
    return { weight: beyond(driftMm, LIMITS.driftMm.most), facts: { slopeMmPerM, driftMm } };
  }),

  row('not-torched', ['pinholes'], ({ pour: { torches } }) => ({
    weight: torches === 0 ? 0.6 : 0.1,
    facts: { torches },
  })),

  row('mix-fresh', ['pinholes'], ({ colors }) => {
    const rests = colors.flatMap((cup) => (cup.restedHours === null ? [] : [cup.restedHours]));
    if (rests.length === 0) return missing('mixed-when');
    const restedHours = Math.min(...rests);
    const { least, aim } = LIMITS.restHours;
    return { weight: restedHours < least ? 0.5 : restedHours < aim ? 0.35 : 0.05, facts: { restedHours } };
  }),

  row('mica-coarse', ['grainy'], ({ colors }) => {
    const shiny = colors.filter(({ finish }) => finish !== null && finish !== 'plain' && finish !== 'neon');
    return {
      weight: shiny.length > 0 ? 0.4 : 0.05,
      facts: { names: shiny.map(({ name }) => name), finish: shiny[0]?.finish ?? null },
    };
  }),
] as const;

/** What no record of a pour tells, by the fault it may explain. */
export const NEVER_RECORDED: Readonly<Partial<Record<FaultKind, Missing>>> = {
  warped: 'level',
  cracks: 'ceiling-paint',
  crust: 'skin',
  'fish-eyes': 'top-coat',
  'bare-corner': 'corners',
};

/** The dose of activator in a bloom, weighed by its share of the colors. */
function dose(
  { isBloom, activator, colors }: Asked,
  weighShare: (share: number, usual: { readonly least: number; readonly most: number }) => number,
): Weighed<'activator-much'> {
  if (!isBloom) return null;
  const [activatorMg, colorMg] = [massMg(activator), massMg(colors)];
  if (activatorMg === 0 || colorMg === 0) return missing('activator-grams');
  const share = activatorMg / colorMg;
  // A double activator is two of them, each with twice the dose.
  const factor = activator.reduce((sum, cup) => sum + (cup.doseFactor ?? 0), 0) || 1;
  const { least, aim, most } = LIMITS.activatorShare;
  const usual = { least: factor * least, most: factor * most };
  const facts = { activatorMg, colorMg, share, ...usual, aimMg: factor * aim * colorMg };
  return { weight: weighShare(share, usual), facts };
}

/** A jet so wide and narrower draws threads, mm (common practice). */
const NARROW_MM = 6;
/** Paint that still ran over when the base was blown alone was too much. */
const RAN_OVER_WEIGHT = 0.7;
/** The color right under the activator is to be the smallest; so much more than an equal share takes over. */
const TOP_OF_EQUAL = 1.2;
/** A slant that spreads rather than digs. */
const AIM_SLANT_DEG = 30;
/** A dent in a film that is spread by slanting air explains little. */
const SPREADING_WEIGHT = 0.2;

const isColor = (cup: PouredCup | undefined): cup is PouredCup =>
  cup !== undefined && cup.role === 'color' && cup.laidMg > 0;

/** Grams on a square decimeter of face that a usual run-off leaves of bases as thick as these. */
function usualBase({ support }: PourRecord, ground: readonly PouredCup[]): number {
  const densityGPerMl = ground.reduce((sum, cup) => sum + cup.densityGPerMl, 0) / ground.length;
  const filmMm = usualBaseMm(support, { viscosityPaS: meanPaS(ground)!, densityGPerMl });
  return 10 * filmMm * densityGPerMl;
}

/** The color the fault was pinned on, held against the other colors. */
function besideOthers<Code extends CauseCode>(
  { concerned, colors }: Asked,
  weigh: (cup: PouredCup, others: readonly PouredCup[]) => Weighed<Code>,
): Weighed<Code> {
  if (!concerned) return missing('which-color');
  if (concerned.role !== 'color') return null;
  const others = colors.filter((cup) => cup.id !== concerned.id);
  return others.length === 0 ? null : weigh(concerned, others);
}
