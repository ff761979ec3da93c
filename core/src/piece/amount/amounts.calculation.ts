import { z } from 'zod';
import { defineCalculation } from '../../base/calculation/define.ts';
import { densityGPerMl, positive, viscosityPaS } from '../../base/calculation/fields.ts';
import { FINISHES, OPACITIES } from '../../paint/material/index.ts';
import { planSchema } from '../plan/index.ts';
import { SUPPORT_SHAPES } from '../support/index.ts';
import { CUP_ROLES } from '../../paint/stage/index.ts';
import { amounts } from './amounts.ts';

const paint = z.strictObject({
  id: z.string().min(1),
  name: z.string().default('paint'),
  role: z.enum(CUP_ROLES),
  colorHex: z.string().default('#808080'),
  viscosityPaS,
  densityGPerMl,
  opacity: z.enum(OPACITIES).default('semi-opaque'),
  finish: z.enum(FINISHES).default('plain'),
});

const blower = z.strictObject({
  id: z.string().min(1),
  exitDiameterMm: positive('the exit’s diameter in mm'),
  exitSpeedMS: positive('the exit speed in m/s'),
});

/** Says what to give where a whole part is missing. */
const missing = (words: string) => ({
  error: (issue: { readonly code?: string }) => (issue.code === 'invalid_type' ? words : undefined),
});

/** A plan that stands by itself: its paints and blowers with it, what is left out as usual. */
const wholePlan = z.strictObject(
  {
    ...planSchema.shape,
    base: planSchema.shape.base.default(null),
    stacks: planSchema.shape.stacks.default([]),
    paths: planSchema.shape.paths.default([]),
    passes: planSchema.shape.passes.default([]),
    settings: planSchema.shape.settings.prefault({}),
    paints: z.array(paint),
    blowers: z.array(blower).default([]),
  },
  missing('Give the plan with its paints.'),
);

const settings = planSchema.shape.settings.parse({});

export const amountsCalculation = defineCalculation({
  name: 'amounts',
  title: 'How much paint a plan takes',
  law: 'base = retained film x (face + sides); pillow = pi/4 d^2 max(dent + margin, usual depth); sheet = pi/4 d^2 x thickness; x pieces x (1 + drip + reserve) + cup loss',
  source: 'Jeffreys 1930 for the film, the jet law for the dent (from memory); shares: common practice',
  range: 'Supports that are level when they are left alone; films away from the rim.',
  assumes: 'The sides keep as thick a film as the face; a pillow lies under 60 % of its flower.',
  typical: `Run off ${100 * settings.dripShare} %, kept back ${100 * settings.reserveShare} %, ${settings.cupLossG} g left in each cup, ${settings.marginMm} mm under the dent, a sheet of ${settings.sheetMm} mm.`,
  example: {
    support: { shape: 'rectangle', widthMm: 300, heightMm: 400, sideDepthMm: 20 },
    plan: {
      base: {
        pattern: 'one',
        areas: [{ cupId: 'white', share: 1 }],
        seam: null,
        film: { kind: 'run-off', tiltDeg: 30, seconds: 30 },
      },
      stacks: [],
      paths: [],
      passes: [],
      settings,
      paints: [
        {
          id: 'white',
          name: 'white base',
          role: 'base',
          colorHex: '#f4f2ec',
          viscosityPaS: 0.8,
          densityGPerMl: 1.1,
          opacity: 'opaque',
          finish: 'plain',
        },
      ],
      blowers: [],
    },
  },
  input: z.strictObject({
    support: z.strictObject(
      {
        shape: z.enum(SUPPORT_SHAPES, 'Choose rectangle or round.'),
        widthMm: positive('the width in mm'),
        heightMm: positive('the height in mm'),
        sideDepthMm: z
          .number('Give the side depth in mm.')
          .min(0, 'The side depth must be 0 or more.')
          .default(0),
      },
      missing('Give the support: its shape, width, height and side depth.'),
    ),
    plan: wholePlan,
  }),
  output: z.object({
    layers: z.array(
      z.object({
        id: z.string(),
        cupId: z.string(),
        part: z.string(),
        massG: z.number(),
        volumeMl: z.number(),
      }),
    ),
    paints: z.array(
      z.object({
        cupId: z.string(),
        laidG: z.number(),
        dripG: z.number(),
        reserveG: z.number(),
        lossG: z.number(),
        massG: z.number(),
        volumeMl: z.number(),
      }),
    ),
    total: z.object({ massG: z.number(), volumeMl: z.number() }),
  }),
  compute: ({ support, plan: { paints, blowers, ...plan } }) => {
    const found = amounts(support, plan, paints, blowers);
    return { layers: [...found.layers], paints: [...found.paints], total: found.total };
  },
});
