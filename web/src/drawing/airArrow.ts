import type { Place } from '@icy-ribbon/core/piece/plan';

/** Half the width of the shaft where the air lands and at the head, and of the head, as shares of half the mark's width. */
const [TAIL, NECK, HEAD] = [0.14, 0.4, 1.3];
/** How long the head is, in half widths; the number sits where it begins. */
const HEAD_LENGTH = 2.1;

/** How a blowing pass is drawn. */
export interface AirArrow {
  /** Its outline as places in order. */
  readonly outline: readonly Place[];
  /** Where its number sits: a circle of half the width has room there. */
  readonly numberAt: Place;
}

/**
 * A blowing pass as an arrow that flies with the air: a thin tail where it lands, the point where it has carried the paint.
 *
 * @param from where the air lands
 * @param tip as far as it carries
 * @param width of the mark, in the unit of the places
 */
export function airArrow(from: Place, tip: Place, width: number): AirArrow {
  const angle = Math.atan2(tip.y - from.y, tip.x - from.x);
  const half = width / 2;
  const length = Math.hypot(tip.x - from.x, tip.y - from.y);
  const neck = Math.max(0, length - HEAD_LENGTH * half);
  const at = (along: number, aside: number): Place => ({
    x: from.x + along * Math.cos(angle) - aside * half * Math.sin(angle),
    y: from.y + along * Math.sin(angle) + aside * half * Math.cos(angle),
  });
  const outline = [
    at(0, -TAIL),
    at(neck, -NECK),
    at(neck, -HEAD),
    at(Math.max(length, HEAD_LENGTH * half), 0),
    at(neck, HEAD),
    at(neck, NECK),
    at(0, TAIL),
  ];
  return { outline, numberAt: at(neck, 0) };
}
