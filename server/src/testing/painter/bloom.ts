import { gaussian, seededRandom, type Random } from '@icy-ribbon/core/base/random';
import { colorOf, dab, mix, MUD, type Brush } from './brush.ts';
import { DiscGrid, type Disc } from './discs.ts';
import { layered, valueNoise } from '../../standin/camera/noise.ts';
import type { Scene } from './scene.ts';

const HARMONICS = [2, 3, 4, 5, 7];
const PLAIN_MIDDLE = 0.09;
const INNER_EDGE = 0.64;

/**
 * A bloom: petals that meet along wandering lines; inside them either a net with cells between its strokes
 * or a sheet of activator with dots in it; outside, the petal's color with scattered dots.
 */
export function bloomBrush(scene: Scene): Brush {
  const random = seededRandom(scene.seed);
  const flower = outlineOf(scene, random);
  const wander = layered(valueNoise(scene.seed + 1));
  const sway = valueNoise(scene.seed + 2);
  const colors = scene.colorHexes.map(colorOf);
  const base = colorOf(scene.baseHex);
  const activator = colorOf(scene.activatorHex);
  const mudLabel = 2 + colors.length;
  const turn = random() * 2 * Math.PI;
  const isNet = Array.from({ length: scene.petals }, (_, petal) => {
    const before = Math.floor(petal * scene.netShare + 0.5);
    return Math.floor((petal + 1) * scene.netShare + 0.5) > before;
  });

  const place = { petal: 0, out: 0, inner: 0, softness: 0 };
  const locate = (x: number, y: number) => {
    const dx = x - flower.x;
    const dy = y - flower.y;
    const radius = Math.hypot(dx, dy);
    const angle = Math.atan2(dy, dx);
    const edge = flower.radiusAt(angle);
    place.out = radius / edge;
    if (place.out >= 1) return;
    const bend =
      0.5 * (wander(radius / 40 + 3, angle + 20) - 0.5) + 0.25 * Math.sin(radius / 28 + scene.seed);
    const turned = ((((angle + turn + bend) / (2 * Math.PI)) % 1) + 1) % 1;
    place.petal = Math.min(scene.petals - 1, Math.floor(turned * scene.petals));
    const fraction = turned * scene.petals - place.petal;
    place.softness = Math.min(fraction, 1 - fraction) * ((2 * Math.PI * radius) / scene.petals);
    place.inner = INNER_EDGE + 0.22 * (wander(x / 45 + 60, y / 45) - 0.5) + 0.03 * (sway(x / 5, y / 5) - 0.5);
  };
  const petalColor = (petal: number) => petal % colors.length;

  const other = (index: number) => (index + 1 + Math.floor(random() * (colors.length - 1))) % colors.length;
  const scatter = (accepts: (disc: Disc) => number | null, density: number, gapMm: number) =>
    scatterDots(scene, flower, random, density, gapMm, accepts);
  const net = netSeeds(scene, flower, random, (x, y) => {
    locate(x, y);
    if (!isNet[place.petal] || place.out > place.inner + 0.06 || place.out < PLAIN_MIDDLE * 0.7) return null;
    return random() < 0.78 ? petalColor(place.petal) : other(petalColor(place.petal));
  });
  const inSheet = scatter(
    ({ x, y, radiusMm }) => {
      locate(x, y);
      const margin = (radiusMm + 0.5) / flower.reachMm;
      if (isNet[place.petal] || place.out > place.inner - margin) return null;
      if (place.out < PLAIN_MIDDLE + margin || place.softness < radiusMm + 0.5) return null;
      return random() < 0.75 ? petalColor(place.petal) : other(petalColor(place.petal));
    },
    scene.cellsPerCm2 * 1.6,
    0.35,
  );
  const outside = scatter(
    ({ x, y, radiusMm }) => {
      locate(x, y);
      const margin = (radiusMm + 0.5) / flower.reachMm;
      if (place.out < place.inner + margin || place.out > 0.98 - margin) return null;
      if (place.softness < radiusMm + 0.5) return null;
      return random() < 0.5 ? -1 : other(petalColor(place.petal));
    },
    scene.cellsPerCm2,
    0.6,
  );
  const mudAt = mudPatches(scene, flower, random, sway);
  const firstSheetId = net.discs.length + 1;
  const firstOuterId = firstSheetId + inSheet.discs.length;

  return (x, y, into) => {
    locate(x, y);
    if (place.out >= 1) return dab(into, 0, 0, base, 0.985 + 0.03 * wander(x / 60, y / 60));
    if (mudAt(x, y)) return dab(into, mudLabel, 0, MUD);
    const own = petalColor(place.petal);
    const shade = 0.98 + 0.04 * wander(x / 30 + 9, y / 30);
    const { petal, out, inner, softness } = place;
    if (out < inner && out > PLAIN_MIDDLE) {
      if (isNet[petal]) {
        const found = net.between(x, y);
        const stroke = scene.lacingWidthMm * (0.55 + 0.9 * wander(x / 12 + 30, y / 12));
        if (found.index >= 0 && found.gap > stroke) {
          const color = net.discs[found.index]!.color;
          return dab(into, 2 + color, found.index + 1, colors[color]!, shade);
        }
        return dab(into, 1, 0, activator, shade);
      }
      const found = inSheet.holding(x, y, sway);
      if (found >= 0) {
        const { color } = inSheet.discs[found]!;
        return dab(into, 2 + color, firstSheetId + found, colors[color]!, shade);
      }
      return dab(into, 1, 0, activator, shade);
    }
    const found = outside.holding(x, y, sway);
    if (found >= 0) {
      const { color } = outside.discs[found]!;
      if (color < 0) return dab(into, 1, firstOuterId + found, activator, shade);
      if (color !== own) return dab(into, 2 + color, firstOuterId + found, colors[color]!, shade);
    }
    if (softness < 0.8 && out > 0.12) {
      // Where two petals meet the colors run into each other a little.
      const beside = petalColor((petal + scene.petals + (isLeft(x, y) ? -1 : 1)) % scene.petals);
      return dab(into, 2 + own, 0, mix(colors[own]!, colors[beside]!, 0.5 - 0.5 * (softness / 0.8)), shade);
    }
    dab(into, 2 + own, 0, colors[own]!, shade);
  };

  function isLeft(x: number, y: number): boolean {
    const angle = Math.atan2(y - flower.y, x - flower.x);
    const radius = Math.hypot(x - flower.x, y - flower.y);
    const bend =
      0.5 * (wander(radius / 40 + 3, angle + 20) - 0.5) + 0.25 * Math.sin(radius / 28 + scene.seed);
    const turned = ((((angle + turn + bend) / (2 * Math.PI)) % 1) + 1) % 1;
    return turned * scene.petals - Math.floor(turned * scene.petals) < 0.5;
  }
}

