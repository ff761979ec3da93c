import { normalBelow } from '../../base/statistics/index.ts';
import { windowFor, type CupRole, type Technique, type ThicknessWindow } from '../../paint/stage/index.ts';

export interface ContrastCup {
  readonly id: string;
  readonly name: string;
  readonly role: CupRole;
  readonly viscosityPaS: number;
  readonly spreadLn: number;
}

export interface ContrastFinding {
  readonly level: 'wrong' | 'look' | 'fine';
  readonly cupIds: readonly string[];
  /** What happens if it is poured like this, in the trade's words. */
  readonly words: string;
  /** The number behind it. */
  readonly because: string;
}

/** The activator is clearly thinner when it has at most this share of a color's viscosity. */
export const CLEARLY_THINNER = 0.5;
/** Cups of one thickness lie within this ratio: what a careful race leaves. */
export const ALIKE_RATIO = 1.35;
const LIKELY = 0.8;
const POSSIBLE = 0.25;

const paS = (value: number): string => `${value.toPrecision(2)} Pa·s`;

/**
 * What the thicknesses of a set mean when they are poured like this, worst first.
 *
 * Source: the trade's contrast rules (common practice, no published source); chances from each cup's spread.
 */
export function contrast(technique: Technique, cups: readonly ContrastCup[]): ContrastFinding[] {
  const findings = [
    ...outsideFindings(technique, cups),
    ...(technique === 'bloom' ? bloomFindings(cups) : sideBySide(cups)),
  ];
  const order = { wrong: 0, look: 1, fine: 2 };
  return findings.sort((a, b) => order[a.level] - order[b.level]);
}

/** How a cup lies to its window: which side it is out on, or may be, and how likely. */
interface Outside {
  readonly cup: ContrastCup;
  readonly window: ThicknessWindow;
  readonly side: 'thin' | 'thick';
  readonly level: 'wrong' | 'look';
  readonly chance: number;
}

function outsideOf(technique: Technique, cup: ContrastCup): Outside | undefined {
  const window = windowFor(technique, cup.role);
  if (!window) return undefined;
  const mean = Math.log(cup.viscosityPaS);
  const thin = normalBelow(Math.log(window.thinPaS), mean, cup.spreadLn);
  const thick = 1 - normalBelow(Math.log(window.thickPaS), mean, cup.spreadLn);
  const side = thin > thick ? 'thin' : 'thick';
  const chance = Math.max(thin, thick);
  const outside = cup.viscosityPaS < window.thinPaS || cup.viscosityPaS > window.thickPaS;
  if (!outside && chance < POSSIBLE) return undefined;
  return { cup, window, side, level: outside && chance >= LIKELY ? 'wrong' : 'look', chance };
}

/** One finding for all cups that lie out on the same side with the same consequence. */
function outsideFindings(technique: Technique, cups: readonly ContrastCup[]): ContrastFinding[] {
  const groups = new Map<string, Outside[]>();
  for (const cup of cups) {
    const outside = outsideOf(technique, cup);
    if (!outside) continue;
    const key = `${outside.level} ${outside.side} ${CONSEQUENCES[technique][outside.side](cup.role)}`;
    groups.set(key, [...(groups.get(key) ?? []), outside]);
  }
  return [...groups.values()].map((group): ContrastFinding => {
    const [{ level, side, window, cup }] = group as [Outside];
    const one = group.length === 1;
    const verb = level === 'wrong' ? (one ? 'is' : 'are') : 'may be';
    const values = group.map((each) => paS(each.cup.viscosityPaS)).join(', ');
    const chances = group.map((each) => Math.round(each.chance * 100));
    const [low, high] = [Math.min(...chances), Math.max(...chances)];
    return {
      level,
      cupIds: group.map((each) => each.cup.id),
      words: `${listed(group.map((each) => each.cup.name))} ${verb} too ${side}: ${CONSEQUENCES[technique][side](cup.role)}`,
      because: `${values}; ${rangeWords(window)}; ${low === high ? low : `${low} to ${high}`} % likely`,
    };
  });
}

/** "rust, rain and brass". */
const listed = (names: readonly string[]): string =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;

const rangeWords = (window: ThicknessWindow): string =>
  `${window.label} want ${window.thinPaS} to ${window.thickPaS} Pa·s`;

const CONSEQUENCES: Readonly<
  Record<Technique, Readonly<Record<'thin' | 'thick', (role: CupRole) => string>>>
