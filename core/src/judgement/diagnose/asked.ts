import { airTool, deepDentMm, jetOnPaint } from '../../flow/air/index.ts';
import { paintedArea } from '../../piece/support/index.ts';
import type { BlownPass, FaultKind, PouredCup, PourRecord } from '../outcome/index.ts';
import { LIMITS } from './limits.ts';

/** The fault as it was pinned. */
export interface Pinned {
  readonly kind: FaultKind;
  readonly mixId: string | null;
}

/** A pour and the fault that is asked about, with the sums that several causes need. */
export interface Asked {
  readonly pour: PourRecord;
  readonly pinned: Pinned;
  readonly isBloom: boolean;
  /** Cups that were laid, by role. */
  readonly colors: readonly PouredCup[];
  readonly ground: readonly PouredCup[];
  readonly pillow: readonly PouredCup[];
  readonly activator: readonly PouredCup[];
  /** The cup that the fault was pinned on. */
  readonly concerned: PouredCup | undefined;
  readonly faceDm2: number;
  readonly airSeconds: number;
  /** Mean depth of what lay under the air, mm; undefined when nothing was logged as laid. */
  readonly depthMm: number | undefined;
}

export function asked(pour: PourRecord, pinned: Pinned): Asked {
  const laid = (...roles: PouredCup['role'][]) =>
    pour.cups.filter((cup) => roles.includes(cup.role) && cup.laidMg > 0);
  const isBloom = pour.technique === 'bloom';
  const faceDm2 = paintedArea(pour.support).faceCm2 / 100;
  const under = laid('base', 'pillow', 'color');
  const share = isBloom ? LIMITS.bloomShareOfFace : 1;
  return {
    pour,
    pinned,
    isBloom,
    colors: laid('color'),
    ground: laid('base', 'pillow'),
    pillow: laid('pillow'),
    activator: laid('activator'),
    concerned: pour.cups.find((cup) => cup.id === pinned.mixId),
    faceDm2,
    airSeconds: pour.passes.reduce((sum, pass) => sum + pass.seconds, 0),
    depthMm: under.length === 0 ? undefined : depthMm(under, faceDm2 * share),
  };
}

export const massMg = (cups: readonly PouredCup[]): number => cups.reduce((sum, cup) => sum + cup.laidMg, 0);

/** Depth in mm of what was laid, spread over an area. */
export function depthMm(cups: readonly PouredCup[], areaDm2: number): number {
  const volumeMl = cups.reduce((sum, cup) => sum + cup.laidMg / 1000 / cup.densityGPerMl, 0);
  return volumeMl / 10 / areaDm2;
}

/** Geometric mean of the viscosities, Pa·s; undefined without cups. */
export function meanPaS(cups: readonly PouredCup[]): number | undefined {
  if (cups.length === 0) return undefined;
  return Math.exp(cups.reduce((sum, cup) => sum + Math.log(cup.viscosityPaS), 0) / cups.length);
}

const PAINT_KG_M3 = 1150;

/** How deep a pass dents wet paint, mm. */
export function dentMm({ tool, distanceMm, slantDeg }: BlownPass): number {
  const { exitDiameterMm, exitSpeedMS } = airTool(tool);
  const jet = { exitSpeedMS, exitDiameterMm, distanceMm, paintDensityKgM3: PAINT_KG_M3 };
  const shallow = jetOnPaint({ ...jet, slantDeg }).dentMm;
  return slantDeg >= LIMITS.straightDownDeg ? Math.min(shallow, deepDentMm(jet) * 1.2) : shallow;
}
