import { colorDifference } from '@icy-ribbon/core/paint/color';
import { hexOf } from '@icy-ribbon/core/picture';
import { paintScene } from './paint.ts';
import { labelNames, type Scene } from './scene.ts';
import { PLAIN_SHOT, shoot } from '../../standin/camera/shoot.ts';
import { truthOf } from './truth.ts';

jest.setTimeout(90_000);

const scene: Scene = {
  seed: 4,
  style: 'bloom',
  shape: 'rectangle',
  widthMm: 100,
  heightMm: 80,
  baseHex: '#26333f',
  activatorHex: '#ffffff',
  colorHexes: ['#9c4a2c', '#6f93a8', '#b08d3e'],
  petals: 6,
  reach: 0.9,
  cellMedianMm: 3,
  cellsPerCm2: 1.5,
  lacingWidthMm: 0.7,
  netShare: 0.5,
  mud: 0.02,
};
const PX_PER_MM = 6;
const SHOT = { ...PLAIN_SHOT, seed: 9, megapixels: 0.5, glare: 0 };

it.each(['bloom', 'dutch'] as const)(
  'the same %s scene gives the same picture, another seed another',
  (style) => {
    const paint = (seed: number) => paintScene({ ...scene, style, seed }, 3).labels;
    expect(Buffer.compare(paint(4), paint(4))).toBe(0);
    expect(Buffer.compare(paint(4), paint(5))).not.toBe(0);
  },
);

it('its truth adds up: shares to one, cells about the size asked for, a net of the width asked for', () => {
  const truth = truthOf(paintScene(scene, PX_PER_MM), 0.8);
  expect(Object.values(truth.shares).reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
  expect(truth.cells.count).toBeGreaterThan(30);
  expect(truth.cells.medianMm / scene.cellMedianMm).toBeGreaterThan(0.6);
  expect(truth.cells.medianMm / scene.cellMedianMm).toBeLessThan(1.3);
  expect(truth.lacing.areaShare).toBeGreaterThan(0.01);
  expect(truth.lacing.widthMm / scene.lacingWidthMm).toBeGreaterThan(0.6);
  expect(truth.lacing.widthMm / scene.lacingWidthMm).toBeLessThan(1.6);
});

it('no mud is painted where none is asked for', () => {
  const { shares } = truthOf(paintScene({ ...scene, mud: 0 }, 3), 0.8);
  expect(shares.mud).toBe(0);
});

it('a round support ends at its rim', () => {
  const painting = paintScene({ ...scene, shape: 'round', heightMm: 100 }, 3);
  const off = painting.labels.filter((label) => label === 255).length / painting.labels.length;
  expect(off).toBeCloseTo(1 - Math.PI / 4, 2);
});

it('every label has a name, in the order of its number', () => {
  expect(labelNames(scene)).toEqual(['base', 'activator', 'color 1', 'color 2', 'color 3', 'mud']);
});

it('a photo shows the base where the base is, at the corners that it tells', () => {
  const painting = paintScene({ ...scene, reach: 0.5 }, PX_PER_MM);
  const plain = { ...SHOT, askew: 0, light: 0, cast: 0, noise: 0, blurPx: 0 };
  const photo = shoot(painting, plain);
  const [[x, y]] = photo.corners;
  const at = 3 * ((Math.round(y) + 8) * photo.widthPx + Math.round(x) + 8);
  const [r, g, b] = [0, 1, 2].map((channel) => (photo.pixels[at + channel]! / 255) ** 2.2 / 0.88);
  expect(colorDifference(hexOf(r!, g!, b!), scene.baseHex)).toBeLessThan(4);
});

it('the same shot gives the same photo; glare brightens it', () => {
  const painting = paintScene(scene, 3);
  const mean = ({ pixels }: { pixels: Uint8Array }) =>
    pixels.reduce((sum, value) => sum + value, 0) / pixels.length;
  expect(Buffer.compare(shoot(painting, SHOT).pixels, shoot(painting, SHOT).pixels)).toBe(0);
  expect(mean(shoot(painting, { ...SHOT, glare: 8 }))).toBeGreaterThan(mean(shoot(painting, SHOT)));
});
