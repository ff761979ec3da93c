import { windowFor } from '../../paint/stage/index.ts';
import type { FaultKind, PouredCup } from '../outcome/index.ts';
import { dentMm, depthMm, massMg, meanPaS, type Asked } from './asked.ts';
import type { CauseCode, Missing, Weighed } from './cause.ts';
import { beyond, LIMITS } from './limits.ts';

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
    const window = windowFor(pour.technique, 'color');
    if (colorPaS === undefined || !window) return missing('colors');
    const facts = { colorPaS, limitPaS: window.thickPaS, aimPaS: middleOf(window) };
    return { weight: beyond(colorPaS, window.thickPaS), facts };
  }),

  row('activator-much', ['washed-out'], (asked) =>
    dose(asked, (share) => beyond(share, LIMITS.activatorShare.most)),
  ),

  row('activator-little', ['no-lacing'], (asked) =>
    dose(asked, (share) => beyond(LIMITS.activatorShare.least, share)),
  ),

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
        aimPaS: Math.min(LIMITS.activatorAimPaS, aim * colorPaS),
      },
    };
  }),

  row('air-dug', ['dented', 'mud'], ({ pour, depthMm: groundMm }) => {
    if (pour.passes.length === 0) return missing('passes');
    if (groundMm === undefined) return missing('depth');
    const dents = pour.passes.map((pass, index) => ({ pass, index, mm: dentMm(pass) }));
    const worst = dents.reduce((a, b) => (b.mm > a.mm ? b : a));
    const { tool, distanceMm, slantDeg } = worst.pass;
    return {
      weight: beyond(worst.mm, LIMITS.dentShare * groundMm),
      facts: {
        pass: worst.index + 1,
        ...{ tool, distanceMm, slantDeg },
        straightDown: slantDeg >= LIMITS.straightDownDeg,
        dentMm: worst.mm,
        groundMm,
        aimDistanceMm: distanceMm * Math.max(1.3, Math.sqrt(worst.mm / groundMm)),
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

  row('color-thin', ['sunk'], (asked) =>
    besideOthers(asked, (cup, others) => {
      const othersPaS = meanPaS(others)!;
      const facts = { name: cup.name, paS: cup.viscosityPaS, othersPaS };
      return { weight: beyond(othersPaS / cup.viscosityPaS, LIMITS.neighborRatio.most), facts };
    }),
  ),

  row('opaque-low', ['sunk'], ({ concerned, isBloom, pour }) => {
    if (!concerned) return missing('which-color');
    const { opacity, name } = concerned;
    if (!isBloom || opacity === null) return null;
    const index = pour.order.indexOf(concerned.id);
    const isLow = index >= 0 && index < pour.order.length / 2;
    const facts = { name, opacity, place: index < 0 ? null : index + 1, of: pour.order.length };
    return { weight: opacity === 'opaque' && isLow ? 0.8 : 0.1, facts };
  }),

  row('color-little', ['sunk'], ({ concerned, colors }) => {
    if (!concerned) return missing('which-color');
    const total = massMg(colors);
    const equalShare = 1 / Math.max(1, colors.length);
    const share = concerned.laidMg / Math.max(1, total);
    const facts = { laidMg: concerned.laidMg, share, aimMg: total * equalShare };
    return { weight: beyond(LIMITS.littleOfColor * equalShare, share), facts };
  }),

  row('overworked', ['mud'], ({ pour, airSeconds: seconds, faceDm2 }) => {
    if (pour.passes.length === 0) return missing('passes');
    const sPerDm2 = seconds / faceDm2;
    return { weight: beyond(sPerDm2, LIMITS.airSPerDm2.most), facts: { seconds, sPerDm2 } };
  }),

  row('over-thinned', ['mud', 'broken-film'], ({ colors }) => {
    if (colors.length === 0) return missing('colors');
    const { name, waterFraction, hasWeakBinder } = colors.reduce((a, b) =>
      b.waterFraction > a.waterFraction ? b : a,
    );
    const { most, mostWithWeakBinder } = LIMITS.waterFraction;
    return {
      weight: beyond(waterFraction, hasWeakBinder ? mostWithWeakBinder : most),
      facts: { name, waterFraction, hasWeakBinder },
    };
  }),

  row('torched-late', ['specks'], ({ pour: { torchedAfterAir } }) => ({
    weight: torchedAfterAir ? 0.75 : 0.05,
    facts: { torchedAfterAir },
  })),

  row('spun-fast', ['warped'], ({ pour }) => {
    const rpm = Math.max(0, ...pour.spins.map((spin) => spin.rpm));
    return { weight: rpm === 0 ? 0.02 : beyond(rpm, LIMITS.spinRpm.most), facts: { rpm } };
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
    ({ colors, pour: { technique } }) => {
      const colorPaS = meanPaS(colors);
      const window = windowFor(technique, 'color');
      if (colorPaS === undefined || !window) return missing('colors');
      const facts = { technique, colorPaS, limitPaS: window.thinPaS, aimPaS: middleOf(window) };
      return { weight: beyond(window.thinPaS, colorPaS), facts };
    },
  ),

  row('base-little', ['not-moving', 'no-lacing'], ({ ground, faceDm2 }) => {
    if (ground.length === 0) return missing('base');
    const gPerDm2 = massMg(ground) / 1000 / faceDm2;
    const { least, aim } = LIMITS.baseGPerDm2;
    return { weight: beyond(least, gPerDm2), facts: { gPerDm2, aimMg: 1000 * aim * faceDm2 } };
  }),

  row('air-little', ['not-moving', 'washed-out', 'no-lacing'], ({ pour, airSeconds: seconds, faceDm2 }) => {
    const passes = pour.passes.length;
    if (passes === 0) return missing('passes');
    const sPerDm2 = seconds / faceDm2;
    return { weight: beyond(LIMITS.airSPerDm2.least, sPerDm2), facts: { seconds, passes, sPerDm2 } };
  }),

  row('paint-much', ['cracks', 'moved-overnight'], ({ pour, faceDm2 }) => {
    const mm = depthMm(pour.cups, faceDm2);
    if (mm === 0) return missing('laid');
    return { weight: beyond(mm, LIMITS.wetPaintMm.most), facts: { mm } };
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
      weight: shiny.length > 0 ? 0.6 : 0.05,
      facts: { names: shiny.map(({ name }) => name), finish: shiny[0]?.finish ?? null },
    };
  }),
] as const;

/** What no record of a pour tells, by the fault it may explain. */
export const NEVER_RECORDED: Readonly<Partial<Record<FaultKind, Missing>>> = {
  specks: 'silicone',
  warped: 'level',
  cracks: 'ceiling-paint',
  crust: 'skin',
  'moved-overnight': 'level',
  'fish-eyes': 'top-coat',
};

/** The dose of activator in a bloom, weighed by its share of the colors. */
function dose(
  { isBloom, activator, colors }: Asked,
  weighShare: (share: number) => number,
): Weighed<'activator-much'> {
  if (!isBloom) return null;
  const [activatorMg, colorMg] = [massMg(activator), massMg(colors)];
  if (activatorMg === 0 || colorMg === 0) return missing('activator-grams');
  const share = activatorMg / colorMg;
  const facts = { activatorMg, colorMg, share, aimMg: LIMITS.activatorShare.aim * colorMg };
  return { weight: weighShare(share), facts };
}

/** The color the fault was pinned on, held against the other colors. */
function besideOthers<Code extends CauseCode>(
  { concerned, colors }: Asked,
  weigh: (cup: PouredCup, others: readonly PouredCup[]) => Weighed<Code>,
): Weighed<Code> {
  if (!concerned) return missing('which-color');
  const others = colors.filter((cup) => cup.id !== concerned.id);
  return others.length === 0 ? null : weigh(concerned, others);
}
