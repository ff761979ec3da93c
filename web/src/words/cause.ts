import { CAUTIONS } from '@icy-ribbon/core/paint/caution';
import { LIMITS } from '@icy-ribbon/core/paint/stage';
import { airTool } from '@icy-ribbon/core/flow/air';
import {
  type Cause,
  type CauseCode,
  type CauseFacts,
  type Missing,
} from '@icy-ribbon/core/judgement/diagnose';
import type { ChosenUnits } from '../store/unitChoices.ts';
import { counted, measureWords, type MeasureWords } from './measure.ts';

/** A cause as it is read. */
export interface CauseWords {
  readonly name: string;
  readonly evidence: string;
  readonly nextTime: string;
}

type Say<Code extends CauseCode> = (facts: CauseFacts[Code], say: MeasureWords) => CauseWords;

const percent = (share: number) => String(Math.round(100 * share));
const range = (least: number, most: number) => `${percent(least)} to ${percent(most)}\u00a0%`;

const dose =
  (name: string, advice: (aim: string) => string) =>
  (
    { activatorMg, colorMg, share, least, most, aimMg }: CauseFacts['activator-much'],
    say: MeasureWords,
  ): CauseWords => ({
    name,
    evidence: `${say.mass(activatorMg)} of activator on ${say.mass(colorMg)} of colors, ${say.percent(share)}; ${range(least, most)} is usual.`,
    nextTime: advice(say.mass(aimMg)),
  });

