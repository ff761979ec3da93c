import { LIMITS } from '@icy-ribbon/core/paint/stage';
import { airTool } from '@icy-ribbon/core/flow/air';
import { CAUTIONS } from '@icy-ribbon/core/paint/caution';
import { type Finding, type FindingCode, type FindingFacts, type Fix } from '@icy-ribbon/core/piece/check';
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
    because: `${round(100 * share)} % of the colors; an equal share is ${round(100 * equalShare)} %`,
  }),
  'weak-film': ({ name, isAboveWaterLimit }) => ({
    words: `${name} dries to a weak film: stir in a squirt of binder-rich medium.`,
    because: isAboveWaterLimit ? 'above its water limit' : 'little binder for its pigment',
  }),
  fresh: ({ name, restHours }) => ({
    words: `${name} is fresh: its bubbles leave pinholes.`,
    because: `${round(restHours)} h more under the lid`,
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
  mud: ({ lower, upper, keptShare }) => ({
    words: `${lower} beside ${upper} goes to mud.`,
    because: `their mixture keeps ${round(100 * keptShare)} % of the color`,
  }),
  sinks: ({ upper, lower, upperGPerMl, lowerGPerMl, fromSeconds, toSeconds }, say) => ({
    words: `${upper} sinks into ${lower}.`,
    because: `${say.density(upperGPerMl)} over ${say.density(lowerGPerMl)} and thicker; in ${timeRange(fromSeconds, toSeconds)}`,
  }),
  'opens-early': ({ name, fromSeconds, toSeconds, blowSeconds }) => ({
    words: `${name} opens before it is blown out: blow faster, or make the colors thicker.`,
    because: `opens in ${timeRange(fromSeconds, toSeconds)}, blowing takes ${round(blowSeconds)} s`,
  }),
  'opens-late': ({ name, fromSeconds, toSeconds, waitSeconds }) => ({
    words: `${name} needs longer to open than you mean to wait.`,
    because: `${timeRange(fromSeconds, toSeconds)} against ${round(waitSeconds)} s`,
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
      return `Lay ${round(100 * (1 - fix.factor))} % less`;
    case 'film':
      return `Aim at ${say.film(fix.mm)}`;
    case 'settings':
      return fix.changes.spinSeconds
        ? `Spin ${fix.changes.spinSeconds} s`
        : `Wait ${fix.changes.waitSeconds ?? 0} s`;
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
