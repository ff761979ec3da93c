import { airTool, deepDentMm, dentAfter, jetOnPaint } from '../../flow/air/index.ts';
import { LIMITS } from '../../paint/stage/index.ts';
import { paintedArea } from '../../piece/support/index.ts';
import type { BlownPass, FaultKind, PouredCup, PourRecord } from '../outcome/index.ts';

/** The fault as it was pinned. */
export interface Pinned {
  readonly kind: FaultKind;
  readonly cupId: string | null;
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
  /** With the sides, over which a base runs as well. */
  readonly wholeDm2: number;
  /** What was worked: the flowers of a bloom, else the face. */
  readonly workedDm2: number;
  readonly airSeconds: number;
  /** Mean depth of what lay under the air, mm; undefined when nothing was logged as laid. */
  readonly depthMm: number | undefined;
}

/** The share of the face on which a bloom stands before it is blown, where no plan tells (common practice). */
const FLOWER_SHARE = 1 / 3;

export function asked(pour: PourRecord, pinned: Pinned): Asked {
  const laid = (...roles: PouredCup['role'][]) =>
    pour.cups.filter((cup) => roles.includes(cup.role) && cup.laidMg > 0);
  const isBloom = pour.technique === 'bloom';
  const { faceCm2, sidesCm2 } = paintedArea(pour.support);
  const [faceDm2, wholeDm2] = [faceCm2 / 100, (faceCm2 + sidesCm2) / 100];
  const under = laid('base', 'pillow', 'color');
  const flowersDm2 = pour.flowersDm2 ?? (isBloom ? FLOWER_SHARE * faceDm2 : 0);
  const workedDm2 = flowersDm2 > 0 ? Math.min(faceDm2, flowersDm2) : faceDm2;
  return {
    pour,
    pinned,
    isBloom,
    colors: laid('color'),
    ground: laid('base', 'pillow'),
    pillow: laid('pillow'),
    activator: laid('activator'),
    concerned: pour.cups.find((cup) => cup.id === pinned.cupId),
    faceDm2,
    wholeDm2,
    workedDm2,
    airSeconds: pour.passes.reduce((sum, pass) => sum + pass.seconds, 0),
    depthMm: under.length === 0 ? undefined : depthUnderAir(under, pour, faceDm2, workedDm2),
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

/** What lies over the whole face, and on it the pile of what was laid on the flowers, mm. */
function depthUnderAir(
  under: readonly PouredCup[],
  { onFace = [] }: PourRecord,
  faceDm2: number,
  workedDm2: number,
): number {
  const isOnFace = (cup: PouredCup) => cup.role === 'base' || onFace.includes(cup.id);
  const wide = depthMm(under.filter(isOnFace), faceDm2);
  return (
    wide +
    depthMm(
      under.filter((cup) => !isOnFace(cup)),
      workedDm2,
    )
  );
}

const PAINT_KG_M3 = 1150;

/** How deep a pass dents wet paint in its seconds, mm. */
export function dentMm(
  { tool, exit, distanceMm, slantDeg, seconds }: BlownPass,
  film: { readonly depthMm: number; readonly viscosityPaS: number },
): number {
  const { exitDiameterMm, exitSpeedMS } = exit ?? airTool(tool);
  const jet = { exitSpeedMS, exitDiameterMm, distanceMm, paintDensityKgM3: PAINT_KG_M3 };
  const shallow = jetOnPaint({ ...jet, slantDeg }).dentMm;
  const steadyMm = slantDeg >= LIMITS.straightDownDeg ? Math.min(shallow, deepDentMm(jet) * 1.2) : shallow;
  return dentAfter({ steadyMm, seconds, jet, ...film });
}
