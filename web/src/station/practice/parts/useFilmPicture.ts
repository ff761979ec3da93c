import { castOf, type Scene } from '@icy-ribbon/core/piece/rehearse';
import type { FilmFrame } from '@icy-ribbon/core/flow/look';
import { onBeforeUnmount, ref, toValue, watch, type MaybeRefOrGetter, type Ref } from 'vue';
import { sayProblem } from '#notice/notices.ts';
import { newPictureWorker } from '#worker/workers.ts';
import { plain } from '#worker/plain.ts';
import { FIRST_DENSITY, nextDensity, restMs } from './pictureBudget.ts';
import type { Film } from './useFilm.ts';

/** So wide at the most is a picture that the film's worker draws itself, pixels. */
const MOST_PLAIN_PX = 420;

/**
 * The film as a picture on a canvas, painted by a worker: one picture at a time, always the newest, nothing queued, and no more of them
 * than leave the page time to answer.
 *
 * @param size of the canvas on the page, pixels
 * @returns the key of the canvas: another where this one cannot be painted on
 */
export function useFilmPicture(
  canvas: Readonly<Ref<HTMLCanvasElement | null>>,
  size: MaybeRefOrGetter<{ readonly width: number; readonly height: number }>,
  scene: () => Scene,
  film: Film,
) {
  const canvasKey = ref(0);
  const finest = window.devicePixelRatio || 1;
  let density = FIRST_DENSITY;
  let worker: ReturnType<typeof newPictureWorker>;
  let taken: HTMLCanvasElement | null = null;
  /** Null while it is not known. */
  let canPaint: boolean | null = null;
  let waiting: FilmFrame | null = null;
  let last: FilmFrame | null = null;
  let isBusy = false;
  /** The first picture takes longer, whatever its size: the graphics get ready. */
  let isFirst = true;
  let isAlive = true;

  async function begin(): Promise<void> {
    const element = canvas.value;
    if (!element) return;
    if (taken !== element && canPaint !== false) {
      worker?.stop();
      worker = newPictureWorker(element);
      taken = element;
    }
    if (!worker) {
      canPaint = false;
      return draw();
    }
    canPaint = null;
    isFirst = true;
    const { shape } = scene().support;
    const can = await worker.remote.cast(plain(castOf(scene(), film.unknowns.value)), shape === 'round');
    if (!can && isAlive) {
      worker.stop();
      worker = undefined;
      // A canvas that was given away cannot be drawn on here.
      canvasKey.value += 1;
    }
    canPaint = can;
    return draw();
  }

  /** Draws the newest frame, and while that takes remembers one more. */
  async function draw(): Promise<void> {
    if (isBusy) return;
    isBusy = true;
    try {
      while (waiting && isAlive && canPaint !== null) {
        const frame = waiting;
        waiting = null;
        const tookMs = await paint(frame);
        if (restMs(tookMs) > 0) await new Promise((resolve) => setTimeout(resolve, restMs(tookMs)));
      }
    } catch (error) {
      if (isAlive) sayProblem(error);
    } finally {
      isBusy = false;
    }
  }

  async function paint(frame: FilmFrame): Promise<number> {
    const { width, height } = toValue(size);
    const element = canvas.value;
    if (width < 20 || !element) return 0;
    const isMoving = film.isRunning.value;
    const fine = isMoving ? density.moving : density.standing;
    const [wide, high] = [Math.round(width * fine), Math.round(height * fine)];
    if (!canPaint || !worker) return paintPlain(element, wide, high);
    const tookMs = await worker.remote.draw(frame, wide, high);
    if (isFirst) {
      isFirst = false;
      return 0;
    }
    density = nextDensity(fine, tookMs, finest);
    return tookMs;
  }

  /** Without a graphics processor that can: a standing picture now and then. */
  async function paintPlain(element: HTMLCanvasElement, width: number, height: number): Promise<number> {
    const began = performance.now();
    const image = await film.picture(Math.min(MOST_PLAIN_PX, width));
    const bitmap = await createImageBitmap(image);
    element.width = width;
    element.height = height;
    element.getContext('2d')?.drawImage(bitmap, 0, 0, width, height);
    bitmap.close();
    return performance.now() - began;
  }

  /** Seeds come with some frames only: those of one that is passed over go with the next. */
  function show(frame: FilmFrame): void {
    last = { ...frame, seeds: frame.seeds ?? last?.seeds ?? null };
    waiting = last;
    void draw();
  }

  watch([canvas, scene, film.unknowns], () => void begin().catch(sayProblem), {
    flush: 'post',
    immediate: true,
  });
  watch(film.moment, (moment) => moment && show(moment.frame));
  // As fine as it can be once it stands, and anew when there is more or less room.
  watch([() => toValue(size).width, film.isRunning], () => last && show(last));
  onBeforeUnmount(() => {
    isAlive = false;
    worker?.stop();
  });

  return { canvasKey };
}
