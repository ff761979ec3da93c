import { measurePhoto, wetDry, type Measured } from '@icy-ribbon/core/picture';
import { paintScene, type Painting } from '../testing/painter/paint.ts';
import type { Scene } from '../testing/painter/scene.ts';
import { casualShot, shoot } from '../standin/camera/shoot.ts';

jest.setTimeout(240_000);

const WET = ['#17161a', '#ece9e2', '#1f5fa8', '#25a6a0', '#c6357a'] as const;
const DRY = WET.map((hex) => darker(hex, 0.9));

/** Every channel of a color times a factor, as a screen shows it. */
function darker(hex: string, factor: number): string {
  const channel = (start: number) =>
    Math.round(Number.parseInt(hex.slice(start, start + 2), 16) * factor)
      .toString(16)
      .padStart(2, '0');
  return `#${channel(1)}${channel(3)}${channel(5)}`;
}

const painted = ([baseHex, activatorHex, ...colorHexes]: readonly string[]): Painting => {
  const scene: Scene = {
    seed: 5,
    style: 'bloom',
    shape: 'rectangle',
    widthMm: 120,
    heightMm: 90,
    baseHex: baseHex!,
    activatorHex: activatorHex!,
    colorHexes,
    petals: 5,
    reach: 0.85,
    cellMedianMm: 2.6,
    cellsPerCm2: 2,
    lacingWidthMm: 0.7,
    netShare: 0.5,
    mud: 0.004,
  };
  return paintScene(scene, 12);
};

/** Photographed and measured by the wet palette; `cornersOff` is how badly the corners were pointed at, in pixels. */
function photographed(painting: Painting, seed: number, cornersOff = 0): Measured {
  const photo = shoot(painting, { ...casualShot(seed, 2), glare: 0, light: 0.12 });
  const off = (at: number) => (at % 2 === 0 ? cornersOff : -cornersOff);
  const corners = photo.corners.map(([x, y], at) => [
    x + off(at),
    y - off(at),
  ]) as unknown as typeof photo.corners;
  const { widthPx, heightPx, pixels, grayPatchMm } = photo;
  return measurePhoto(
    { widthPx, heightPx, channels: 3, data: pixels },
    {
      corners,
      grayPatchMm,
      widthMm: 120,
      heightMm: 90,
      palette: WET.map((hex, index) => ({ name: String(index), hex })),
      base: '0',
      activator: '1',
      minCellMm: 0.8,
    },
  );
}

const painting = painted(WET);
const wet = photographed(painting, 21);

it('the same paint photographed twice has changed nowhere, corners a few pixels off or not', () => {
  const found = wetDry(wet, photographed(painting, 22, 4));
  expect(found.matched).toBeGreaterThan(0.93 * wet.cells.list.length);
  // Drift within 0.01 mm, by common practice of comparing cells one by one; no published source.
  expect(Math.abs(found.driftMm)).toBeLessThan(0.01);
  expect(found.movedMm).toBeLessThan(0.1);
  expect(found.against).toBe('card');
  expect(found.opened + found.closed).toBeLessThan(0.02 * wet.cells.list.length);
  expect(found.shifts.filter((shift) => shift.isSeen)).toEqual([]);
});

it('paint that dried darker, every color alike, is seen against the gray card', () => {
  const found = wetDry(wet, photographed(painted(DRY), 23));
  const seen = found.shifts.filter((shift) => shift.isSeen).map((shift) => shift.name);
  expect(seen).toEqual(expect.arrayContaining(['1', '2', '3', '4']));
});

it('without a card the bases are made equally bright, which hides what all colors share', () => {
  const without = { ...wet, cardLevel: null };
  const found = wetDry(without, photographed(painted(DRY), 23));
  expect(found.against).toBe('base');
  expect(found.shifts.find((shift) => shift.name === '1')!.dE).toBeLessThan(3);
});
