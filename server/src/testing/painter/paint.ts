import { bloomBrush } from './bloom.ts';
import type { Touch } from './brush.ts';
import { dutchBrush } from './dutch.ts';
import type { Scene } from './scene.ts';

/** A face seen straight from above in even light, and what each of its points is. */
export interface Painting {
  readonly scene: Scene;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly pxPerMm: number;
  /** Number of the label of each pixel; 255 off a round support. */
  readonly labels: Uint8Array;
  /** Number of the cell of each pixel, from 1; 0 in none. */
  readonly cells: Int32Array;
  /** Linear red, green and blue of each pixel. */
  readonly rgb: Float32Array;
}

export const OFF_FACE = 255;

/**
 * Paints a poured piece. The same scene always gives the same picture. It is an invented picture
 * whose every pixel is known, for testing what is measured; not a simulation of paint.
 */
export function paintScene(scene: Scene, pxPerMm: number): Painting {
  const widthPx = Math.round(scene.widthMm * pxPerMm);
  const heightPx = Math.round(scene.heightMm * pxPerMm);
  const brush = scene.style === 'bloom' ? bloomBrush(scene) : dutchBrush(scene);
  const labels = new Uint8Array(widthPx * heightPx);
  const cells = new Int32Array(widthPx * heightPx);
  const rgb = new Float32Array(widthPx * heightPx * 3);
  const touch: Touch = { label: 0, cell: 0, r: 0, g: 0, b: 0 };
  for (let row = 0; row < heightPx; row += 1) {
    for (let column = 0; column < widthPx; column += 1) {
      const x = ((column + 0.5) * scene.widthMm) / widthPx;
      const y = ((row + 0.5) * scene.heightMm) / heightPx;
      const pixel = row * widthPx + column;
      if (isOff(scene, x, y)) {
        labels[pixel] = OFF_FACE;
        rgb.fill(-1, 3 * pixel, 3 * pixel + 3);
        continue;
      }
      brush(x, y, touch);
      labels[pixel] = touch.label;
      cells[pixel] = touch.cell;
      rgb[3 * pixel] = touch.r;
      rgb[3 * pixel + 1] = touch.g;
      rgb[3 * pixel + 2] = touch.b;
    }
  }
  return { scene, widthPx, heightPx, pxPerMm, labels, cells, rgb };
}

function isOff({ shape, widthMm, heightMm }: Scene, x: number, y: number): boolean {
  if (shape === 'rectangle') return false;
  return ((2 * x) / widthMm - 1) ** 2 + ((2 * y) / heightMm - 1) ** 2 > 1;
}
