import { gaussian, type Random } from '@icy-ribbon/core/base/random';
import type { Scene } from './scene.ts';

export interface Petal {
  readonly angle: number;
  readonly cos: number;
  readonly sin: number;
  readonly lengthMm: number;
  readonly halfWidthMm: number;
  readonly shift: number;
}

/** Where a point lies in a flower: how deep inside a petal, and where along and across it. */
export interface PetalPlace {
  /** Millimeters inside the outline; negative outside. */
  readonly depthMm: number;
  /** 0 at the middle of the flower, 1 at the petal's tip. */
  readonly along: number;
  /** -1 and 1 at the petal's two edges. */
  readonly across: number;
  readonly petal: number;
}

export function growPetals(scene: Scene, random: Random): Petal[] {
  const reachMm = (scene.reach * Math.min(scene.widthMm, scene.heightMm)) / 2;
  return Array.from({ length: scene.petals }, (_, index) => {
    const angle = (2 * Math.PI * (index + 0.22 * gaussian(random))) / scene.petals;
    const lengthMm = reachMm * (0.9 + 0.12 * gaussian(random)) * stretch(scene, angle);
    return {
      angle,
      cos: Math.cos(angle),
      sin: Math.sin(angle),
      lengthMm,
      halfWidthMm: ((1.35 * Math.PI * lengthMm) / scene.petals) * 0.42,
      shift: random(),
    };
  });
}

/** Petals run further along the longer side of the support. */
function stretch(scene: Scene, angle: number): number {
  const ratio = Math.max(scene.widthMm, scene.heightMm) / Math.min(scene.widthMm, scene.heightMm);
  const along = scene.heightMm > scene.widthMm ? Math.sin(angle) : Math.cos(angle);
  return 1 + (ratio - 1) * 0.7 * along * along;
}

const PROFILE_STEPS = 256;
/** Half-width along a petal, as a share of its widest: rounded at the middle, pointed at the tip. */
const PROFILE = Float64Array.from({ length: PROFILE_STEPS + 1 }, (_, step) => {
  const along = step / PROFILE_STEPS;
  return Math.max(0, Math.sin(Math.PI * (0.12 + 0.88 * along) ** 1.25)) ** 0.6;
});

/** The petal that holds a point (millimeters from the middle) deepest. */
export function locate(petals: readonly Petal[], x: number, y: number): PetalPlace {
  let best = -1;
  let bestDepth = -1e9;
  let bestAlong = 0;
  let bestAcross = 0;
  for (let index = 0; index < petals.length; index += 1) {
    const petal = petals[index]!;
    const forward = x * petal.cos + y * petal.sin;
    const sideways = y * petal.cos - x * petal.sin;
    const along = forward / petal.lengthMm;
    if (along < -0.12 || along > 1) continue;
    const halfWidth = petal.halfWidthMm * PROFILE[Math.round(Math.max(0, along) * PROFILE_STEPS)]!;
    const depthMm = Math.min(halfWidth - Math.abs(sideways), (1 - along) * petal.lengthMm);
    if (depthMm <= bestDepth) continue;
    best = index;
    bestDepth = depthMm;
    bestAlong = Math.max(0, along);
    bestAcross = Math.max(-1, Math.min(1, sideways / (halfWidth + 1e-6)));
  }
  return { depthMm: bestDepth, along: bestAlong, across: bestAcross, petal: Math.max(0, best) };
}
