import { DRAIN_CUP_NAMES } from '@icy-ribbon/core/thickness/reading';
import { STAGES } from '@icy-ribbon/core/paint/stage';
import { z } from 'zod';
import { idSchema, heldMgSchema, nameSchema, recordFields, timestampSchema } from './common.ts';
import { MOST } from './plain/most.ts';

const secondsSchema = z
  .number('Give the seconds.')
  .min(0.001, 'Give the seconds, above 0.')
  .max(3600, 'That is more than an hour: check the seconds.');
/** Spread of a logarithm: below it is surer, above it is worth less than any reading can be. */
const sdLnSchema = z
  .number('Give the spread.')
  .min(1e-4, 'A spread this small is surer than any reading.')
  .max(10, 'A spread this large says nothing.');
const calibratedSchema = z.object({ ln: z.number().min(-50).max(50), sdLn: sdLnSchema });
const viscosityPaSSchema = z
  .number('Give the viscosity in Pa·s.')
  .min(1e-6, 'The viscosity must be above 0.')
  .max(10_000, 'The viscosity is in Pa·s; glycerine is about 1.4.');
const densitySchema = z
  .number('Enter the density in g/ml.')
  .min(0.1, 'The density is in g/ml; paint lies between 0.9 and 2.')
  .max(5, 'The density is in g/ml; paint lies between 0.9 and 2.');
const roomTemperatureSchema = z
  .number('Give the room temperature.')
  .min(-10, 'Too cold to pour.')
  .max(50, 'Too hot to pour.');

/** What was read, as it was read. */
const measureSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('words'),
    stage: z.enum(STAGES.map((stage) => stage.name)),
    /** How this artist's words lay then, by what was practiced. */
    eye: calibratedSchema.extend({ spreadLn: sdLnSchema }).nullable().optional(),
  }),
  z.object({
    kind: z.literal('mound'),
    seconds: secondsSchema,
    /** ln of Pa.s for each second the mound lasts, where it was calibrated. */
    constant: calibratedSchema.nullable(),
  }),
  z.object({
    kind: z.literal('drain-cup'),
    cup: z.enum([...DRAIN_CUP_NAMES, 'own'], 'Choose the cup.'),
    /** The formula nu = a t - b / t of a cup of one's own, as it was calibrated then. */
    own: z
      .object({
        name: nameSchema,
        a: z.number().min(1e-6).max(1e6),
        b: z.number().min(0).max(1e9),
        sdLn: sdLnSchema,
      })
      .nullable(),
    seconds: secondsSchema,
    densityGPerMl: densitySchema,
  }),
  z.object({
    kind: z.literal('race'),
    by: z.enum(['time', 'length']),
    /** Seconds to the line, or mm run. */
    value: z.number('Stop the lane, or give its run length.').min(0.001, 'A lane must have run.').max(10_000),
    /** How unsure a run length is that was read off a picture, mm. */
    sdMm: z.number().min(0).max(1000).optional(),
    liquid: z.object({ name: nameSchema, viscosityPaS: viscosityPaSSchema, sdLn: sdLnSchema }).nullable(),
    card: calibratedSchema.nullable(),
  }),
]);

/** One reading of thickness; struck out, it stays on record but no longer counts. */
export const readingSchema = z.object({
  id: idSchema,
  /** Null for the lane of a reference liquid. */
  cupId: idSchema.nullable(),
  raceId: idSchema.nullable(),
  at: timestampSchema,
  temperatureC: roomTemperatureSchema.nullable(),
  /** What the cup held then; water below 0 is what it lacked. */
  contents: z.array(z.object({ ingredientId: idSchema, mg: heldMgSchema })).max(MOST.ingredientsOfCup),
  measure: measureSchema,
  struck: z.boolean(),
});

/** One reading, or all lanes of a race. */
export const readingsCreateSchema = z.object({
  readings: z
    .array(
      z.object({
        id: idSchema,
        cupId: idSchema.nullable(),
        raceId: idSchema.nullable(),
        temperatureC: roomTemperatureSchema.nullable(),
        measure: measureSchema,
      }),
    )
    .min(1, 'There is nothing to keep.')
    .max(6, 'A card has at most six lanes.'),
  /** When they were taken; left out: now. They may have waited for the server. */
  at: timestampSchema.optional(),
});

const referenceLiquidSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('glycerine'),
    massFraction: z
      .number('Give the share of glycerine.')
      .min(0, 'The share lies between 0 and 100 %.')
      .max(1, 'The share lies between 0 and 100 %.'),
    temperatureC: z.number('Give its temperature.').min(0, 'The formula holds from 0 °C.').max(100),
  }),
  z.object({
    kind: z.literal('known'),
    name: nameSchema,
    viscosityPaS: viscosityPaSSchema,
    densityGPerMl: densitySchema,
  }),
]);

const CALIBRATION_KINDS = ['card', 'mound', 'drain-cup'] as const;

/** What reference liquids did on a card, as a mound or in a cup with a hole; the constant is computed from it. */
export const calibrationSchema = z.object({
  ...recordFields,
  kind: z.enum(CALIBRATION_KINDS),
  name: nameSchema,
  points: z
    .array(z.object({ liquid: referenceLiquidSchema, seconds: secondsSchema }))
    .min(1)
    .max(30),
});

export const calibrationCreateSchema = z.object({
  id: idSchema.optional(),
  kind: z.enum(CALIBRATION_KINDS),
  name: nameSchema,
  points: z
    .array(z.object({ liquid: referenceLiquidSchema, seconds: secondsSchema }))
    .min(1, 'Time at least one reference liquid.')
    .max(30),
});

export type Reading = z.output<typeof readingSchema>;
export type ReadingInput = z.input<typeof readingsCreateSchema>['readings'][number];
export type ReadingsCreate = z.output<typeof readingsCreateSchema>;
export type Calibration = z.output<typeof calibrationSchema>;
export type CalibrationCreate = z.output<typeof calibrationCreateSchema>;
export type CalibrationKind = (typeof CALIBRATION_KINDS)[number];
