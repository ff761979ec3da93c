import { requirePositive } from '../../base/error/index.ts';
import { GRAVITY_MS2 } from './level.ts';

/**
 * Radius of a puddle that spreads under its own weight.
 *
 * Law: r = 0.894 (g Q^3 / 3 nu)^(1/8) t^(1/8). Source: Huppert 1982a (from memory). Holds on a level, wetted
 * face, once the puddle is much wider than it is thick.
 *
 * @returns mm
 * @throws InputError naming the field
 * @example spreadRadiusMm({ volumeMl: 50, viscosityPaS: 3, densityKgM3: 1150, seconds: 60 }) // 88.7
 */
export function spreadRadiusMm(puddle: {
  readonly volumeMl: number;
  readonly viscosityPaS: number;
  readonly densityKgM3: number;
  readonly seconds: number;
}): number {
  requirePositive('volumeMl', puddle.volumeMl, 'The volume');
  requirePositive('viscosityPaS', puddle.viscosityPaS, 'The viscosity');
  requirePositive('densityKgM3', puddle.densityKgM3, 'The density');
  requirePositive('seconds', puddle.seconds, 'The time');
  const volumeM3 = puddle.volumeMl * 1e-6;
  const nu = puddle.viscosityPaS / puddle.densityKgM3;
  return 1000 * 0.894 * ((GRAVITY_MS2 * volumeM3 ** 3 * puddle.seconds) / (3 * nu)) ** (1 / 8);
}
