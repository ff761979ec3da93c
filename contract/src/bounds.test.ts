import { z } from 'zod';
import { hasPart } from './endpoint.ts';
import {
  allEndpoints,
  archiveSchema,
  overfull,
  pieceDocumentSchema,
  photoUploadFields,
  unboundedIn,
} from './index.ts';

const INPUTS: readonly (readonly [string, z.ZodType])[] = [
  ...allEndpoints().flatMap((each) =>
    (['params', 'query', 'body'] as const).flatMap((part): [string, z.ZodType][] =>
      hasPart(each[part]) ? [[`${part} of ${each.method} ${each.path}`, each[part]]] : [],
    ),
  ),
  ['the studio in a zip', archiveSchema],
  ['the document of a piece', pieceDocumentSchema],
  ['the fields beside a photo', photoUploadFields],
];

describe('everything that comes in is bounded', () => {
  it.each(INPUTS)('%s', (_, schema) => {
    expect(unboundedIn(schema)).toEqual([]);
  });

  it('finds what is not', () => {
    const schema = z.object({
      list: z.array(z.object({ word: z.string(), low: z.number().max(1) })),
      table: z.record(z.string(), z.boolean()),
      either: z.union([z.literal(1), z.int()]),
      pattern: z.string().regex(/^a+$/),
      fine: z.tuple([
        z.number().positive().lt(3),
        z.uuid(),
        z.enum(['a']),
        z.string().regex(/^#[0-9a-f]{6}$/),
      ]),
    });
    expect(unboundedIn(schema).sort()).toEqual(
      ['either', 'list', 'list.[].low', 'list.[].word', 'pattern', 'table'].sort(),
    );
  });
});

describe('a list that is too long is found before its items are looked at', () => {
  const schema = z.object({
    parts: z.array(z.object({ names: z.array(z.string().max(9)).max(2) })).max(3),
    either: z
      .discriminatedUnion('kind', [
        z.object({ kind: z.literal('few'), of: z.array(z.unknown()).max(1) }),
        z.object({ kind: z.literal('many'), of: z.array(z.unknown()).max(5) }),
      ])
      .optional(),
  });

  it('wherever it stands', () => {
    expect(overfull(schema, { parts: [1, 2, 3, 4] })).toMatchObject({ path: 'parts' });
    expect(overfull(schema, { parts: [{ names: [] }, { names: [1, 2, 3] }] })).toMatchObject({
      path: 'parts.1.names',
      message: 'At most 2 can stand here; these are 3.',
    });
    expect(overfull(schema, { parts: [], either: { kind: 'few', of: [1, 2] } })).toMatchObject({
      path: 'either.of',
    });
  });

  it('and nothing else is', () => {
    for (const value of [
      { parts: [{ names: ['a', 'b'] }], either: { kind: 'many', of: [1, 2, 3] } },
      { parts: 'no list', either: { kind: 'none' } },
      null,
      [[[]]],
      { constructor: [1, 2, 3, 4, 5], __proto__: { parts: [1, 2, 3, 4] } },
    ]) {
      expect(overfull(schema, value)).toBeUndefined();
    }
  });
});
