import { z } from 'zod';

/** Ids are UUIDs; a client may make its own, so that sending a request twice is harmless. */
export const idSchema = z.uuid('An id is a UUID.');

export const timestampSchema = z.iso
  .datetime('A time is written in UTC, like 2026-03-01T09:30:00Z.')
  .max(40, 'A time is written in UTC, like 2026-03-01T09:30:00Z.');

export const hexColorSchema = z
  .string()
  .regex(/^#[0-9a-f]{6}$/i, 'A color is written like #1f5fa8.')
  .toLowerCase();

export const nameSchema = z
  .string('Give it a name.')
  .trim()
  .min(1, 'Give it a name.')
  .max(80, 'Keep the name below 80 characters.');

export const noteSchema = z.string().max(4000, 'Keep the note below 4,000 characters.');

export const massMgSchema = z
  .int('Weights are kept in whole milligrams.')
  .min(0, 'Weights must be 0 g or more.')
  .max(20_000_000, 'More than 20 kg does not fit the table.');

/** What the artist says of an entry in a log; left out: nothing. */
export const sayingSchema = z.string().trim().max(2000, 'A note has at most 2000 characters.').default('');