> = {
  bloom: {
    thin: (role) =>
      role === 'activator'
        ? 'it runs off the colors and the lacing breaks up.'
        : role === 'pillow'
          ? 'the colors sink into it, and air dents it down to the support.'
          : 'the activator sinks into it; the picture washes out, or warps when it is spun.',
    thick: (role) =>
      role === 'activator'
        ? 'it does not blow out into a sheet; a white blob stays and the petals wash out.'
        : role === 'pillow'
          ? 'it will not run when the support is spun.'
          : 'it will not move under the air.',
  },
  dutch: {
    thin: () => 'cells wreck, colors slide and dull, and the film may break up.',
    thick: () => 'it will not blow out; few cells and little spread.',
  },
  swipe: {
    thin: (role) =>
      role === 'swipe' ? 'it slides off the rest.' : 'the swiped color sinks into it and goes to mud.',
    thick: (role) =>
      role === 'swipe' ? 'it drags the colors along; no cells open.' : 'the card leaves ridges in it.',
  },
};

/** The activator's thickness against every color's. */
function bloomFindings(cups: readonly ContrastCup[]): ContrastFinding[] {
  const colors = cups.filter((cup) => cup.role === 'color');
  return cups
    .filter((cup) => cup.role === 'activator')
    .flatMap((activator) => {
      const ratios = colors.map((color) => ({ color, ratio: activator.viscosityPaS / color.viscosityPaS }));
      const close = ratios.filter(({ ratio }) => ratio > CLEARLY_THINNER);
      if (close.length > 0) {
        return close.map(({ color, ratio }): ContrastFinding => {
          const sinks = ratio >= 1;
          return {
            level: sinks ? 'wrong' : 'look',
            cupIds: [activator.id, color.id],
            words: sinks
              ? `${activator.name} is thicker than ${color.name}: it sinks, and the petals wash out.`
              : `${activator.name} is not clearly thinner than ${color.name}: expect few cells there.`,
            because: `activator to color ${ratioWords(ratio)}; at most 1 to ${1 / CLEARLY_THINNER} holds it up`,
          };
        });
      }
      if (ratios.length === 0) return [];
      const widest = Math.max(...ratios.map(({ ratio }) => ratio));
      return [
        {
          level: 'fine' as const,
          cupIds: [activator.id, ...colors.map((color) => color.id)],
          words: `Thick under thin: the colors hold ${activator.name} up and keep their shape through the spin.`,
          because: `activator to the nearest color ${ratioWords(widest)}`,
        },
      ];
    });
}

const ratioWords = (ratio: number): string =>
  ratio <= 1 ? `1 to ${(1 / ratio).toFixed(1)}` : `${ratio.toFixed(1)} to 1`;

/** Cups laid side by side are to be alike; what their common thickness makes. */
function sideBySide(cups: readonly ContrastCup[]): ContrastFinding[] {
  const alike = cups.filter((cup) => cup.role === 'base' || cup.role === 'color');
  if (alike.length < 2) return [];
  const sorted = [...alike].sort((a, b) => a.viscosityPaS - b.viscosityPaS);
  const middle = Math.exp(alike.reduce((sum, cup) => sum + Math.log(cup.viscosityPaS), 0) / alike.length);
  const [thinnest, thickest] = [sorted[0]!, sorted[sorted.length - 1]!];
  const ratio = thickest.viscosityPaS / thinnest.viscosityPaS;
  if (ratio <= ALIKE_RATIO) {
    return [
      {
        level: 'fine',
        cupIds: alike.map((cup) => cup.id),
        words: together(middle),
        because: `all within 1 to ${ratio.toFixed(2)}`,
      },
    ];
  }
  const odd =
    middle / thinnest.viscosityPaS > thickest.viscosityPaS / middle
      ? {
          cup: thinnest,
          words: `${thinnest.name} is thinner than the rest: it spreads into larger patches, and its film breaks up first.`,
        }
      : {
          cup: thickest,
          words: `${thickest.name} is thicker than the rest: it stays in lumps, sinks and gets eaten.`,
        };
  return [
    {
      level: ratio > ALIKE_RATIO ** 2 ? 'wrong' : 'look',
      cupIds: [odd.cup.id],
      words: odd.words,
      because: `thinnest to thickest 1 to ${ratio.toFixed(1)}; alike is within 1 to ${ALIKE_RATIO}`,
    },
  ];
}

function together(viscosityPaS: number): string {
  if (viscosityPaS >= 0.65)
    return 'All alike and rather thick: bright separate colors, few cells, little spread.';
  if (viscosityPaS >= 0.42)
    return 'All alike at a middle thickness: wider spread, larger cells with colors inside.';
  return 'All alike and thin: most spread, swarms of tiny cells; colors mix and dull.';
}
