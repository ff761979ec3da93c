const NAMES = [
  'to the top',
  'to the top right',
  'to the right',
  'to the bottom right',
  'to the bottom',
  'to the bottom left',
  'to the left',
  'to the top left',
] as const;

/**
 * Brings any angle into 0 up to, not including, 360.
 *
 * @example normalizeDeg(-90) // 270
 */
export function normalizeDeg(deg: number): number {
  return ((deg % 360) + 360) % 360;
}

/**
 * The direction air is blown in, in words, for an angle clockwise from the top edge of the support.
 *
 * @example bearingName(90) // 'to the right'
 */
export function bearingName(deg: number): string {
  return NAMES[Math.round(normalizeDeg(deg) / 45) % 8] ?? NAMES[0];
}

/**
 * Angle clockwise from the top of a stroke drawn on the support (y grows downward).
 *
 * @example bearingOf(10, 0) // 90
 */
export function bearingOf(dx: number, dy: number): number {
  return normalizeDeg((Math.atan2(dx, -dy) * 180) / Math.PI);
}
