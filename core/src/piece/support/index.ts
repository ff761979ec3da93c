import type { SupportKind, SupportShape } from './kinds.ts';
import { InputError, requirePositive } from '../../base/error/index.ts';

export {
  SUPPORT_KINDS,
  SUPPORT_SHAPES,
  supportTraits,
  type SupportKind,
  type SupportShape,
  type SupportTraits,
} from './kinds.ts';
export { roundIsRound, supportShape } from './schema.ts';

export interface SupportSize {
  readonly shape: SupportShape;
  readonly widthMm: number;
  /** Equal to the width on a round support. */
  readonly heightMm: number;
  readonly sideDepthMm: number;
  /** Left out: a stretched canvas. */
  readonly kind?: SupportKind | undefined;
}

/**
 * Area of the face and of the sides that paint wraps over, in cm2.
 *
 * @throws InputError naming the offending length
 * @example paintedArea({ shape: 'rectangle', widthMm: 300, heightMm: 400, sideDepthMm: 20 })
 * // { faceCm2: 1200, sidesCm2: 280 }
 */
export function paintedArea(support: SupportSize): { faceCm2: number; sidesCm2: number } {
  requirePositive('widthMm', support.widthMm, 'The width');
  requirePositive('heightMm', support.heightMm, 'The height');
  if (!Number.isFinite(support.sideDepthMm) || support.sideDepthMm < 0) {
    throw new InputError('sideDepthMm', 'The side depth must be 0 or more.');
  }
  const { faceMm2, rimMm } =
    support.shape === 'round'
      ? {
          faceMm2: (Math.PI / 4) * support.widthMm ** 2,
          rimMm: Math.PI * support.widthMm,
        }
      : {
          faceMm2: support.widthMm * support.heightMm,
          rimMm: 2 * (support.widthMm + support.heightMm),
        };
  return { faceCm2: faceMm2 / 100, sidesCm2: (rimMm * support.sideDepthMm) / 100 };
}