const WORDS: { readonly [Code in CauseCode]: Say<Code> } = {
  'colors-thin': ({ technique, colorPaS, limitPaS, aimPaS }, say) => ({
    name: 'The colors were too thin',
    evidence: `Colors ${say.viscosity(colorPaS)}; ${technique === 'bloom' ? 'a bloom' : 'this pour'} asks for ${say.viscosity(limitPaS)} or thicker.`,
    nextTime: `Mix the colors to ${say.viscosity(aimPaS)}: hold back the last water.`,
  }),
  'colors-thick': ({ colorPaS, limitPaS, aimPaS }, say) => ({
    name: 'The colors were too thick',
    evidence: `Colors ${say.viscosity(colorPaS)}; the window ends at ${say.viscosity(limitPaS)}.`,
    nextTime: `Thin them to ${say.viscosity(aimPaS)} in small steps.`,
  }),
  'activator-thick': ({ activatorPaS, colorPaS, sank, aimPaS }, say) => ({
    name: sank
      ? 'The activator was thicker than the colors: it sank'
      : 'The activator was too thick for the colors',
    evidence: `Activator ${say.viscosity(activatorPaS)} against colors ${say.viscosity(colorPaS)}; it should be clearly thinner, ${LIMITS.activatorToColors.most} of theirs or less.`,
    nextTime: `Thin the activator to about ${say.viscosity(aimPaS)}.`,
  }),
  'activator-much': dose('Too much activator', (aim) => `Lay ${aim} next time.`),
  'activator-little': dose(
    'Too little activator',
    (aim) => `Lay ${aim}, so that the sheet reaches every petal.`,
  ),
  'air-dug': (facts, say) => ({
    name:
      facts.aimSlantDeg === null
        ? 'The air was too close, or held too long'
        : 'The air was too steep or too close',
    evidence: `Pass ${facts.pass}, ${airTool(facts.tool).label.toLowerCase()} at ${say.distance(facts.distanceMm)} ${facts.straightDown ? 'straight down' : `at ${facts.slantDeg}°`}, ${facts.seconds}\u00a0s: dent ${say.depth(facts.dentMm)} in about ${say.depth(facts.groundMm)} of paint.`,
    nextTime:
      facts.aimSlantDeg === null
        ? `Begin at ${say.distance(facts.aimDistanceMm)}, and keep it moving.`
        : `Begin at ${say.distance(facts.aimDistanceMm)} and slant it to ${facts.aimSlantDeg}°.`,
  }),
  'pillow-thin': ({ groundMm, aimMg }, say) => ({
    name: 'The pillow was too thin',
    evidence: `Pillow and colors stood about ${say.depth(groundMm)} deep; ${say.depth(LIMITS.pillowMm.least)} and more cushion the air.`,
    nextTime: `Lay ${say.mass(aimMg)} of pillow.`,
  }),
  'colors-unequal': ({ thick, thin, ratio }, say) => ({
    name: 'The colors were not equally thick',
    evidence: `${thick.name} ${say.viscosity(thick.paS)} against ${thin.name} ${say.viscosity(thin.paS)}, ${ratio.toFixed(1)} times.`,
    nextTime: 'Race the cups level before the pour.',
  }),
  'color-heavy': ({ name, gPerMl, othersGPerMl }, say) => ({
    name: 'It was heavier than its neighbors',
    evidence: `${name} ${say.density(gPerMl)} against ${say.density(othersGPerMl)}.`,
    nextTime: 'Lay it higher in the stack, or thin it with medium instead of more paint.',
  }),
  'color-thin': ({ name, paS, othersPaS }, say) => ({
    name: 'It was thinner than its neighbors',
    evidence: `${name} ${say.viscosity(paS)} against ${say.viscosity(othersPaS)}.`,
    nextTime: `Bring it to ${say.viscosity(othersPaS)}.`,
  }),
  'opaque-low': ({ name, opacity, place, of }) => ({
    name: 'An opaque color laid low',
    evidence: `${name} is ${opacity} and was laid ${place === null ? 'at a place that was not logged' : `as number ${place} of ${of}`}.`,
    nextTime: 'Opaque colors go high in the pyramid.',
  }),
  'color-little': ({ laidMg, share, aimMg }, say) => ({
    name: 'There was little of it',
    evidence: `${say.mass(laidMg)}, ${say.percent(share)} of the colors.`,
    nextTime: `Lay ${say.mass(aimMg)}.`,
  }),
  'base-little': ({ gPerDm2, usualGPerDm2, aimMg }, say) => ({
    name: 'Too little base around the colors',
    evidence: `${say.massOnArea(gPerDm2)}; of a base as thick, about ${say.massOnArea(usualGPerDm2)} stay.`,
    nextTime: `Lay ${say.mass(aimMg)} and flood a little along the colors.`,
  }),
  'air-little': ({ seconds, passes, sPerDm2 }, say) => ({
    name: 'Little air',
    evidence: `${seconds.toFixed(0)}\u00a0s of air in ${counted(passes, 'pass', 'passes')}, ${say.timeOnArea(sPerDm2)}.`,
    nextTime: 'Blow longer, from each side, moving back as the paint starts to run.',
  }),
  'neighbors-muddy': ({ lower, upper, keptShare }, say) => ({
    name: 'Neighbors that go to mud',
    evidence: `Where ${lower} and ${upper} mix, about ${say.percent(keptShare)} of their color stays, by estimate.`,
    nextTime: 'Lay another color, or a touch of white or metallic, between them.',
  }),
  overworked: ({ seconds, sPerDm2 }, say) => ({
    name: 'Overworked',
    evidence: `${seconds.toFixed(0)}\u00a0s of air, ${say.timeOnArea(sPerDm2)}.`,
    nextTime: 'Stop sooner: blow out once, back once, and let it stand.',
  }),
  'over-thinned': ({ name, waterFraction, hasWeakBinder, most }, say) => ({
    name: 'Over-thinned',
    evidence: `${name} holds ${say.percent(waterFraction)} water; ${percent(most)}\u00a0% is ${most === LIMITS.waterFraction.most ? 'a common ceiling' : 'its limit'}.${hasWeakBinder ? ' Its paint has little binder.' : ''}`,
    nextTime: 'Thin with medium or varnish, or add a squirt (5 to 10\u00a0%) of binder.',
  }),
  'torched-late': ({ torchedAfterAir }) => ({
    name: 'Torched after the cells had come',
    evidence: torchedAfterAir
      ? 'A torching was logged after the last pass.'
      : 'No torching was logged after the last pass.',
    nextTime: 'Torch before and during blowing, not once the cells are right.',
  }),
  'spun-fast': ({ rpm, mostRpm }) => ({
    name: 'Spun too fast',
    evidence:
      rpm === 0
        ? 'No spin was logged.'
        : `Spun at ${rpm.toFixed(0)} turns a minute; slow and several times is the rule.`,
    nextTime: `Keep below ${mostRpm} turns a minute, both ways.`,
  }),
  'not-level': ({ slopeMmPerM, driftMm }, say) => ({
    name: 'The rack was not level',
    evidence: `It lay ${say.slope(slopeMmPerM)} off level: the design creeps up to ${say.depth(driftMm)} until it sets.`,
    nextTime: 'Level the rack both ways before it is laid down.',
  }),
  'paint-much': ({ mm }, say) => ({
    name: 'Too much wet paint',
    evidence: `${say.depth(mm)} of paint were laid, run-off not counted.`,
    nextTime: 'Tip the board until the middle hardly moves before leaving it.',
  }),
  'not-torched': ({ torches }) => ({
    name: 'Bubbles were not torched',
    evidence: torches === 0 ? 'No torching was logged.' : `Torched ${counted(torches, 'time')}.`,
    nextTime: 'Torch lightly before and after blowing, away from anything that burns.',
  }),
  'mix-fresh': ({ restedHours }) => ({
    name: 'A fresh mix still full of bubbles',
    evidence: `The youngest cup had rested ${restedHours < 1 ? 'less than an hour' : `${restedHours.toFixed(0)}\u00a0h`}.`,
    nextTime: 'Mix the day before and keep the lid on.',
  }),
  silicone: ({ names }) => ({
    name: 'Silicone in the paint',
    evidence: names.length > 0 ? `${names.join(', ')}: silicone was mixed in.` : 'No cup holds silicone.',
    nextTime: `Leave it out where a top coat comes on, or clean the face before. ${CAUTIONS.silicone}`,
  }),
  'air-narrow': ({ tool, passes }) => ({
    name: 'A narrow jet of air',
    evidence:
      tool === null
        ? 'No narrow jet was logged.'
        : `${counted(passes, 'pass', 'passes')} with a narrow exit: ${airTool(tool).label.toLowerCase()}.`,
    nextTime:
      'Blow with a wider exit, or from farther off; wisps come off with a damp stick while they are wet.',
  }),
  'base-much': ({ gPerDm2, usualGPerDm2, ranOver, aimMg }, say) => ({
    name: 'Too much base stood under the flowers',
    evidence: `${gPerDm2.toFixed(1)}\u00a0g of base on a dm² of face and sides; about ${usualGPerDm2.toFixed(1)}\u00a0g stay after a usual run-off.${ranOver ? ' The blow test saw it run over still.' : ''}`,
    nextTime: `Let it run off until no more runs over when it is blown: about ${say.mass(aimMg)} in all.`,
  }),
  'color-much': ({ name, laidMg, share, aimMg }, say) => ({
    name: `Much of ${name} was laid`,
    evidence: `${say.mass(laidMg)}, ${say.percent(share)} of the colors.`,
    nextTime: `An equal share is ${say.mass(aimMg)}.`,
  }),
  'neon-bleeds': ({ name }) => ({
    name: `${name} is neon and bleeds`,
    evidence: 'Neons bleed into their neighbors and take them over.',
    nextTime: 'Lay less of it, or a pale color between.',
  }),
  'under-activator': ({ name, share, equalShare }, say) => ({
    name: `${name} lay right under the activator`,
    evidence: `${say.percent(share)} of the colors; an equal share is ${say.percent(equalShare)}, and the topmost is to be the smallest.`,
    nextTime: 'Make the color under the activator the smallest of the pile.',
  }),
  'patch-contrast': ({ difference, repairs }) => ({
    name: 'Design and ground differ much',
    evidence: `${counted(repairs, 'repair')}; the colors differ from their ground by ${difference.toFixed(0)} (CIEDE2000), ${LIMITS.patchDifference.shows} and more shows.`,
    nextTime: 'Blow the neighbors over the rim of the patch, or carry the design on over it.',
  }),
  'mica-coarse': ({ names, finish }) => ({
    name: 'Coarse mica',
    evidence: finish === null ? 'No metallic or pearl was laid.' : `${names.join(', ')}: ${finish}.`,
    nextTime: 'Strain it, or use a finer one.',
  }),
};

