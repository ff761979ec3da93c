import { InputError, requirePositive } from '../../base/error/index.ts';
import { GRAVITY_MS2 } from './level.ts';

/**
 * How thick a puddle comes to rest on a bare face that it does not wet, mm.
 *
 * Law: h = 2 l sin(contact / 2), l = sqrt(gamma / (rho g)). Source: de Gennes, Brochard-Wyart & Quere 2004 (from memory). Holds for a puddle much
 * wider than thick.
 *
 * @param puddle.contactDeg angle at which its edge stops: 0 wets, 180 does not touch
 * @throws InputError naming the field
 * @example restingMm({ surfaceTensionNM: 0.073, densityKgM3: 1000, contactDeg: 90 }) // 3.86
 */
export function restingMm(puddle: {
  readonly surfaceTensionNM: number;
  readonly densityKgM3: number;
  readonly contactDeg: number;
}): number {
  requirePositive('surfaceTensionNM', puddle.surfaceTensionNM, 'The surface tension');
  requirePositive('densityKgM3', puddle.densityKgM3, 'The density');
  if (!(puddle.contactDeg >= 0 && puddle.contactDeg <= 180)) {
    throw new InputError('contactDeg', 'The contact angle lies between 0 and 180 degrees.');
  }
  const length = Math.sqrt(puddle.surfaceTensionNM / (puddle.densityKgM3 * GRAVITY_MS2));
  return 2000 * length * Math.sin((puddle.contactDeg * Math.PI) / 360);
}
