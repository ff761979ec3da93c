import { requirePositive } from '../../base/error/index.ts';
import { GRAVITY_MS2 } from './level.ts';

/** Surface tension of water-based paint, N/m, and the angle at which it stands at an edge (typical, estimates). */
const SURFACE_TENSION_NM = 0.03;
const EDGE_ANGLE_DEG = 60;

/**
 * Thickest film that stands on a level face without running over its edge.
 *
 * Law: h = 2 sqrt(gamma / (rho g)) sin(theta / 2), a puddle held by surface tension (de Gennes, Brochard-Wyart & Quere
 * 2004, from memory); tension and angle are estimates.
 *
 * @returns mm
 * @throws InputError naming the field
 * @example rimHoldsMm(1100) // 1.667
 */
export function rimHoldsMm(densityKgM3: number): number {
  requirePositive('densityKgM3', densityKgM3, 'The density');
  const capillaryM = Math.sqrt(SURFACE_TENSION_NM / (densityKgM3 * GRAVITY_MS2));
  return 2000 * capillaryM * Math.sin((EDGE_ANGLE_DEG * Math.PI) / 360);
}
