import { z } from 'zod';
import { idSchema, massMgSchema, sayingSchema as says } from '../../base/field/index.ts';
import { COAT_KINDS } from '../../flow/drying/index.ts';
import { sketchSchema } from '../sketch/index.ts';
import { CARE_CHECKS, CLOSING_STEPS, DECISIONS, FINE_WORKS } from './choices.ts';

const slopeSchema = z
  .number('Enter the slope in mm on a meter.')
  .min(-200, 'Enter a slope from −200 to 200 mm on a meter.')
  .max(200, 'Enter a slope from −200 to 200 mm on a meter.');
const centsSchema = z
  .int('Money is kept in whole cents.')
  .min(0, 'Enter 0 or more.')
  .max(1_000_000_000, 'At most 10 million.');

/** Everything that happens to a piece after its pour, by its kind, with what is noted of it. */
export const CARE_DATA = {
  /** Where it lies; null: it was taken off the rack. */
  place: z.object({ shelfId: idSchema.nullable(), slotId: z.string().min(1).max(80).nullable() }),
  /** What a bubble level showed both ways, mm on a meter: positive when the right end or the lower edge lies deeper. */
  level: z.object({ acrossMmPerM: slopeSchema, downMmPerM: slopeSchema }),
  /** The room it dries in, with the air that moves over it. */
  room: z.object({
    temperatureC: z
      .number('Enter the temperature.')
      .min(0, "Paint doesn't dry below 0 °C. Enter 0 °C or more.")
      .max(60, 'Enter 60 °C at most.'),
    humidityPercent: z
      .number()
      .min(0, 'Humidity is a percentage.')
      .max(99, 'Nothing dries at 100 % humidity. Enter less.')
      .nullable()
      .default(null),
    airMS: z
      .number('Enter the speed of the air.')
      .min(0, 'Enter 0 or more.')
      .max(20, 'Enter 20 m/s at most.'),
    /** Told by a stand-in for a device that is not there. */
    standIn: z.boolean().optional(),
  }),
  check: z.object({
    what: z.enum(CARE_CHECKS, 'Choose what was looked at.'),
    found: z.boolean(),
    /** How far it drifted or bows, where that was measured. */
    mm: z.number().min(0, 'Enter 0 mm or more.').max(2000, 'At most 2 m.').nullable().default(null),
    note: says,
  }),
  decide: z.object({ what: z.enum(DECISIONS, 'Choose what becomes of it.'), note: says }),
  /** One coat; weighed, of all its parts together. Pieces that were coated from one pot name the same pot. */
  coat: z.object({
    kind: z.enum(COAT_KINDS, 'Choose the coat.'),
    mg: massMgSchema.nullable().default(null),
    potId: idSchema.nullable().default(null),
    note: says,
  }),
  /** A try of a change; the newest of each id counts, one without marks is thrown away. */
  sketch: sketchSchema,
  work: z.object({
    what: z.enum(FINE_WORKS, 'Choose what was done.'),
    step: z.string().trim().max(200),
    note: says,
  }),
  closing: z.object({ step: z.enum(CLOSING_STEPS) }),
  /** A show it goes to, how it hangs there; an empty name takes it out again. */
  show: z.object({
    name: z.string().trim().max(80, 'Keep the name below 80 characters.'),
    opensOn: z.iso.date('Enter a date like 2026-03-01.').nullable().default(null),
    hanging: z.string().trim().max(200, 'At most 200 characters.').default(''),
  }),
  price: z.object({
    hours: z.number('Enter the hours.').min(0, 'Enter 0 hours or more.').max(10_000, 'At most 10,000 hours.'),
    paintCents: centsSchema,
    supportCents: centsSchema,
    coatCents: centsSchema,
    otherCents: centsSchema,
    askedCents: centsSchema.nullable(),
  }),
  sale: z.object({
    to: z.string().trim().max(200, 'At most 200 characters.').default(''),
    cents: centsSchema,
  }),
  void: z.object({ eventId: idSchema }),
};