export interface Flower {
  readonly x: number;
  readonly y: number;
  readonly reachMm: number;
  radiusAt(angle: number): number;
}

function outlineOf(scene: Scene, random: Random): Flower {
  const shorter = Math.min(scene.widthMm, scene.heightMm) / 2;
  const longer = Math.max(scene.widthMm, scene.heightMm) / 2;
  const wide = scene.widthMm >= scene.heightMm;
  const waves = HARMONICS.map((count) => ({
    count,
    height: (0.11 / Math.sqrt(count)) * gaussian(random) * 0.8,
    phase: random() * 2 * Math.PI,
  }));
  waves.push({ count: scene.petals, height: 0.09, phase: random() * 2 * Math.PI });
  const reachMm = scene.reach * shorter;
  const stretch = 1 + 0.55 * (longer / shorter - 1);
  return {
    x: scene.widthMm * (0.5 + 0.02 * gaussian(random)),
    y: scene.heightMm * (0.5 + 0.02 * gaussian(random)),
    reachMm: reachMm * stretch,
    radiusAt(angle) {
      const along = wide ? Math.cos(angle) : Math.sin(angle);
      let wave = 0.88;
      for (const { count, height, phase } of waves) wave += height * Math.cos(count * angle + phase);
      return reachMm * wave * (1 + (stretch - 1) * along * along);
    },
  };
}

