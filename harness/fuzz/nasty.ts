/** Values that stand where others belong: of another kind, at the edge, or meant to break something. */
export const NASTY: readonly (readonly [string, unknown])[] = [
  ['nothing', null],
  ['a yes', true],
  ['below zero', -1],
  ['a fraction', 0.5],
  ['beyond numbers', 1e308],
  ['next to nothing', 5e-324],
  ['the last whole number', Number.MAX_SAFE_INTEGER],
  ['beyond whole numbers', 2 ** 63],
  ['empty text', ''],
  ['blank text', ' \t\n'],
  ['a number as text', '12'],
  ['half a character', '\ud800'],
  ['a character of none', '\u0000'],
  ['text from right to left', '\u202e\u200f'],
  ['a long text', 'x'.repeat(100_000)],
  ['a path', '../../../../etc/passwd'],
  ['a query', `'; DROP TABLE piece; --`],
  ['words that search understands', '"* NEAR( AND'],
  ['a script', '<script>alert(1)</script>'],
  ['an empty list', []],
  ['a list of lists', [[[[]]]]],
  ['a long list', Array.from({ length: 3000 }, () => 0)],
  ['an empty record', {}],
  [
    'a record that would change all others',
    JSON.parse('{"__proto__": {"isAdmin": true}, "constructor": {"prototype": {}}}'),
  ],
  ['a record with a length', { length: 1e9, 0: 'x' }],
  ['a record that speaks', { toString: 'x', valueOf: 1, toJSON: 'x', then: 1 }],
];

const DEPTH = 3000;

/** JSON text with one place of a value taken by another; deep nesting is written as text, since nobody should build it. */
export function textWith(body: unknown, path: readonly (string | number)[], nasty: unknown): string {
  return JSON.stringify(replaced(body, path, nasty));
}

export const deep = (): string => `${'['.repeat(DEPTH)}${']'.repeat(DEPTH)}`;

function replaced(value: unknown, [step, ...rest]: readonly (string | number)[], by: unknown): unknown {
  if (step === undefined) return by;
  if (Array.isArray(value))
    return value.map((each, index) => (index === step ? replaced(each, rest, by) : (each as unknown)));
  if (typeof value === 'object' && value !== null) {
    return Object.fromEntries(
      Object.entries(value).map(([key, each]) => [
        key,
        key === step ? replaced(each, rest, by) : (each as unknown),
      ]),
    );
  }
  return value;
}

/** Every place in a value, the whole first. */
export function placesOf(value: unknown, path: readonly (string | number)[] = []): (string | number)[][] {
  const here = [[...path]];
  if (Array.isArray(value))
    return [...here, ...value.flatMap((each, index) => placesOf(each, [...path, index]))];
  if (typeof value !== 'object' || value === null) return here;
  return [...here, ...Object.entries(value).flatMap(([key, each]) => placesOf(each, [...path, key]))];
}
