import { passReachMm, type Sheet } from '../../flow/air/index.ts';
import type { BlowerExit } from '../amount/index.ts';
import { distanceMm, type PlanPass } from '../plan/index.ts';
import { strokeOf } from './stroke.ts';

/**
 * How far a pass carries the top of the paint, mm from where it begins; of one that ends farther off or harder, the mean of its
 * beginning and its end: an estimate for air that draws back evenly.
 *
 * Law: `passReachMm`, blown as the rehearsal blows it: by the strength of its setting, the hand following the paint.
 *
 * @throws InputError naming the field
 */
export function carriedMm(pass: PlanPass, blowers: readonly BlowerExit[], layers: Sheet['layers']): number {
  const stroke = strokeOf(pass, blowers);
  const { exitSpeedMS, endSpeedMS, exitDiameterMm, slantDeg, seconds } = stroke;
  const blow = { exitDiameterMm, slantDeg, seconds, followMm: distanceMm(stroke.from, stroke.to) };
  const begins = passReachMm({ ...blow, exitSpeedMS, distanceMm: pass.distanceMm }, { layers });
  if (!pass.end) return begins;
  const { distanceMm: away } = pass.end;
  return (begins + passReachMm({ ...blow, exitSpeedMS: endSpeedMS, distanceMm: away }, { layers })) / 2;
}
