import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { describe, expect, it } from '@jest/globals';
import { SPACE } from '../web/src/theme/tokens.ts';

const SOURCES = join(import.meta.dirname, '../web/src');

const files = readdirSync(SOURCES, { recursive: true, encoding: 'utf8' })
  .filter((name) => /\.(vue|css|ts)$/.test(name) && !name.endsWith('.test.ts'))
  .map((name) => join(SOURCES, name));

const stylesOf = (file: string): string => {
  const text = readFileSync(file, 'utf8');
  if (file.endsWith('.css')) return text;
  return [...text.matchAll(/<style[^>]*>([\s\S]*?)<\/style>/g)].map(([, css]) => css).join('\n');
};

interface Declaration {
  readonly file: string;
  readonly property: string;
  readonly value: string;
}

const declarations: Declaration[] = files.flatMap((file) =>
  [
    ...stylesOf(file)
      .replace(/\/\*[\s\S]*?\*\//g, '')
      .matchAll(/([a-z-]+):\s*([^;{}]+);/g),
  ].map(([, property = '', value = '']) => ({
    file: relative(SOURCES, file),
    property,
    value: value.trim(),
  })),
);

const asLines = (found: readonly Declaration[]) =>
  found.map(({ file, property, value }) => `${file}  ${property}: ${value}`);

describe('style sheets', () => {
  it('are all read', () => {
    expect(declarations.length).toBeGreaterThan(1000);
  });

  it('take every color from the tokens', () => {
    const NAMED = /\b(white|black|red|green|blue|gray|grey|gold|orange|yellow|silver|navy|teal)\b/;
    const LITERAL = /#[0-9a-f]{3,8}\b|\b(rgba?|hsla?|hwb|lab|lch|oklab|oklch|color|color-mix)\(/i;
    const wrong = declarations.filter(({ value }) => LITERAL.test(value) || NAMED.test(value));
    expect(asLines(wrong)).toEqual([]);
  });

  it('take every size and weight of type from the tokens', () => {
    const wrong = declarations.filter(
      ({ property, value }) =>
        (property === 'font-size' &&
          !/^(inherit|var\(--type-\w+\)|min\(\S+, 2 \* var\(--type-numeral\)\))$/.test(value)) ||
        (property === 'font-weight' && !/^(inherit|var\(--weight-\w+\))$/.test(value)) ||
        (property === 'font' && value !== 'inherit') ||
        (property === 'font-family' && !/^(inherit|var\(--face\))$/.test(value)),
    );
    expect(asLines(wrong)).toEqual([]);
  });

  it('space things in steps of the tokens', () => {
    const steps = new Set<number>(SPACE);
    const wrong = declarations.filter(
      ({ property, value }) =>
        /^(padding|margin|gap|row-gap|column-gap)/.test(property) &&
        !value.includes('calc(') &&
        [...value.matchAll(/(\d+(?:\.\d+)?)px/g)].some(([, px]) => !steps.has(Number(px))),
    );
    expect(asLines(wrong)).toEqual([]);
  });
});

/** Colors of paint that nobody has mixed yet, or that a form begins with: no part of the look. */
const PAINT = [
  'field/ColorField.vue',
  'station/shelf/parts/ColorMatch.vue',
  'station/shelf/parts/materialDraft.ts',
  'station/results/parts/photoInput.ts',
  'station/practice/parts/readyPours.ts',
  'station/results/parts/MeasuredNumbers.vue',
  'store/plan/plannedPaint.ts',
];

describe('drawings and charts', () => {
  it('take every color from the tokens', () => {
    const wrong = files
      .map((file) => relative(SOURCES, file))
      .filter((name) => name !== 'theme/tokens.ts' && !PAINT.includes(name))
      .filter((name) => /['"`]#[0-9a-f]{6}|rgba?\(/i.test(readFileSync(join(SOURCES, name), 'utf8')));
    expect(wrong).toEqual([]);
  });
});
