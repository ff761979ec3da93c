import { LIMITS } from '@icy-ribbon/core/paint/stage';
import type {
  Consequence,
  ContrastCode,
  ContrastFacts,
  ContrastFinding,
} from '@icy-ribbon/core/thickness/match';
import { namesListed } from './general.ts';
import { percent } from './percent.ts';

/** How the cups of a set go together, and the number behind it. */
export interface ContrastWords {
  readonly words: string;
  readonly because: string;
}

type Say<Code extends ContrastCode> = (facts: ContrastFacts[Code]) => ContrastWords;

const paS = (value: number): string => `${value.toPrecision(2)}\u00a0Pa·s`;
const ratioWords = (ratio: number): string =>
  ratio <= 1 ? `1 to ${(1 / ratio).toFixed(1)}` : `${ratio.toFixed(1)} to 1`;

const CONSEQUENCES: Readonly<Record<Consequence, string>> = {
  'runs-off-the-colors': 'it runs off the colors and the lacing breaks up.',
  'colors-sink-into-it': 'the colors sink into it, and air dents it down to the support.',
  'activator-sinks-into-it': 'the activator sinks into it; the picture washes out, or warps when it is spun.',
  'no-sheet': 'it does not blow out into a sheet; a white blob stays and the petals wash out.',
  'does-not-run-in-the-spin': 'it will not run when the support is spun.',
  'does-not-move-in-the-air': 'it will not move under the air.',
  'cells-wreck': 'cells wreck, colors slide and dull, and the film may break up.',
  'does-not-blow-out': 'it will not blow out; few cells and little spread.',
  'slides-off-the-rest': 'it slides off the rest.',
  'swiped-color-sinks': 'the swiped color sinks into it and goes to mud.',
  'drags-the-colors': 'it drags the colors along; no cells open.',
  'card-leaves-ridges': 'the card leaves ridges in it.',
};

const MAKES: Readonly<Record<ContrastFacts['alike']['makes'], string>> = {
  separate: 'All alike and rather thick: bright separate colors, few cells, little spread.',
  spread: 'All alike at a middle thickness: wider spread, larger cells with colors inside.',
  swarms: 'All alike and thin: most spread, swarms of tiny cells; colors mix and dull.',
};

/** It is so only where it is likely enough to act on. */
const isOrMayBe = (chance: number): string => (chance >= 0.8 ? 'is' : 'may be');

const oneOdd =
  (what: string): Say<'one-thinner' | 'one-thicker'> =>
  ({ name, ratio, chance }) => ({
    words: `${name} ${isOrMayBe(chance)} ${what}`,
    because: `the thickest is ${ratio.toFixed(1)}× the thinnest; up to ${LIMITS.alikeRatio}× counts as alike; ${percent(chance)} likely`,
  });

const tooClose =
  (
    words: (activator: string, verb: string, color: string) => string,
  ): Say<'activator-close' | 'activator-thicker'> =>
  ({ activator, color, ratio, chance }) => ({
    words: words(activator, isOrMayBe(chance), color),
    because: `activator to color ${ratioWords(ratio)}; at most 1 to ${(1 / LIMITS.activatorToColors.most).toFixed(1)} holds it up; ${percent(chance)} likely`,
  });

function outside({
  names,
  side,
  isSure,
  consequence,
  window,
  viscositiesPaS,
  chances,
}: ContrastFacts['outside']): ContrastWords {
  const verb = isSure ? (names.length === 1 ? 'is' : 'are') : 'may be';
  const percents = chances.map((chance) => Math.round(100 * chance));
  const [low, high] = [Math.min(...percents), Math.max(...percents)];
  return {
    words: `${namesListed(names)} ${verb} too ${side}: ${CONSEQUENCES[consequence]}`,
    because: `${viscositiesPaS.map(paS).join(', ')}; ${window.label}: ${window.thinPaS} to ${window.thickPaS}\u00a0Pa·s; ${low === high ? low : `${low} to ${high}`}\u00a0% likely`,
  };
}

const WORDS: { readonly [Code in ContrastCode]: Say<Code> } = {
  outside,
  'activator-thicker': tooClose(
    (activator, verb, color) =>
      `${activator} ${verb} thicker than ${color}: it sinks, and the petals wash out.`,
  ),
  'activator-close': tooClose(
    (activator, verb, color) => `${activator} ${verb} hardly thinner than ${color}: expect few cells there.`,
  ),
  'activator-held': ({ activator, ratio }) => ({
    words: `Thick under thin: the colors hold ${activator} up and keep their shape through the spin.`,
    because: `activator to the nearest color ${ratioWords(ratio)}`,
  }),
  alike: ({ makes, ratio }) => ({ words: MAKES[makes], because: `all within 1 to ${ratio.toFixed(2)}` }),
  'one-thinner': oneOdd(
    'thinner than the rest: it spreads into larger patches, and its film breaks up first.',
  ),
  'one-thicker': oneOdd('thicker than the rest: it stays in lumps, sinks and gets eaten.'),
};

/** How the cups go together, in words. */
export function contrastWords({ code, facts }: ContrastFinding): ContrastWords {
  return (WORDS[code] as Say<ContrastCode>)(facts as never);
}