/** A cause in words, in the units that are chosen. */
export function causeWords({ code, facts }: Cause, chosen: ChosenUnits): CauseWords {
  return (WORDS[code] as Say<CauseCode>)(facts, measureWords(chosen));
}

const MISSING: Readonly<Record<Missing, string>> = {
  colors: 'No colors were logged as laid.',
  activator: 'No activator was logged as laid.',
  'activator-grams': 'How much activator was laid was not logged.',
  passes: 'No blowing pass was logged.',
  depth: 'What was laid was not logged, so the depth of paint is unknown.',
  pillow: 'No pillow was logged as laid.',
  'which-color': 'Say which color it was: pin the fault with its cup.',
  base: 'No base was logged as laid.',
  laid: 'What was laid was not logged.',
  'mixed-when': 'When the cups were mixed is not known.',
  level: 'Whether the support lay level is not recorded: check it with a spirit level.',
  'ceiling-paint': 'Whether a ceiling paint was used is not recorded: its chalk cracks.',
  skin: 'Nothing in the record tells of dried skin: strain every mix.',
  repair: 'No repair was logged.',
  corners: 'Whether the base was spread into the corners first is not recorded.',
  'top-coat': 'Silicone or wax below a top coat is not recorded: clean the face and test a corner.',
};

export const missingWords = (missing: Missing): string => MISSING[missing];
