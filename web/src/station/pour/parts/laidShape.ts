import type { LaidShape } from '@icy-ribbon/core/piece/event';
import {
  bentThrough,
  distanceMm,
  PATH_KINDS,
  type PathKind,
  type Place,
  type Plan,
} from '@icy-ribbon/core/piece/plan';
import type { CupRole } from '@icy-ribbon/core/paint/stage';
import type { SupportSize } from '@icy-ribbon/core/piece/support';
import { puddleRadiusMm } from '#drawing/support.ts';

/** A stroke of the hand over the support, mm; a tap ends where it began. */
export interface Stroke {
  readonly start: Place;
  readonly end: Place;
}

/** How paint can be laid without a plan: over the whole face, as a pile of puddles, or along a line. */
export const LAY_KINDS = ['face', 'stack', ...PATH_KINDS] as const;
export type LayKind = (typeof LAY_KINDS)[number];

const TAP_MM = 12;
export const isTap = ({ start, end }: Stroke): boolean => distanceMm(start, end) < TAP_MM;

/** What one would lay like this: a base over the face, what was tapped as a puddle, what was drawn as a ribbon. */
export function usualKind(role: CupRole, stroke: Stroke | null): LayKind {
  if (role === 'base' && !stroke) return 'face';
  if (stroke && !isTap(stroke)) return role === 'base' ? 'flood' : 'ribbon';
  return 'stack';
}

/** A crescent bends aside by this share of its length. */
const BEND = 0.3;

/**
 * Where a layer lies that was not planned. Puddles on a pile that is there already belong to it; colors of one ribbon
 * are laid along the same stroke.
 *
 * @param laid what lies on the support by now
 */
export function shapeOf(
  kind: LayKind,
  stroke: Stroke | null,
  support: SupportSize,
  laid: Pick<Plan, 'stacks' | 'paths'>,
  mg: number,
  newId: () => string,
): LaidShape {
  if (kind === 'face') return { kind, pattern: 'one', area: 0, seam: null };
  const middle = { x: support.widthMm / 2, y: support.heightMm / 2 };
  if (kind === 'stack') {
    const at = stroke?.start ?? middle;
    const under = laid.stacks.find((stack) => distanceMm(stack.at, at) <= stack.footprintMm / 2);
    return under
      ? { kind, itemId: under.id, at: under.at, footprintMm: under.footprintMm }
      : { kind, itemId: newId(), at, footprintMm: Math.round(3 * puddleRadiusMm(mg)) };
  }
  const { start, end } = stroke && !isTap(stroke) ? stroke : acrossMiddle(support);
  const along = laid.paths.find(
    (path) =>
      path.kind === kind && distanceMm(path.start, start) < TAP_MM && distanceMm(path.end, end) < TAP_MM,
  );
  if (along) return { kind, itemId: along.id, start: along.start, control: along.control, end: along.end };
  return { kind, itemId: newId(), start, control: bend(kind, start, end), end };
}

function acrossMiddle({ widthMm, heightMm }: SupportSize): Stroke {
  return { start: { x: 0.2 * widthMm, y: heightMm / 2 }, end: { x: 0.8 * widthMm, y: heightMm / 2 } };
}

function bend(kind: PathKind, start: Place, end: Place): Place {
  const half = { x: (start.x + end.x) / 2, y: (start.y + end.y) / 2 };
  if (kind !== 'crescent') return half;
  const aside = { x: -(end.y - start.y) * BEND, y: (end.x - start.x) * BEND };
  return bentThrough({ start, end }, { x: half.x + aside.x, y: half.y + aside.y });
}
