import type { PouredCup, PourRecord } from '../src/judgement/outcome/record.ts';
import { paintedArea } from '../src/piece/support/index.ts';

/** A cup as it was poured, for tests; common amounts and thicknesses of a bloom. */
export const pouredCup = (
  id: string,
  role: PouredCup['role'],
  changes: Partial<PouredCup> = {},
): PouredCup => ({
  id,
  name: id,
  role,
  colorHex: '#808080',
  viscosityPaS: role === 'activator' ? 0.7 : 2.8,
  densityGPerMl: 1.1,
  waterFraction: 0.1,
  laidMg: role === 'activator' ? 6_000 : role === 'pillow' ? 130_000 : 20_000,
  opacity: 'semi-opaque',
  finish: 'plain',
  partsWords: '2 : 1',
  restedHours: 12,
  hasWeakBinder: false,
  hasSilicone: false,
  ...changes,
});

/** A bloom in which nothing was done wrong; common practice, no published source. */
export const GOOD_BLOOM: PourRecord = {
  id: 'x',
  name: 'x',
  technique: 'bloom',
  support: { shape: 'rectangle', widthMm: 250, heightMm: 250, sideDepthMm: 10 },
  pouredAt: '2026-03-01T10:00:00Z',
  cups: [
    pouredCup('white', 'pillow'),
    pouredCup('rust', 'color'),
    pouredCup('rain', 'color'),
    pouredCup('moss', 'color'),
    pouredCup('ink', 'activator'),
  ],
  order: ['white', 'rust', 'rain', 'moss', 'ink'],
  passes: [{ tool: 'mouth', setting: 'steady', distanceMm: 150, slantDeg: 25, directionDeg: 0, seconds: 15 }],
  torches: 1,
  torchedAfterAir: false,
  waitSeconds: 120,
  spins: [],
  tilts: 0,
  addedMg: 0,
  temperatureC: 21,
  humidityPercent: 50,
  outcome: null,
  rating: null,
  faults: [],
};

/** Turns a minute at which the whole of a pour, less what runs off, pulls with 20 Pa at its rim: rho w^2 r h, by hand. */
export function spinLineRpmOf({ cups, support }: Pick<PourRecord, 'cups' | 'support'>): number {
  const ml = cups.reduce((sum, { laidMg, densityGPerMl }) => sum + laidMg / 1000 / densityGPerMl, 0);
  const grams = cups.reduce((sum, { laidMg }) => sum + laidMg / 1000, 0);
  const { faceCm2, sidesCm2 } = paintedArea(support);
  const thickM = (0.85 * ml) / (faceCm2 + sidesCm2) / 100;
  const radiusM = Math.min(support.widthMm, support.heightMm) / 2000;
  return (60 / (2 * Math.PI)) * Math.sqrt(20 / (((1000 * grams) / ml) * radiusM * thickM));
}
