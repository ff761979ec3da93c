import { gaussian, seededRandom } from '@icy-ribbon/core/base/random';
import { colorOf, dab, mix, MUD, type Brush } from './brush.ts';
import { DiscGrid } from './discs.ts';
import { layered, valueNoise, type Field } from '../../standin/camera/noise.ts';
import { growPetals, locate, type Petal } from './petals.ts';
import type { Scene } from './scene.ts';

/** A Dutch pour: petals of flowing color bands, cells with their rims, lacing along the bands. */
export function dutchBrush(scene: Scene): Brush {
  const random = seededRandom(scene.seed);
  const petals = growPetals(scene, random);
  const wander = layered(valueNoise(scene.seed + 1));
  const sway = layered(valueNoise(scene.seed + 2));
  const flow = layered(valueNoise(scene.seed + 3));
  const colors = scene.colorHexes.map(colorOf);
  const base = colorOf(scene.baseHex);
  const activator = colorOf(scene.activatorHex);
  const middle = { x: scene.widthMm * 0.49, y: scene.heightMm * 0.52 };
  const placeAt = (x: number, y: number) => warpedPlace(scene, petals, middle, wander, sway, x, y);
  const wanted = Math.round(estimateColored(scene, placeAt) * scene.cellsPerCm2);
  const cells = new DiscGrid(scene.widthMm, Math.max(2, scene.cellMedianMm * 2.4));
  for (let tries = 0; tries < wanted * 12 && cells.discs.length < wanted; tries += 1) {
    const radiusMm = (scene.cellMedianMm / 2) * Math.exp(0.38 * gaussian(random));
    const x = random() * scene.widthMm;
    const y = random() * scene.heightMm;
    const place = placeAt(x, y);
    if (place.depthMm < radiusMm + 1.5 || flow(x / 22, y / 22) < 0.34 + 0.2 * place.along) continue;
    if (!cells.isFree(x, y, radiusMm, 0.5)) continue;
    const band = bandAt(place, colors.length, petals[place.petal], flow, x, y);
    const color = (band.index + 1 + (cells.discs.length % 2)) % colors.length;
    cells.add({ x, y, radiusMm, color, wobble: 0, phase: 0 });
  }
  return (x, y, into) => {
    const place = placeAt(x, y);
    const light = 0.98 + 0.04 * wander(x / 160 + 9, y / 160);
    if (place.depthMm < 0) return dab(into, 0, 0, base, light);
    const band = bandAt(place, colors.length, petals[place.petal], flow, x, y);
    const cell = cells.between(x, y);
    if (cell.index >= 0 && cell.depth > -scene.lacingWidthMm) {
      if (cell.depth <= 0) return dab(into, 1, 0, activator, light);
      const { color } = cells.discs[cell.index]!;
      return dab(into, 2 + color, cell.index + 1, colors[color]!, light);
    }
    if (flow(x / 34 + 80, y / 34 + 40) < mudLevel(scene.mud)) {
      return dab(into, 2 + colors.length, 0, mix(colors[band.index]!, MUD, 0.9), light);
    }
    const laced = flow(x / 14 + 7, y / 14) > 0.42;
    const onEdge = band.edgeMm < scene.lacingWidthMm && laced;
    const onRim = place.depthMm < scene.lacingWidthMm * 1.4;
    if (onEdge || onRim) return dab(into, 1, 0, activator, light);
    const streak = 0.95 + 0.1 * flow(place.along * 5 + place.petal * 13, place.across * 26);
    dab(into, 2 + band.index, 0, colors[band.index]!, light * streak);
  };
}

/** Paint never runs straight: places are looked up where a smooth random field has pushed them. */
function warpedPlace(
  scene: Scene,
  petals: readonly Petal[],
  middle: { x: number; y: number },
  wander: Field,
  sway: Field,
  x: number,
  y: number,
): ReturnType<typeof locate> {
  const span = Math.min(scene.widthMm, scene.heightMm);
  const push = span * 0.16;
  const coarse = span / 3.2;
  const fine = span / 14;
  const dx = (wander(x / coarse, y / coarse) - 0.5) * push + (sway(x / fine, y / fine) - 0.5) * 7;
  const dy = (sway(x / coarse + 40, y / coarse) - 0.5) * push + (wander(x / fine, y / fine) - 0.5) * 7;
  return locate(petals, x - middle.x + dx, y - middle.y + dy);
}

/** Which color band a point of a petal lies in, and how far from the band's edge. */
function bandAt(
  place: ReturnType<typeof locate>,
  count: number,
  petal: Petal | undefined,
  flow: Field,
  x: number,
  y: number,
): { index: number; edgeMm: number } {
  const shift = (petal?.shift ?? 0) * count;
  const wave = 2.6 * (flow(x / 26, y / 26) - 0.5) + 0.9 * (flow(x / 7, y / 7) - 0.5);
  const coordinate = (1 - Math.abs(place.across)) * count * 0.85 + place.along * 1.6 + shift + wave;
  const index = ((Math.floor(coordinate) % count) + count) % count;
  const fraction = coordinate - Math.floor(coordinate);
  const bandMm = ((petal?.halfWidthMm ?? 10) / count) * 0.9;
  return { index, edgeMm: Math.min(fraction, 1 - fraction) * bandMm };
}

/** Colored area in square centimeters, from a coarse grid of points. */
function estimateColored(scene: Scene, placeAt: (x: number, y: number) => { depthMm: number }): number {
  const stepMm = 4;
  let inside = 0;
  for (let y = stepMm / 2; y < scene.heightMm; y += stepMm) {
    for (let x = stepMm / 2; x < scene.widthMm; x += stepMm) {
      if (placeAt(x, y).depthMm > 0) inside += 1;
    }
  }
  return (inside * stepMm * stepMm) / 100;
}

/** The level of the noise field below which about this share of its area lies (field is near normal). */
function mudLevel(share: number): number {
  return share <= 0 ? -1 : 0.5 + 0.145 * normalQuantile(Math.min(0.5, share));
}

/** Rough inverse of the normal distribution (logistic approximation), good enough to set a level. */
function normalQuantile(p: number): number {
  return Math.log(p / (1 - p)) / 1.702;
}
