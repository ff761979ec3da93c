import type { Photo } from '@icy-ribbon/contract';
import { MEASURE_STEPS, moveCorners, type MeasureStep } from '@icy-ribbon/core/picture';
import { proxy } from 'comlink';
import { computed, ref, type Ref } from 'vue';
import { say, sayProblem } from '#notice/notices.ts';
import { usePiece } from '#store/piece/piece.ts';
import { photoWorker, stopPhotoWorker } from '#worker/workers.ts';
import { inputOf, isReady, measuredWith, setupOf, type PhotoSetup } from './photoInput.ts';

/** A photo is read before the first step of the measuring. */
export type Step = MeasureStep | 'load';

export interface Measuring {
  /** What is looked for; the artist may correct it. */
  readonly setup: Ref<PhotoSetup>;
  /** What is being done; null when nothing is. */
  readonly step: Ref<Step | null>;
  /** How much of it is done, 0 to 1. */
  readonly share: Ref<number>;
  readonly busy: Ref<boolean>;
  /** The support could not be told from the table. */
  readonly unsure: Ref<boolean>;
  readonly ready: Ref<boolean>;
  findCorners(): Promise<void>;
  /** Why the colors may be off: nothing is kept until they are clicked, or said to be right. */
  readonly doubt: Ref<string | null>;
  /** @returns whether it was measured and kept */
  measure(colorsConfirmed?: boolean): Promise<boolean>;
  /** Stops what runs. @returns whether anything did */
  stop(): boolean;
}

/** Measures a photo of the open piece away from the page, and keeps what was measured. */
/** What is asked about before any number is kept. */
const DOUBTS: ReadonlySet<string> = new Set(['no-pour', 'foreign', 'colors-off']);

export function useMeasuring(photo: Photo): Measuring {
  const store = usePiece();
  const url = `/api/photos/${photo.id}/image`;
  const setup = ref(setupOf(photo, store.paints, new Set(store.layers.map((layer) => layer.data.cupId))));
  const busy = ref(false);
  const step = ref<Step | null>(null);
  const unsure = ref(false);
  const doubt = ref<string | null>(null);

  async function findCorners(): Promise<void> {
    step.value = 'load';
    try {
      const shape = store.piece?.support.shape ?? 'rectangle';
      const { corners, isSure } = await photoWorker().findCorners(url, shape);
      setup.value.corners = moveCorners(corners);
      unsure.value = !isSure;
    } catch (error) {
      sayProblem(error);
    } finally {
      step.value = null;
    }
  }

  async function measure(colorsConfirmed = false): Promise<boolean> {
    const wanted = setup.value;
    if (!store.piece || busy.value || !isReady(wanted)) return false;
    busy.value = true;
    step.value = 'load';
    try {
      const onStep = proxy((next: MeasureStep) => (step.value = next));
      const report = await photoWorker().measure(url, inputOf(wanted, store.piece.support), onStep);
      const { measurement, detail } = measuredWith(wanted, report, new Date().toISOString());
      const off = measurement.warnings.find(({ code }) => DOUBTS.has(code));
      if (off && !colorsConfirmed) {
        doubt.value = off.message;
        return false;
      }
      doubt.value = null;
      await store.keepMeasurement(photo, measurement, detail);
      // The numbers are drawn in one frame and the photo in another, so that neither holds the page up.
      await new Promise((drawn) => requestAnimationFrame(() => setTimeout(drawn)));
      say(`Measured in ${(report.milliseconds / 1000).toFixed(1)}\u00a0s.`);
      return true;
    } catch (error) {
      sayProblem(error);
      return false;
    } finally {
      busy.value = false;
      step.value = null;
    }
  }

  function stop(): boolean {
    if (!busy.value) return false;
    stopPhotoWorker();
    busy.value = false;
    step.value = null;
    return true;
  }

  return {
    setup,
    step,
    busy,
    unsure,
    doubt,
    ready: computed(() => isReady(setup.value)),
    share: computed(() =>
      step.value === null || step.value === 'load' ? 0.02 : Math.max(0.05, MEASURE_STEPS[step.value]),
    ),
    findCorners,
    measure,
    stop,
  };
}
