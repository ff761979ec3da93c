import type { Place } from '@icy-ribbon/core/piece/plan';

/** Half the width of the wedge where the air lands, and at its far end, as shares of its end's width. */
const NARROW = 0.12;
const END_STEPS = 8;

/**
 * A blowing pass as the air goes: narrow where it lands, wide and round where it has carried the paint.
 *
 * @param from where the air lands
 * @param tip as far as it carries
 * @param width of the far end, in the unit of the places
 * @returns the outline as places in order
 */
export function airWedge(from: Place, tip: Place, width: number): Place[] {
  const angle = Math.atan2(tip.y - from.y, tip.x - from.x);
  const at = (center: Place, turn: number, far: number): Place => ({
    x: center.x + far * Math.cos(angle + turn),
    y: center.y + far * Math.sin(angle + turn),
  });
  const half = width / 2;
  const end = Array.from({ length: END_STEPS + 1 }, (_, step) =>
    at(tip, -Math.PI / 2 + (Math.PI * step) / END_STEPS, half),
  );
  return [at(from, Math.PI / 2, NARROW * half), at(from, -Math.PI / 2, NARROW * half), ...end];
}
