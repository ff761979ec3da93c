import { LIMITS } from '@icy-ribbon/core/paint/stage';
import { airTool } from '@icy-ribbon/core/flow/air';
import { CAUTIONS } from '@icy-ribbon/core/paint/caution';
import { type Finding, type FindingCode, type FindingFacts, type Fix } from '@icy-ribbon/core/piece/check';
import { namesListed } from './general.ts';
import type { ChosenUnits } from '../store/unitChoices.ts';
import { contrastWords } from './contrast.ts';
import { timeRange, measureWords, type MeasureWords } from './measure.ts';

/** A finding as it is read, and the number behind it. */
export interface FindingWords {
  readonly words: string;
  readonly because: string;
}

type Say<Code extends FindingCode> = (facts: FindingFacts[Code], say: MeasureWords) => FindingWords;

/** A number without trailing zeros. */
const round = (value: number, digits = 0): string => String(Number(value.toFixed(digits)));
const sheet = (sheetMm: number, say: MeasureWords) =>
  `a sheet of ${say.film(sheetMm)}; ${say.film(LIMITS.sheetMm.thin)} to ${say.film(LIMITS.sheetMm.thick)} is usual`;
const passWords = (passes: readonly number[]) =>
  passes.length === 1 ? `Petal ${passes[0]} ends` : `Petals ${namesListed(passes.map(String))} end`;
const atTheTable =
  (words: string, because = 'caution') =>
  (): FindingWords => ({ words, because });

const WORDS: { readonly [Code in FindingCode]: Say<Code> } = {
  empty: () => ({
    words: 'Choose a layout above and lay it out, or put a stack down where you want it: the check follows.',
    because: 'no paint in the plan',
  }),
  'no-air': () => ({ words: 'No air is planned: draw where to blow.', because: '0 passes' }),
  contrast: contrastWords,
  dent: (facts, say) => ({
    words: facts.bare
      ? `Pass ${facts.pass} digs to the support: the middle stays behind.`
      : `Pass ${facts.pass} leaves less than ${say.film(facts.marginMm)} in the middle.`,
    because: `${airTool(facts.tool).label} at ${say.distance(facts.distanceMm)}, ${round(facts.slantDeg)}°: dent ${say.depth(facts.dentMm)} in ${say.depth(facts.depthMm)}`,
  }),
  short: ({ name, isMixed, wantedG, leftG }, say) => ({
    words: isMixed ? `${name} is short.` : `${name} is not mixed yet.`,
    because: `${say.massFine(1000 * wantedG)} wanted, ${say.massFine(1000 * leftG)} in the cup`,
  }),
  neon: ({ name, share, equalShare }) => ({
    words: `${name} is neon: it bleeds into its neighbors and takes over. Lay less of it, or something pale between.`,
    because: `${round(100 * share)}\u00a0% of the colors; an equal share is ${round(100 * equalShare)}\u00a0%`,
  }),
  'weak-film': ({ name, isAboveWaterLimit }) => ({
    words: `${name} dries to a weak film: stir in a squirt of binder-rich medium.`,
    because: isAboveWaterLimit ? 'above its water limit' : 'little binder for its pigment',
  }),
  fresh: ({ name, restHours }) => ({
    words: `${name} is fresh: its bubbles leave pinholes.`,
    because: `${round(restHours)}\u00a0h more under the lid`,
  }),
  silicone: ({ name }) => ({
    words: `${name} holds silicone. ${CAUTIONS.silicone} ${CAUTIONS.torch}`,
    because: 'by what was mixed in',
  }),
  untested: ({ name }) => ({ words: `${name} was not tested today.`, because: 'paint changes in the cup' }),
  'too-much': ({ filmMm }, say) => ({
    words: 'Too much paint stays on: the middle sags and the rim cracks while it dries.',
    because: `${say.film(filmMm)} over face and sides; up to ${say.film(LIMITS.filmMm.thick)} is usual`,
  }),
  'base-thin': ({ name, filmMm, usualMm }, say) => ({
    words: `${name} runs off to too thin a film: bare edges and bands.`,
    because: `${say.film(filmMm)} stay; about ${say.film(usualMm)} is usual of a base as thick`,
  }),
  'base-thick': ({ name, filmMm, usualMm }, say) => ({
    words: `${name} stays on too thick: the design drowns and wells up.`,
    because: `${say.film(filmMm)} stay; about ${say.film(usualMm)} is usual of a base as thick`,
  }),
  'no-base': ({ filmMm }, say) => ({
    words: 'Too little paint to cover the face: bare edges.',
    because: `${say.film(filmMm)} over face and sides`,
  }),
  coverage: ({ covered, low, high, wants, bare }) => ({
    words: {
      full: 'The design will hardly cover the face: lay more, spin longer, or make the flower larger.',
      space: 'The design will cover nearly all of the face: little negative space is left.',
      ground: bare
        ? 'Much of the support stays bare: lay the pillow over the whole face, or aim at a floating bloom.'
        : 'Much of the face stays empty.',
    }[wants],
    because: `about ${round(100 * covered)}\u00a0% covered, ${round(100 * low)} to ${round(100 * high)}\u00a0% nine times in ten, an estimate`,
  }),
  'petal-ends': ({ kind, passes, mm }, say) => ({
    words:
      kind === 'falls-short'
        ? `${passWords(passes)} just short of the edge: push it over, or stop sooner.`
        : `${passWords(passes)} as a lone drip over the edge: push it over on purpose, or stop sooner.`,
    because: `within ${say.distance(mm)} of the edge, by estimate`,
  }),
  'spin-fast': ({ rpm, shearPa, aimRpm }) => ({
    words: `Spun at ${round(rpm)} turns a minute the cells warp at the rim: at most ${aimRpm} there.`,
    because: `${round(shearPa)} Pa at the rim, by estimate; ${LIMITS.spinShearPa.most} is usual`,
  }),
  'middle-thick': ({ middleMm }, say) => ({
    words: 'The middle stays thick after the spin: it dries last and cracks first.',
    because: `${say.film(middleMm)} in the middle; up to ${say.film(LIMITS.middleMm.thick)} is usual`,
  }),
  mud: ({ lower, upper, keptShare }) => ({
    words: `${lower} beside ${upper} goes to mud.`,
    because: `their mixture keeps ${round(100 * keptShare)}\u00a0% of the color`,
  }),
  sinks: ({ upper, lower, upperGPerMl, lowerGPerMl, fromSeconds, toSeconds }, say) => ({
    words: `${upper} sinks into ${lower}.`,
    because: `${say.density(upperGPerMl)} over ${say.density(lowerGPerMl)} and thicker; in ${timeRange(fromSeconds, toSeconds)}`,
  }),
  'opens-early': ({ name, fromSeconds, toSeconds, blowSeconds }) => ({
    words: `${name} opens before it is blown out: blow faster, or make the colors thicker.`,
    because: `opens in ${timeRange(fromSeconds, toSeconds)}, blowing takes ${round(blowSeconds)}\u00a0s`,
  }),
  'opens-late': ({ name, fromSeconds, toSeconds, waitSeconds }) => ({
    words: `${name} needs longer to open than you mean to wait.`,
    because: `${timeRange(fromSeconds, toSeconds)} against ${round(waitSeconds)}\u00a0s`,
  }),
  'dose-little': ({ name, sheetMm }, say) => ({
    words: `Little ${name}: petals without lacing.`,
    because: sheet(sheetMm, say),
  }),
  'dose-much': ({ name, sheetMm }, say) => ({
    words: `Much ${name}: a blob stays in the middle and the petals wash out.`,
    because: sheet(sheetMm, say),
  }),
  level: atTheTable('Level the support both ways.', 'a slope moves the design overnight'),
  torch: atTheTable(CAUTIONS.torch),
  spinner: atTheTable('Fix the board on the spinner and stand clear.'),
  mains: atTheTable('Cool air; keep wet hands and splashes off mains parts.'),
  breath: atTheTable('Never suck back through a straw; rest if you get dizzy.'),
};

