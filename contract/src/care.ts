import { COAT_KINDS } from '@icy-ribbon/core/flow/drying';
import { CARE_CHECKS, CLOSING_STEPS, DECISIONS, FINE_WORKS } from '@icy-ribbon/core/piece/care';
import { MARK_KINDS } from '@icy-ribbon/core/piece/sketch';
import { z } from 'zod';
import { hexColorSchema, idSchema, massMgSchema, nameSchema, timestampSchema } from './common.ts';

const says = z.string().trim().max(2000, 'A note has at most 2000 characters.').default('');
const slopeSchema = z
  .number('Give the slope in mm on a meter.')
  .min(-200, 'That is no shelf any more: give mm on a meter, -200 to 200.')
  .max(200, 'That is no shelf any more: give mm on a meter, -200 to 200.');
const centsSchema = z
  .int('Money is kept in whole cents.')
  .min(0, 'Give 0 or more.')
  .max(1_000_000_000, 'At most 10 million.');

const MOST_MARKS = 200;
const MOST_POINTS = 400;
const coordinate = z.number().min(-5000).max(10_000);
const sketchMarkSchema = z.object({
  id: idSchema,
  kind: z.enum(MARK_KINDS),
  materialId: idSchema,
  name: nameSchema,
  colorHex: hexColorSchema,
  points: z
    .array(z.tuple([coordinate, coordinate]))
    .min(1)
    .max(MOST_POINTS, `A mark has at most ${MOST_POINTS} points.`),
  widthMm: z.number().min(0.5, 'A brush is at least 0.5 mm wide.').max(1000, 'At most 1 m.'),
  onlyOn: z.string().max(120).nullable(),
});

const envelope = { id: idSchema, at: timestampSchema };
const noted = <const Kind extends string, Data extends z.ZodType>(kind: Kind, data: Data) =>
  z.object({ ...envelope, kind: z.literal(kind), data });

/** The log of a piece after its pour: append-only, as that of the pour. */
export const careEventSchema = z.discriminatedUnion('kind', [
  noted('place', z.object({ shelfId: idSchema.nullable(), slotId: z.string().min(1).max(80).nullable() })),
  noted('level', z.object({ acrossMmPerM: slopeSchema, downMmPerM: slopeSchema })),
  noted(
    'room',
    z.object({
      temperatureC: z
        .number('Give the temperature.')
        .min(0, 'Below 0 °C paint does not dry.')
        .max(60, 'Too hot.'),
      humidityPercent: z
        .number()
        .min(0, 'Humidity is a percentage.')
        .max(99, 'At 100 % humidity nothing dries: give less.')
        .nullable()
        .default(null),
      airMS: z
        .number('Give the speed of the air.')
        .min(0, 'Give 0 or more.')
        .max(20, 'That is a storm: at most 20 m/s.'),
      standIn: z.boolean().optional(),
    }),
  ),
  noted(
    'check',
    z.object({
      what: z.enum(CARE_CHECKS, 'Choose what was looked at.'),
      found: z.boolean(),
      mm: z.number().min(0, 'Give 0 mm or more.').max(2000, 'At most 2 m.').nullable().default(null),
      note: says,
    }),
  ),
  noted('decide', z.object({ what: z.enum(DECISIONS, 'Choose what becomes of it.'), note: says })),
  noted(
    'coat',
    z.object({
      kind: z.enum(COAT_KINDS, 'Choose the coat.'),
      mg: massMgSchema.nullable().default(null),
      potId: idSchema.nullable().default(null),
      note: says,
    }),
  ),
  noted(
    'sketch',
    z.object({
      sketchId: idSchema,
      name: nameSchema,
      filmMm: z
        .number('Give the film in mm.')
        .min(0.05, 'The film is at least 0.05 mm.')
        .max(20, 'The film is at most 20 mm.'),
      marks: z.array(sketchMarkSchema).max(MOST_MARKS, `A sketch has at most ${MOST_MARKS} marks.`),
      chosen: z.boolean(),
    }),
  ),
  noted(
    'work',
    z.object({
      what: z.enum(FINE_WORKS, 'Choose what was done.'),
      step: z.string().trim().max(200),
      note: says,
    }),
  ),
  noted('closing', z.object({ step: z.enum(CLOSING_STEPS) })),
  noted(
    'show',
    z.object({
      name: z.string().trim().max(80, 'Keep the name below 80 characters.'),
      opensOn: z.iso.date('Give a date like 2026-03-01.').nullable().default(null),
      hanging: z.string().trim().max(200, 'At most 200 characters.').default(''),
    }),
  ),
  noted(
    'price',
    z.object({
      hours: z.number('Give the hours.').min(0, 'Give 0 hours or more.').max(10_000, 'At most 10,000 hours.'),
      paintCents: centsSchema,
      supportCents: centsSchema,
      coatCents: centsSchema,
      otherCents: centsSchema,
      askedCents: centsSchema.nullable(),
    }),
  ),
  noted(
    'sale',
    z.object({ to: z.string().trim().max(200, 'At most 200 characters.').default(''), cents: centsSchema }),
  ),
  noted('void', z.object({ eventId: idSchema })),
]);

export type CareEvent = z.output<typeof careEventSchema>;

export const ORIGIN_WAYS = ['alter', 'pour-over', 'ground', 'scrape', 'crop'] as const;

/** The piece out of which another came, and how. */
export const originSchema = z.object({
  pieceId: idSchema,
  how: z.enum(ORIGIN_WAYS, 'Choose how it came out of the other.'),
  /** Of a crop: the part, shares of the face from its top left. */
  part: z
    .object({
      x: z.number().min(0).max(1),
      y: z.number().min(0).max(1),
      width: z.number().min(0).max(1),
      height: z.number().min(0).max(1),
    })
    .nullable()
    .default(null),
});
export type Origin = z.output<typeof originSchema>;
