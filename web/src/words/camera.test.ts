import type { Puddle, Puddles } from '@icy-ribbon/core/picture';
import { coverWords, puddleWords } from './camera.ts';
import { measureWords } from './measure.ts';

const METRIC = measureWords({ mass: 'g', volume: 'ml', length: 'cm', temperature: 'C' });
const INCHES = measureWords({ mass: 'oz', volume: 'fl oz', length: 'in', temperature: 'F' });

describe('a base coat', () => {
  const cover = { bareShare: 0, bareSd: 0, thinShare: 0, spots: [], warnings: [] };
  const spot = (areaMm2: number) => ({ x: 0.5, y: 0.5, areaMm2 });

  it('is covered where no spot was found; where the ground shimmers through it is told', () => {
    expect(coverWords(cover, METRIC)).toEqual(['It is covered: no bare spot is larger than a millimeter.']);
    expect(coverWords({ ...cover, thinShare: 0.031 }, METRIC)[1]).toBe(
      'The ground shimmers through on 3\u00a0% more: spread a little over it.',
    );
  });

  it('has its bare share with its range, and how large the largest spot is', () => {
    const bare = { ...cover, bareShare: 0.0042, bareSd: 0.0006, spots: [spot(154), spot(3)] };
    expect(coverWords(bare, METRIC)).toEqual([
      'Bare on 0.4\u00a0% (±\u00a00.1\u00a0%): 2 spots, the largest 14\u00a0mm across.',
    ]);
    expect(coverWords({ ...bare, bareSd: 0.0001 }, METRIC)[0]).toContain('(±\u00a00.02\u00a0%)');
    expect(coverWords({ ...bare, spots: [spot(154)] }, INCHES)[0]).toContain(
      'one spot, the largest 0.6\u00a0in',
    );
  });

  it('is hardly begun where most is bare', () => {
    const warnings = [{ code: 'mostly-bare' as const, message: '' }];
    expect(coverWords({ ...cover, bareShare: 0.83, warnings }, METRIC)).toEqual(['Bare on about 83\u00a0%.']);
  });
});

describe('puddles', () => {
  const puddle = (diameterMm: number): Puddle => ({ x: 0, y: 0, diameterMm, sdMm: 0.2, gapMm: 8 });
  const row = (of: readonly number[], changed: Partial<Puddles> = {}): Puddles => ({
    ...{ shape: 'row', sizeSpread: 0.03, gapSpread: 0.21, odd: [], warnings: [] },
    puddles: of.map(puddle),
    ...changed,
  });

  it('that are alike are even; gaps are told beside', () => {
    expect(puddleWords(row([14, 14.3, 13.8]), METRIC)).toEqual([
      '3 puddles in a row. Their sizes are even (they vary by 3\u00a0%), the gaps between them by 21\u00a0%.',
    ]);
  });

  it('that are odd are named by their place', () => {
    const found = row([14, 22, 14, 9, 14], { shape: 'ring', sizeSpread: 0.3, odd: [1, 3] });
    expect(puddleWords(found, METRIC)).toEqual([
      '5 puddles in a ring, numbered by the clock. Their sizes vary by 30\u00a0%, the gaps between them by 21\u00a0%.',
      'The usual one is 14\u00a0mm across; the 2nd is large (22\u00a0mm) and the 4th is small (9\u00a0mm).',
    ]);
  });
});
