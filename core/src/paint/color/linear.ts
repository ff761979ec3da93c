/** Linear light and sRGB (IEC 61966-2-1), fast, for whole pictures. */
const LINEAR = Float32Array.from({ length: 256 }, (_, byte) => {
  const value = byte / 255;
  return value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;
});

/** Linear light, 0 to 1, of an sRGB byte. */
export const linearOf = (byte: number): number => LINEAR[byte]!;
export const LINEAR_OF_BYTE: Float32Array = LINEAR;

/**
 * The sRGB byte of linear light, clipped to what a byte holds.
 *
 * @example byteOf(0.5) // 188
 */
export function byteOf(linear: number): number {
  const value = linear <= 0.0031308 ? 12.92 * linear : 1.055 * linear ** (1 / 2.4) - 0.055;
  return Math.round(255 * Math.min(1, Math.max(0, value)));
}

/**
 * Linear RGB of #rrggbb.
 *
 * @example linearRgb('#ffffff') // [1, 1, 1]
 */
export function linearRgb(hex: string): [number, number, number] {
  const channel = (start: number) => linearOf(Number.parseInt(hex.slice(start, start + 2), 16));
  return [channel(1), channel(3), channel(5)];
}

/**
 * #rrggbb of linear RGB.
 *
 * @example hexOf(1, 1, 1) // '#ffffff'
 */
export function hexOf(r: number, g: number, b: number): string {
  return `#${[r, g, b].map((value) => byteOf(value).toString(16).padStart(2, '0')).join('')}`;
}
