import { colorDifference, colorShift } from '@icy-ribbon/core/paint/color';
import { driesTo } from './driesTo.ts';

const part = (materialId: string, kind: string, dryColorHex: string | null = null) =>
  ({ targetMg: 10_000, material: { materialId, kind, colorHex: '#6f93a8', dryColorHex } }) as never;
const SHIFT = colorShift('#6f93a8', '#5f8299');

it('the next mix of a paint dries as its mixes did before', () => {
  const shelf = [{ id: 'rain', dryShift: { ...SHIFT, mixes: 3 } }];
  const found = driesTo('#6f93a8', [part('rain', 'artist-tube'), part('medium', 'flow-conditioner')], shelf)!;
  expect(colorDifference(found.hex, '#5f8299')).toBeLessThan(0.7);
  expect(found.words).toBe('dries darker');
  expect(found.from).toBe('learned from 3 of its mixes');
});

it('before any mix was seen dry, the paint’s own dry color stands in', () => {
  const found = driesTo(
    '#6f93a8',
    [part('rain', 'artist-tube', '#5f8299')],
    [{ id: 'rain', dryShift: null }],
  )!;
  expect(colorDifference(found.hex, '#5f8299')).toBeLessThan(0.7);
  expect(found.from).toMatch(/own dry color/);
});

it('says nothing while one of its paints is not known, or there is none', () => {
  expect(driesTo('#6f93a8', [part('rain', 'artist-tube')], [])).toBeUndefined();
  expect(driesTo('#6f93a8', [part('medium', 'flow-conditioner')], [])).toBeUndefined();
  const one = [{ id: 'rain', dryShift: { ...SHIFT, mixes: 1 } }];
  expect(driesTo('#6f93a8', [part('rain', 'fluid'), part('ink', 'fluid')], one)).toBeUndefined();
});
