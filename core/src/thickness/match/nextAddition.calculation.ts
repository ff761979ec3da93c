import { z } from 'zod';
import { defineCalculation } from '../../base/calculation/index.ts';
import { densityGPerMl, fraction, massG, positive, viscosityPaS } from '../../base/calculation/fields.ts';
import { InputError } from '../../base/error/index.ts';
import { materialKind, viscositySdLn } from '../../paint/material/index.ts';
import { beliefOf, composition, observe, priorsOf } from '../learn/index.ts';
import { nextAddition, type MatchCup, type MatchIngredient } from './nextAddition.ts';
import { chanceTooFar } from './safeStep.ts';

const part = z.strictObject({
  massG,
  viscosityPaS,
  densityGPerMl,
  waterFraction: fraction.optional(),
  sdLn: z
    .number('Give the spread of ln(viscosity) as a number.')
    .min(0, 'A spread is 0 or more.')
    .max(5, 'A spread above 5 says nothing: leave it out.')
    .optional(),
});

/** Thinners as thin as this count as water, Pa.s. */
const WATERY_PAS = 0.01;

export const nextAdditionCalculation = defineCalculation({
  name: 'next-addition',
  title: 'What to stir into a cup next on its way to a thickness, as safely as it is known',
  law: 'ln mu = sum w_i ln mu_i + w_water sum w_i G_i, a Gaussian belief in every ln mu_i and G_i, sharpened by the readings; the largest step that covers at most 80 % of the way in ln mu and passes the target by 15 % in less than 1 of 100 cases',
  source:
    'Arrhenius 1887; Grunberg & Nissan 1949; Gaussian conjugate update (standard statistics), all from memory; 80 %, 15 % and 2 % are common practice',
  range: 'well-stirred mixes at one temperature that a thinner makes thinner',
  assumes:
    'all readings were taken of the cup as it is; a part is known to a factor of 2.5 where no spread is given, water exactly',
  typical: 'spread of the bend G between water and each paint or medium: 3.5',
  example: {
    parts: [
      { massG: 30, viscosityPaS: 1.2, densityGPerMl: 1.03 },
      { massG: 15, viscosityPaS: 45, densityGPerMl: 1.2 },
    ],
    readings: [{ viscosityPaS: 3.2, sdLn: 0.12 }],
    targetPaS: 0.56,
    thinner: { viscosityPaS: 0.001002, densityGPerMl: 0.9982 },
  },
  input: z.strictObject({
    parts: z.array(part, 'Give the parts of the mix.').min(1, 'Give at least one part.'),
    readings: z.array(
      z.strictObject({ viscosityPaS, sdLn: positive('the spread of ln(viscosity)') }),
      'Give the readings, none as [].',
    ),
    targetPaS: positive('the target viscosity'),
    thinner: z.strictObject({ viscosityPaS, densityGPerMl }, 'Give what it is thinned with.'),
  }),
  output: z.object({
    done: z.boolean(),
    addG: z.number(),
    forecastPaS: z.number(),
    overshootChance: z.number(),
    askForReading: z.boolean(),
  }),
  compute: ({ parts, readings, targetPaS, thinner }) => {
    if (thinner.viscosityPaS >= targetPaS) {
      throw new InputError(
        'thinner.viscosityPaS',
        `A thinner of ${thinner.viscosityPaS.toPrecision(3)} Pa·s brings no mix down to ${targetPaS.toPrecision(3)} Pa·s.`,
      );
    }
    const cup = cupOf(parts, thinner);
    const { weights, offset } = composition(cup.ingredients, cup.contentsMg);
    const belief = readings.reduce(
      (so, { viscosityPaS: read, sdLn }) => observe(so, weights, Math.log(read) - offset, sdLn),
      beliefOf(priorsOf(cup.ingredients)),
    );
    const next = nextAddition(belief, cup, targetPaS, { thinnerId: 'thinner' });
    const isStep = next.kind === 'thin';
    return {
      done: next.kind === 'there',
      addG: isStep ? next.step.reduce((sum, { mg }) => sum + mg / 1000, 0) : 0,
      forecastPaS: isStep ? next.after.viscosityPaS : next.now.viscosityPaS,
      overshootChance: isStep
        ? next.overshoot
        : chanceTooFar(
            { mean: Math.log(next.now.viscosityPaS), sd: next.now.spreadLn },
            Math.log(targetPaS),
            true,
          ),
      askForReading: next.kind === 'read',
    };
  },
});

type Part = z.output<typeof part>;

/** The mix as a cup that is never full and bears any water; water inside of a part is taken out of it. */
function cupOf(
  parts: readonly Part[],
  thinner: { readonly viscosityPaS: number; readonly densityGPerMl: number },
): MatchCup {
  const totalG = parts.reduce((sum, each) => sum + each.massG, 0);
  const held = [
    ...parts.flatMap((each, index) => withoutWater(each, index, totalG)),
    { ingredient: thinnerOf(thinner), mg: 0 },
  ];
  return {
    id: 'cup',
    name: 'cup',
    ingredients: held.map(({ ingredient }) => ingredient),
    contentsMg: held.map(({ mg }) => mg),
    capacityMl: Infinity,
    waterLimit: 1,
  };
}

const WATER_LN = Math.log(materialKind('water').viscosityPaS);

function withoutWater({ waterFraction: water = 0, ...whole }: Part, index: number, totalG: number) {
  const { massG: grams, densityGPerMl: gPerMl, sdLn = viscositySdLn('fluid', 'typical') } = whole;
  const ingredient = (
    id: string,
    kind: 'water' | 'flow-conditioner',
    share: number,
    paS: number,
    sd: number,
  ) => ({
    ingredient: {
      id,
      role: kind === 'water' ? 'water' : 'medium',
      share: (share * grams) / totalG,
      material: {
        ...{ materialId: id, name: id, kind, densityGPerMl: gPerMl, viscosityPaS: paS },
        ...{ viscosityTrust: 'typical', viscositySdLn: sd },
      },
    } satisfies MatchIngredient,
    mg: 1000 * share * grams,
  });
  if (water === 1) return [ingredient(`water ${index}`, 'water', 1, whole.viscosityPaS, 0)];
  const restPaS = Math.exp((Math.log(whole.viscosityPaS) - water * WATER_LN) / (1 - water));
  const rest = ingredient(`part ${index}`, 'flow-conditioner', 1 - water, restPaS, sdLn / (1 - water));
  return water === 0
    ? [rest]
    : [rest, ingredient(`water ${index}`, 'water', water, materialKind('water').viscosityPaS, 0)];
}

function thinnerOf(thinner: {
  readonly viscosityPaS: number;
  readonly densityGPerMl: number;
}): MatchIngredient {
  const kind = thinner.viscosityPaS <= WATERY_PAS ? 'water' : 'varnish';
  return {
    id: 'thinner',
    role: kind === 'water' ? 'water' : 'thinner',
    share: 0,
    material: { materialId: 'thinner', name: 'thinner', kind, viscosityTrust: 'typical', ...thinner },
  };
}
