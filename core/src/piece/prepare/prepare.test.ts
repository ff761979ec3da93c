import { SUPPORT_KINDS, supportTraits } from '../support/index.ts';
import { isPrepareStep, prepare, prepareStepId, type PrepareInput } from './index.ts';

const size = { shape: 'rectangle', widthMm: 300, heightMm: 400, sideDepthMm: 18 } as const;
const input = (changes: Partial<PrepareInput> = {}): PrepareInput => ({
  support: size,
  cups: [],
  today: '2026-06-15',
  spillG: null,
  ...changes,
});
const codes = (changes: Partial<PrepareInput> = {}) => prepare(input(changes)).map(({ code }) => code);

it('a canvas is taped and propped, a bare-edged panel has its rim wetted (common practice)', () => {
  expect(codes()).toEqual(['strain', 'tap', 'tape', 'prop', 'tray', 'gloves']);
  expect(codes({ support: { ...size, kind: 'panel' } })).toEqual([
    'strain',
    'tap',
    'tape',
    'wet-rim',
    'tray',
    'gloves',
  ]);
  expect(codes({ support: { ...size, kind: 'tile' } })).not.toContain('tape');
});

it('every kind of support has its traits, and one that is not said is a canvas', () => {
  for (const kind of SUPPORT_KINDS) expect(Object.values(supportTraits(kind))).toHaveLength(5);
  expect(supportTraits(undefined)).toEqual(supportTraits('canvas'));
});

it('a medium that spoils is smelled at once it has stood open for half a year', () => {
  const cup = (openedOn: string | null, spoils = true) => ({
    cups: [{ name: 'Rust', isLidded: true, media: [{ name: 'conditioner', openedOn, spoils }] }],
  });
  expect(prepare(input(cup('2025-11-01')))[0]).toEqual({
    code: 'smell',
    facts: { names: ['conditioner'], months: 7 },
  });
  expect(codes(cup('2026-04-01'))).not.toContain('smell');
  expect(codes(cup(null))).not.toContain('smell');
  expect(codes(cup('2020-01-01', false))).not.toContain('smell');
  expect(prepare(input(cup(null))).find(({ code }) => code === 'lids')?.facts).toEqual({ names: ['Rust'] });
});

it('what is ticked off is a step that begins no pour', () => {
  expect(isPrepareStep(prepareStepId('tape'))).toBe(true);
  expect(isPrepareStep('base:0')).toBe(false);
});
