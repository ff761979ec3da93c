import { normalBelow } from '../../base/statistics/index.ts';
import type { ThickCup } from '../../paint/mix/index.ts';
import {
  LIMITS,
  NO_AIMS,
  windowFor,
  type Aims,
  type CupRole,
  type Technique,
  type ThicknessWindow,
} from '../../paint/stage/index.ts';

/** What comes of a cup that is poured outside its window. */
export type Consequence =
  | 'runs-off-the-colors'
  | 'colors-sink-into-it'
  | 'activator-sinks-into-it'
  | 'no-sheet'
  | 'does-not-run-in-the-spin'
  | 'does-not-move-in-the-air'
  | 'cells-wreck'
  | 'does-not-blow-out'
  | 'slides-off-the-rest'
  | 'swiped-color-sinks'
  | 'drags-the-colors'
  | 'card-leaves-ridges';

/** What each finding is about: names, pascal seconds and ratios of viscosities. */
export interface ContrastFacts {
  /** Cups that lie, or may lie, outside their window with one consequence. */
  readonly outside: {
    readonly names: readonly string[];
    readonly side: 'thin' | 'thick';
    /** They lie outside for all that is known; else they may. */
    readonly isSure: boolean;
    readonly consequence: Consequence;
    readonly window: ThicknessWindow;
    readonly viscositiesPaS: readonly number[];
    /** Chance of each to lie outside, 0 to 1. */
    readonly chances: readonly number[];
  };
  readonly 'activator-thicker': ActivatorFacts;
  readonly 'activator-close': ActivatorFacts;
  /** The nearest color is given. */
  readonly 'activator-held': ActivatorFacts;
  /** Cups laid side by side are alike, and what their common thickness makes. */
  readonly alike: { readonly makes: 'separate' | 'spread' | 'swarms'; readonly ratio: number };
  readonly 'one-thinner': OddFacts;
  readonly 'one-thicker': OddFacts;
}
interface OddFacts {
  readonly name: string;
  readonly ratio: number;
  /** That it is off by more than counts as alike, 0 to 1. */
  readonly chance: number;
}
interface ActivatorFacts {
  readonly activator: string;
  readonly color: string;
  /** Activator to color. */
  readonly ratio: number;
  /** That what is said of them is so, 0 to 1. */
  readonly chance: number;
}
export type ContrastCode = keyof ContrastFacts;

/** `web/words/contrast` says it. */
export type ContrastFinding<Code extends ContrastCode = ContrastCode> = {
  readonly [Each in Code]: {
    readonly level: 'wrong' | 'look' | 'fine';
    readonly cupIds: readonly string[];
    readonly code: Each;
    readonly facts: ContrastFacts[Each];
  };
}[Code];

const LIKELY = 0.8;
const POSSIBLE = 0.25;
/** Of two cups from this chance on it is worth a look. */
const WORTH_A_LOOK = 0.4;

/** Thinner than these an alike set spreads wide, and thinner than those it swarms, in Pa·s (common practice). */
const SPREADS_BELOW_PAS = 0.65;
const SWARMS_BELOW_PAS = 0.42;

/**
 * What the thicknesses of a set mean when they are poured like this, worst first.
 *
 * Source: the trade's contrast rules (common practice, no published source); chances from each cup's spread.
 */
export function contrast(
  technique: Technique,
  cups: readonly ThickCup[],
  aims: Aims = NO_AIMS,
): ContrastFinding[] {
  const findings = [
    ...outsideFindings(technique, cups, aims),
    ...(technique === 'dutch' ? [] : aboveFindings(cups)),
    ...(technique === 'bloom' ? [] : sideBySide(cups)),
  ];
  const order = { wrong: 0, look: 1, fine: 2 };
  return findings.sort((a, b) => order[a.level] - order[b.level]);
}

/** How a cup lies to its window: which side it is out on, or may be, and how likely. */
interface Outside {
  readonly cup: ThickCup;
  readonly window: ThicknessWindow;
  readonly side: 'thin' | 'thick';
  readonly level: 'wrong' | 'look';
  readonly consequence: Consequence;
  readonly chance: number;
}

function outsideOf(technique: Technique, cup: ThickCup, aims: Aims): Outside | undefined {
  const window = windowFor(technique, cup.role, aims);
  if (!window) return undefined;
  const mean = Math.log(cup.viscosityPaS);
  const thin = normalBelow(Math.log(window.thinPaS), mean, cup.spreadLn);
  const thick = 1 - normalBelow(Math.log(window.thickPaS), mean, cup.spreadLn);
  const side = thin > thick ? 'thin' : 'thick';
  const chance = Math.max(thin, thick);
  const outside = cup.viscosityPaS < window.thinPaS || cup.viscosityPaS > window.thickPaS;
  if (!outside && chance < POSSIBLE) return undefined;
  const level = outside && chance >= LIKELY ? 'wrong' : 'look';
  return { cup, window, side, level, consequence: CONSEQUENCES[technique][side](cup.role), chance };
}

/** One finding for all cups that lie out on the same side with the same consequence. */
function outsideFindings(technique: Technique, cups: readonly ThickCup[], aims: Aims): ContrastFinding[] {
  const groups = new Map<string, [Outside, ...Outside[]]>();
  for (const cup of cups) {
    const outside = outsideOf(technique, cup, aims);
    if (!outside) continue;
    const group = groups.get(`${outside.level} ${outside.consequence}`);
    if (group) group.push(outside);
    else groups.set(`${outside.level} ${outside.consequence}`, [outside]);
  }
  return [...groups.values()].map((group): ContrastFinding => {
    const [{ level, side, window, consequence }] = group;
    return {
      level,
      cupIds: group.map(({ cup }) => cup.id),
      code: 'outside',
      facts: {
        names: group.map(({ cup }) => cup.name),
        side,
        isSure: level === 'wrong',
        consequence,
        window,
        viscositiesPaS: group.map(({ cup }) => cup.viscosityPaS),
        chances: group.map(({ chance }) => chance),
      },
    };
  });
}

