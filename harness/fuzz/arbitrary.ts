import type { JsonSchema } from '@icy-ribbon/contract';
import fc from 'fast-check';

/** What an id stands for, by the name of its field; the runner puts a real one in its place. */
const ID_OF: Readonly<Record<string, string>> = {
  pieceId: 'piece',
  cupId: 'mix',
  fromCupId: 'mix',
  cupIds: 'mix',
  ingredientId: 'ingredient',
  additionId: 'addition',
  materialId: 'material',
  supportId: 'support',
  eventId: 'event',
  insteadOf: 'event',
  photoId: 'photo',
  raceId: 'fresh',
};
export const token = (kind: string, index: number): string => `@${kind}@${index}@`;

const MOST_ITEMS = 4;
const TIMES = [
  '2026-03-01T09:30:00Z',
  '0001-01-01T00:00:00Z',
  '9999-12-31T23:59:59.999Z',
  '2024-02-29T12:00:00.5Z',
];
const DATES = ['2026-03-01', '0001-01-01', '9999-12-31', '2024-02-29'];

/** Values that a schema takes, with a liking for its bounds. */
export function arbitraryOf(schema: JsonSchema, name = ''): fc.Arbitrary<unknown> {
  const branches = schema.anyOf ?? schema.oneOf;
  if (branches) return fc.oneof(...branches.map((branch) => arbitraryOf(branch, name)));
  if (schema.allOf?.[0]) return arbitraryOf(schema.allOf[0], name);
  if (schema.const !== undefined) return fc.constant(schema.const);
  if (schema.enum) return fc.constantFrom(...schema.enum);
  switch (schema.type) {
    case 'object':
      return objectOf(schema);
    case 'array':
      if (schema.prefixItems) return fc.tuple(...schema.prefixItems.map((item) => arbitraryOf(item, name)));
      return fc.array(arbitraryOf(schema.items ?? {}, name), {
        minLength: schema.minItems ?? 0,
        maxLength: Math.max(schema.minItems ?? 0, Math.min(schema.maxItems ?? MOST_ITEMS, MOST_ITEMS)),
      });
    case 'string':
      return textOf(schema, name);
    case 'integer':
      return numberOf(schema, true);
    case 'number':
      return numberOf(schema, false);
    case 'boolean':
      return fc.boolean();
    case 'null':
      return fc.constant(null);
    default:
      return fc.jsonValue();
  }
}

function objectOf({
  properties = {},
  required = [],
  additionalProperties,
}: JsonSchema): fc.Arbitrary<unknown> {
  if (Object.keys(properties).length === 0 && typeof additionalProperties === 'object') {
    return fc.dictionary(fc.string({ maxLength: 12 }), arbitraryOf(additionalProperties), { maxKeys: 3 });
  }
  const entries = Object.entries(properties).map(([key, of]) => [key, arbitraryOf(of, key)] as const);
  return fc.record(Object.fromEntries(entries), { requiredKeys: [...required] });
}

function textOf(
  { format, pattern, minLength = 0, maxLength = 200 }: JsonSchema,
  name: string,
): fc.Arbitrary<string> {
  if (format === 'uuid') {
    const kind = ID_OF[name] ?? (name === 'id' ? 'fresh' : 'any');
    return fc.oneof(
      { weight: 8, arbitrary: fc.nat(30).map((index) => token(kind, index)) },
      { weight: 1, arbitrary: fc.nat(30).map((index) => token('any', index)) },
    );
  }
  if (format === 'date-time') return fc.constantFrom(...TIMES);
  if (format === 'date') return fc.constantFrom(...DATES);
  if (pattern?.startsWith('^#')) return fc.constantFrom('#9c4a2c', '#000000', '#ffffff');
  if (name === 'recipeId') return fc.constantFrom('D1', 'D2', 'B1', 'A1', 'P1', 'D8', 'nothing');
  const longest = Math.max(minLength, Math.min(maxLength, 4000));
  return fc.oneof(
    {
      weight: 6,
      arbitrary: fc.string({
        unit: 'grapheme',
        minLength: Math.max(1, minLength),
        maxLength: Math.max(1, Math.min(longest, 30)),
      }),
    },
    { weight: 1, arbitrary: fc.constant('x'.repeat(longest)) },
    { weight: 1, arbitrary: fc.constant('=1+1 "quoted", é — 漢字 🖌') },
  );
}

function numberOf(schema: JsonSchema, isWhole: boolean): fc.Arbitrary<number> {
  const step = isWhole ? 1 : 1e-6;
  const low =
    schema.minimum ?? (schema.exclusiveMinimum === undefined ? -1e6 : schema.exclusiveMinimum + step);
  const high =
    schema.maximum ?? (schema.exclusiveMaximum === undefined ? 1e6 : schema.exclusiveMaximum - step);
  const between = isWhole
    ? fc.integer({ min: Math.ceil(low), max: Math.min(Math.floor(high), 2 ** 31 - 1) })
    : fc.double({ min: low, max: high, noNaN: true });
  const usual = Math.min(high, Math.max(low, 5000));
  return fc.oneof(
    between,
    fc.constant(low),
    fc.constant(high),
    fc.constant(usual),
    fc.constant(Math.min(high, Math.max(low, 1))),
  );
}
