import { z } from 'zod';

/** Field schemas that several calculations share; the messages say what to change. */
export const massG = z.number('Give grams as a number.').positive('Grams must be above 0.');
export const viscosityPaS = z
  .number('Give the viscosity in Pa·s as a number.')
  .positive('The viscosity must be above 0 Pa·s.');
export const densityGPerMl = z
  .number('Give the density in g/ml as a number.')
  .positive('The density must be above 0 g/ml.')
  .max(25, 'The density is in g/ml; paint lies between 0.9 and 2.');
export const fraction = z
  .number('Give a fraction between 0 and 1.')
  .min(0, 'A fraction lies between 0 and 1.')
  .max(1, 'A fraction lies between 0 and 1.');

/** A number above 0; `what` completes "Give ... as a number". */
export const positive = (what: string) =>
  z.number(`Give ${what} as a number.`).positive(`Give ${what} above 0.`);
export const notNegative = (what: string) =>
  z.number(`Give ${what} as a number.`).min(0, `Give ${what} as 0 or more.`);
export const seconds = positive('the seconds').max(100_000, 'That is longer than a day: give seconds.');
export const densityKgM3 = z
  .number('Give the density in kg/m3 as a number.')
  .min(100, 'The density is in kg/m3; paint lies between 900 and 2000.')
  .max(25_000, 'The density is in kg/m3; paint lies between 900 and 2000.');