type BySide = Readonly<Record<'thin' | 'thick', (role: CupRole) => Consequence>>;
const SIDE_BY_SIDE: BySide = { thin: () => 'cells-wreck', thick: () => 'does-not-blow-out' };

const CONSEQUENCES: Readonly<Record<Technique, BySide>> = {
  bloom: {
    thin: (role) =>
      role === 'activator'
        ? 'runs-off-the-colors'
        : role === 'pillow'
          ? 'colors-sink-into-it'
          : 'activator-sinks-into-it',
    thick: (role) =>
      role === 'activator'
        ? 'no-sheet'
        : role === 'pillow'
          ? 'does-not-run-in-the-spin'
          : 'does-not-move-in-the-air',
  },
  dutch: SIDE_BY_SIDE,
  ring: SIDE_BY_SIDE,
  'lifted-cup': SIDE_BY_SIDE,
  radial: SIDE_BY_SIDE,
  swipe: {
    thin: (role) => (role === 'swipe' ? 'slides-off-the-rest' : 'swiped-color-sinks'),
    thick: (role) => (role === 'swipe' ? 'drags-the-colors' : 'card-leaves-ridges'),
  },
};

/** The thickness of activators and swiped colors against every color's. */
function aboveFindings(cups: readonly ThickCup[]): ContrastFinding[] {
  const colors = cups.filter((cup) => cup.role === 'color');
  return cups
    .filter((cup) => cup.role === 'activator' || cup.role === 'swipe')
    .flatMap((activator) => activatorFindings(activator, colors));
}

function activatorFindings(activator: ThickCup, colors: readonly ThickCup[]): ContrastFinding[] {
  const pairs = colors.map((color) => ({
    color,
    thicker: chanceAbove(activator, color, 1),
    close: chanceAbove(activator, color, LIMITS.activatorToColors.most),
    facts: {
      activator: activator.name,
      color: color.name,
      ratio: activator.viscosityPaS / color.viscosityPaS,
    },
  }));
  const doubted = pairs.flatMap(({ color, facts, thicker, close }): ContrastFinding[] => {
    const cupIds = [activator.id, color.id];
    if (thicker >= LIKELY) {
      return [{ level: 'wrong', cupIds, code: 'activator-thicker', facts: { ...facts, chance: thicker } }];
    }
    if (close < WORTH_A_LOOK) return [];
    return [{ level: 'look', cupIds, code: 'activator-close', facts: { ...facts, chance: close } }];
  });
  const [nearest] = pairs.sort((a, b) => b.facts.ratio - a.facts.ratio);
  if (doubted.length > 0 || !nearest) return doubted;
  const cupIds = [activator.id, ...colors.map(({ id }) => id)];
  const facts = { ...nearest.facts, chance: 1 - nearest.close };
  return [{ level: 'fine', cupIds, code: 'activator-held', facts }];
}

/** Chance that one cup is more than so many times as thick as another, by the spreads of both. */
function chanceAbove(one: ThickCup, other: ThickCup, ratio: number): number {
  const mean = Math.log(one.viscosityPaS / other.viscosityPaS);
  const spread = Math.hypot(one.spreadLn, other.spreadLn);
  return 1 - normalBelow(Math.log(ratio), mean, Math.max(1e-9, spread));
}

/** Cups laid side by side are to be alike; what their common thickness makes. */
function sideBySide(cups: readonly ThickCup[]): ContrastFinding[] {
  const alike = cups.filter((cup) => cup.role === 'base' || cup.role === 'color');
  if (alike.length < 2) return [];
  const sorted = [...alike].sort((a, b) => a.viscosityPaS - b.viscosityPaS);
  const middle = Math.exp(alike.reduce((sum, cup) => sum + Math.log(cup.viscosityPaS), 0) / alike.length);
  const [thinnest, thickest] = [sorted[0]!, sorted[sorted.length - 1]!];
  const ratio = thickest.viscosityPaS / thinnest.viscosityPaS;
  if (ratio <= LIMITS.alikeRatio) {
    const cupIds = alike.map((cup) => cup.id);
    return [{ level: 'fine', cupIds, code: 'alike', facts: { makes: togetherMakes(middle), ratio } }];
  }
  const isThinOne = middle / thinnest.viscosityPaS > thickest.viscosityPaS / middle;
  const odd = isThinOne ? thinnest : thickest;
  const chance = chanceAbove(thickest, thinnest, LIMITS.alikeRatio);
  return [
    {
      level: ratio > LIMITS.alikeRatio ** 2 && chance >= LIKELY ? 'wrong' : 'look',
      cupIds: [odd.id],
      code: isThinOne ? 'one-thinner' : 'one-thicker',
      facts: { name: odd.name, ratio, chance },
    },
  ];
}

const togetherMakes = (viscosityPaS: number): ContrastFacts['alike']['makes'] =>
  viscosityPaS >= SPREADS_BELOW_PAS ? 'separate' : viscosityPaS >= SWARMS_BELOW_PAS ? 'spread' : 'swarms';
