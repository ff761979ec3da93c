import type { FilmCast, FilmFrame } from '@icy-ribbon/core/flow/look';
import { expose } from 'comlink';
import { filmPainter, type FilmPainter } from './painter/filmPainter.ts';

let canvas: OffscreenCanvas | undefined;
let painter: FilmPainter | null = null;

/** Paints the film onto a canvas of the page, away from it: while the graphics wait for each other, the page answers. */
const pictureWorker = {
  take(given: OffscreenCanvas): void {
    canvas = given;
  },

  /** What is to be painted from now on; false where this browser cannot. */
  cast(cast: FilmCast, isRound: boolean): boolean {
    painter?.dispose();
    painter = canvas ? filmPainter(canvas, cast, isRound) : null;
    return painter !== null;
  },

  /** @returns how long it took, ms */
  draw(frame: FilmFrame, width: number, height: number): number {
    if (!canvas || !painter) return 0;
    const began = performance.now();
    if (canvas.width !== width) canvas.width = width;
    if (canvas.height !== height) canvas.height = height;
    painter.draw(frame);
    painter.finish();
    return performance.now() - began;
  },
};

export type PictureWorker = typeof pictureWorker;
expose(pictureWorker);