/** A finding in words, in the units that are chosen. */
export function findingWords({ code, facts }: Finding, chosen: ChosenUnits): FindingWords {
  return (WORDS[code] as Say<FindingCode>)(facts as never, measureWords(chosen));
}

/** What the button of a fix says. */
export function fixWords(fix: Fix, chosen: ChosenUnits): string {
  const say = measureWords(chosen);
  switch (fix.kind) {
    case 'go':
      return fix.to === 'mix' ? 'To the cup' : 'Test and match';
    case 'mix':
      return 'Mix what is missing';
    case 'tick':
      return fix.leave ? 'Leave it so' : 'Done';
    case 'order':
      return 'Better order';
    case 'layer':
      return 'Usual dose';
    case 'scale-layers':
      return `Lay ${round(100 * (1 - fix.factor))}\u00a0% less`;
    case 'film':
      return `Aim at ${say.film(fix.mm)}`;
    case 'settings':
      return fix.changes.spinSeconds
        ? `Spin ${fix.changes.spinSeconds}\u00a0s`
        : fix.changes.spinRpm
          ? `Spin at ${fix.changes.spinRpm}`
          : `Wait ${fix.changes.waitSeconds ?? 0}\u00a0s`;
    case 'pass':
      return [
        fix.changes.distanceMm ? `From ${say.distance(fix.changes.distanceMm)}` : '',
        fix.changes.slantDeg ? `${fix.changes.slantDeg}° slant` : '',
      ]
        .filter(Boolean)
        .join(', ');
    case 'add-passes':
      return 'Blow it out';
    case 'add-base':
      return 'Add a base';
  }
}
