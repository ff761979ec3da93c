import { z } from 'zod';
import type { ReadonlyDeep } from '../../base/field/index.ts';
import { AIR_TOOL_NAMES } from '../../flow/air/tools.ts';
import { AIR_WAYS } from '../../flow/air/breath.ts';

/**
 * What can be done to a piece, and how much of it at most: the one rule for a plan, its run sheet and the log of the
 * pour. What one of them takes, the others take. Messages say what to change.
 */
const distanceMm = z
  .number('Enter the distance.')
  .min(5, 'The distance is at least 0.5 cm.')
  .max(3000, 'The distance is at most 3 m.');

const setting = z.string().trim().max(40);

/** One pass of air, of any blower; the setting is left empty where a plan does not say it. */
export const airShape = {
  tool: z.enum(AIR_TOOL_NAMES, 'Choose the tool.'),
  setting,
  distanceMm,
  /** From the surface: 90 is straight down. */
  slantDeg: z
    .number('Enter the slant.')
    .min(5, 'The slant lies between 5 and 90 degrees.')
    .max(90, 'The slant lies between 5 and 90 degrees: 90 is straight down.'),
  /** Clockwise from the top edge of the support. */
  directionDeg: z.number('Enter the direction in degrees.').min(0).lt(360, 'Enter a direction below 360°.'),
  seconds: z
    .number('Enter the seconds.')
    .positive('Enter more than 0 s.')
    .max(600, 'A pass lasts at most 10 minutes.'),
  /** How it ends, where that is not how it begins. */
  end: z.strictObject({ distanceMm, setting }).nullish(),
  way: z.enum(AIR_WAYS).optional(),
};

/**
 * One pass of air, the same from its plan to its record: who plans, logs or draws it wraps it with where it is and by
 * which blower.
 */
export type AirPass = ReadonlyDeep<z.output<z.ZodObject<typeof airShape>>>;

/** Turns a minute of a spinner; 0 where a plan has no spin. */
export const spinRpm = z
  .number('Enter the turns a minute.')
  .min(0, 'Enter 0 turns a minute or more.')
  .max(600, 'Spin at most 600 turns a minute.');

/** Seconds of a spin, or of paint that runs. */
export const runSeconds = z
  .number('Enter the seconds.')
  .min(0, 'Enter 0 s or more.')
  .max(3600, 'Enter an hour at most.');

/** Degrees that a support is tipped. */
export const tiltDeg = z
  .number('Enter the degrees.')
  .positive('Tilt it more than 0 degrees.')
  .max(90, 'Tilt it at most 90 degrees.');

/** The heaviest layer, grams. */
export const MOST_LAYER_G = 50_000;