/** Seeds of a net: discs that nearly touch, their sizes scattered about the median. */
function netSeeds(
  scene: Scene,
  flower: Flower,
  random: Random,
  accepts: (x: number, y: number) => number | null,
): DiscGrid {
  const grid = new DiscGrid(scene.widthMm, Math.max(2, scene.cellMedianMm * 2.4));
  const areaMm2 = Math.PI * flower.reachMm ** 2;
  const tries = Math.round((areaMm2 / scene.cellMedianMm ** 2) * 30);
  for (let attempt = 0; attempt < tries; attempt += 1) {
    const shrink = 1 - 0.45 * (attempt / tries);
    const radiusMm = (scene.cellMedianMm / 2) * Math.exp(0.36 * gaussian(random)) * shrink;
    const x = flower.x + (2 * random() - 1) * flower.reachMm;
    const y = flower.y + (2 * random() - 1) * flower.reachMm;
    if (!grid.isFree(x, y, radiusMm, scene.lacingWidthMm * 0.6)) continue;
    const color = accepts(x, y);
    if (color !== null) grid.add({ x, y, radiusMm, color, wobble: 0, phase: 0 });
  }
  return grid;
}

/** Dots thrown where `accepts` gives them a color; some of them touch a twin of the same color. */
function scatterDots(
  scene: Scene,
  flower: Flower,
  random: Random,
  perCm2: number,
  gapMm: number,
  accepts: (disc: Disc) => number | null,
): DiscGrid {
  const grid = new DiscGrid(scene.widthMm, Math.max(2, scene.cellMedianMm * 2.4));
  const wanted = Math.round(((Math.PI * flower.reachMm ** 2) / 100) * perCm2 * 2);
  for (let attempt = 0; attempt < wanted * 3; attempt += 1) {
    const radiusMm = (scene.cellMedianMm / 2) * 0.8 * Math.exp(0.42 * gaussian(random));
    const disc: Disc = {
      x: flower.x + (2 * random() - 1) * flower.reachMm,
      y: flower.y + (2 * random() - 1) * flower.reachMm,
      radiusMm,
      color: 0,
      wobble: 0.05 + 0.09 * random(),
      phase: random() * 6.3,
    };
    if (!grid.isFree(disc.x, disc.y, radiusMm, gapMm)) continue;
    const color = accepts(disc);
    if (color === null) continue;
    grid.add({ ...disc, color });
    if (random() > 0.1 || grid.discs.length > wanted) continue;
    const twinRadius = radiusMm * (0.7 + 0.5 * random());
    const angle = random() * 2 * Math.PI;
    const apart = 0.93 * (radiusMm + twinRadius);
    const twin: Disc = {
      ...disc,
      color,
      radiusMm: twinRadius,
      wobble: 0.04,
      x: disc.x + apart * Math.cos(angle),
      y: disc.y + apart * Math.sin(angle),
    };
    if (accepts(twin) !== null && grid.isFree(twin.x, twin.y, twinRadius, gapMm, grid.discs.length - 1)) {
      grid.add(twin);
    }
  }
  return grid;
}

/** A few wobbling blots whose area comes to the share asked for. */
function mudPatches(
  scene: Scene,
  flower: Flower,
  random: Random,
  sway: (x: number, y: number) => number,
): (x: number, y: number) => boolean {
  const areaMm2 = scene.mud * Math.PI * (0.8 * flower.reachMm) ** 2;
  const count = areaMm2 > 400 ? 3 : areaMm2 > 120 ? 2 : 1;
  const radius = Math.sqrt(areaMm2 / count / Math.PI);
  const blots = Array.from({ length: areaMm2 > 1 ? count : 0 }, () => {
    const angle = random() * 2 * Math.PI;
    const far = (0.25 + 0.4 * random()) * flower.radiusAt(angle);
    return { x: flower.x + far * Math.cos(angle), y: flower.y + far * Math.sin(angle) };
  });
  return (x, y) =>
    blots.some((blot) => {
      const far = Math.hypot(x - blot.x, y - blot.y);
      return far < radius * (1 + 0.9 * (sway(x / 9 + 70, y / 9) - 0.5));
    });
}
