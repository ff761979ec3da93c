import { z } from 'zod';

type Kinds = Readonly<Record<string, z.ZodType>>;
type Entry<Rows extends Kinds, Envelope extends z.ZodRawShape> = {
  [Kind in keyof Rows & string]: z.ZodObject<
    Envelope & { readonly kind: z.ZodLiteral<Kind>; readonly data: Rows[Kind] },
    z.core.$strip
  >;
}[keyof Rows & string];

/**
 * The schema of a log: each entry's `kind` says which row its `data` follows.
 *
 * @param rows what is logged of each kind
 * @param envelope what every entry carries besides
 */
export function logSchema<Rows extends Kinds, Envelope extends z.ZodRawShape>(
  rows: Rows,
  envelope: Envelope,
): z.ZodDiscriminatedUnion<Entry<Rows, Envelope>[], 'kind'> {
  const records = Object.fromEntries(Object.entries(rows).map(([kind, data]) => [kind, z.object({ data })]));
  return recordsByKind(records, envelope) as never;
}

type Described = Readonly<Record<string, z.ZodObject>>;
type Kept<Rows extends Described, Envelope extends z.ZodRawShape> = {
  [Kind in keyof Rows & string]: z.ZodObject<
    Envelope & { readonly kind: z.ZodLiteral<Kind> } & Rows[Kind]['shape'],
    z.core.$strip
  >;
}[keyof Rows & string];

/**
 * The schema of records that differ by their `kind`; each has the fields of its row.
 *
 * @param rows what is kept of each kind
 * @param envelope what every record carries besides
 */
export function recordsByKind<Rows extends Described, Envelope extends z.ZodRawShape>(
  rows: Rows,
  envelope: Envelope,
): z.ZodDiscriminatedUnion<Kept<Rows, Envelope>[], 'kind'> {
  const records = Object.entries(rows).map(([kind, { shape }]) =>
    z.object({ ...envelope, kind: z.literal(kind), ...shape }),
  );
  return z.discriminatedUnion('kind', records as never) as never;
}
