import { paintScene } from './paint.ts';
import type { Scene } from './scene.ts';

const scene: Scene = {
  seed: 4,
  shape: 'rectangle',
  widthMm: 200,
  heightMm: 150,
  baseHex: '#26333f',
  activatorHex: '#ffffff',
  colorHexes: ['#9c4a2c', '#6f93a8', '#b08d3e'],
  petals: 6,
  reach: 1,
  cellMedianMm: 3,
  cellsPerCm2: 1.5,
  lacingWidthMm: 0.6,
  mud: 0.03,
};

const LONG_SIDE = 300;

it('the same scene gives the same picture, another seed another', () => {
  const [a, b] = [paintScene(scene, LONG_SIDE), paintScene(scene, LONG_SIDE)];
  expect(Buffer.compare(a.pixels, b.pixels)).toBe(0);
  expect(Buffer.compare(a.pixels, paintScene({ ...scene, seed: 5 }, LONG_SIDE).pixels)).not.toBe(0);
  expect([a.widthPx, a.heightPx]).toEqual([300, 225]);
});

it('its truth adds up: shares to one, cells about the size asked for', () => {
  const { truth } = paintScene(scene, LONG_SIDE);
  expect(Object.values(truth.shares).reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
  expect(truth.cells.count).toBeGreaterThan(40);
  expect(truth.cells.medianMm / scene.cellMedianMm).toBeGreaterThan(0.75);
  expect(truth.cells.medianMm / scene.cellMedianMm).toBeLessThan(1.25);
});

it('the shares it tells are those a count of its pixels finds', () => {
  const { pixels, truth } = paintScene({ ...scene, cellsPerCm2: 0, mud: 0 }, LONG_SIDE);
  let dark = 0;
  for (let offset = 0; offset < pixels.length; offset += 3) {
    if (pixels[offset]! < 75 && pixels[offset + 1]! < 90 && pixels[offset + 2]! < 100) dark += 1;
  }
  expect(dark / (pixels.length / 3)).toBeCloseTo(truth.shares.base ?? 0, 1);
});

it('mud and cells follow what the scene asks', () => {
  const muddy = paintScene({ ...scene, mud: 0.2 }, LONG_SIDE).truth.shares.mud ?? 0;
  const clean = paintScene({ ...scene, mud: 0 }, LONG_SIDE).truth.shares.mud ?? 0;
  expect(clean).toBe(0);
  expect(muddy).toBeGreaterThan(0.01);
});

it('a round support leaves the table around it out of the shares', () => {
  const { truth } = paintScene({ ...scene, shape: 'round', heightMm: 200 }, LONG_SIDE);
  expect(Object.values(truth.shares).reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
});
