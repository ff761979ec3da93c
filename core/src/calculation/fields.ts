import { z } from 'zod';

/** Field schemas that several calculations share; the messages say what to change. */
export const massG = z.number('Give grams as a number.').positive('Grams must be above 0.');
export const viscosityPaS = z
  .number('Give the viscosity in Pa.s as a number.')
  .positive('The viscosity must be above 0 Pa.s.');
export const densityGPerMl = z
  .number('Give the density in g/ml as a number.')
  .positive('The density must be above 0 g/ml.')
  .max(25, 'The density is in g/ml; paint lies between 0.9 and 2.');
export const fraction = z
  .number('Give a fraction between 0 and 1.')
  .min(0, 'A fraction lies between 0 and 1.')
  .max(1, 'A fraction lies between 0 and 1.');
