import { NO_AIMS } from '@icy-ribbon/core/paint/stage';
import type { Mix, Piece } from '@icy-ribbon/contract';
import { csvHead, csvLines } from './csv.ts';
import { summarize } from './summary.ts';

const AT = '2026-03-01T09:30:00.000Z';
const id = (digit: number) => `3f0e8a52-1f5b-4b61-9d2c-00000000000${digit}`;
const record = { version: 1, createdAt: AT, updatedAt: AT, deletedAt: null };

const mix = (weighed: boolean): Mix =>
  ({
    ...record,
    id: id(2),
    pieceId: id(1),
    name: 'Rust',
    role: 'color',
    recipe: { id: 'D2', name: 'x', variant: null, thinning: null, restHours: 24 },
    position: 0,
    ingredients: [
      {
        id: id(3),
        role: 'paint',
        share: 1,
        targetMg: 20_000,
        material: {
          kind: 'artist-tube',
          colorHex: '#9c4a2c',
          densityGPerMl: 1.3,
          viscosityPaS: 45,
          viscosityTrust: 'typical',
        },
      },
    ],
    additions: weighed ? [{ id: id(4), ingredientId: id(3), mg: 20_100, source: 'scale', at: AT }] : [],
    movements: [],
    lid: true,
    dryColorHex: null,
  }) as unknown as Mix;

const piece = (changes: Partial<Piece> = {}): Piece => ({
  colors: null,
  topCoatedAt: null,
  touchDryAt: null,
  origin: null,
  care: [],
  rehearsals: [],
  readings: [],
  plan: null,
  ...record,
  id: id(1),
  name: 'Low tide',
  technique: 'dutch',
  aims: NO_AIMS,
  note: '',
  support: {
    supportId: id(9),
    name: 'Board',
    kind: 'board',
    shape: 'rectangle',
    widthMm: 300,
    heightMm: 400,
    sideDepthMm: 18,
  },
  mixes: [mix(true)],
  events: [],
  photos: [],
  judgement: null,
  ...changes,
});

const layer = { id: id(5), at: AT, kind: 'layer', data: { cupId: id(2), mg: 15_000 } } as const;
const strike = { id: id(6), at: AT, kind: 'void', data: { eventId: id(5) } } as const;

it('tells of each cup what was weighed in, laid and left', () => {
  expect(summarize(piece({ events: [layer] })).mixes[0]).toMatchObject({
    colorHex: '#9c4a2c',
    phase: 'mixed',
    actualMg: 20_100,
    laidMg: 15_000,
    leftMg: 5_100,
    mixedAt: AT,
    restHours: 24,
  });
});

it('what was taken back counts for nothing', () => {
  const summary = summarize(piece({ events: [layer, strike] }));
  expect(summary.mixes[0]).toMatchObject({ laidMg: 0, leftMg: 20_100 });
  expect(summary).toMatchObject({ pouredAt: null, phase: 'mixed', next: 'Test the thickness.' });
});

it('a cup that is not weighed in has no time at which it was mixed', () => {
  const summary = summarize(piece({ mixes: [mix(false)] }));
  expect(summary.mixes[0]).toMatchObject({ phase: 'planned', mixedAt: null, actualMg: 0 });
  expect(summary.station).toBe('mix');
});

it('the newest photo stands for the piece', () => {
  const photo = (digit: number) => ({
    id: id(digit),
    pieceId: id(1),
    version: 1,
    state: 'wet' as const,
    hash: 'a'.repeat(64),
    original: null,
    standIn: false,
    widthPx: 10,
    heightPx: 10,
    measurement: null,
    createdAt: AT,
    deletedAt: null,
  });
  expect(summarize(piece({ photos: [photo(7), photo(8)] })).photo).toMatchObject({ id: id(8) });
});

it('as CSV, names with commas and quotes are quoted and formulas disarmed', () => {
  const text = csvLines('pieces', [
    summarize(piece({ name: 'Tide, "low"' })),
    summarize(piece({ name: '=SUM(A1)' })),
  ]);
  const [, first, second] = text.split('\r\n');
  expect(first?.startsWith('"Tide, ""low""",dutch,mixed')).toBe(true);
  expect(second?.startsWith(`'=SUM(A1)`) || second?.startsWith(`"'=SUM(A1)"`)).toBe(true);
});

it('a table as CSV goes out in parts: one head, a line break before each line, as many fields as columns', () => {
  for (const table of ['pieces', 'mixes', 'passes'] as const) {
    const columns = csvHead(table).split(',');
    const part = csvLines(table, [summarize(piece({}))]);
    expect(part === '' || part.startsWith('\r\n')).toBe(true);
    expect(part.endsWith('\r\n')).toBe(false);
    for (const line of part.split('\r\n').slice(1)) expect(line.split(',')).toHaveLength(columns.length);
  }
  expect(csvLines('mixes', [])).toBe('');
});
