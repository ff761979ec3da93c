import type { RehearsalNumbers } from '@icy-ribbon/core/judgement/rehearsal';
import {
  USUAL_UNKNOWNS,
  wholeSeconds,
  type FilmUnknowns,
  type Scene,
  type WhatIfRun,
} from '@icy-ribbon/core/piece/rehearse';
import { proxy } from 'comlink';
import { computed, onBeforeUnmount, ref, shallowRef } from 'vue';
import { newFilmWorker } from '#worker/workers.ts';
import { plain } from '#worker/plain.ts';

/** One run: its picture and numbers when it is done. */
export interface WhatIfResult {
  readonly run: WhatIfRun;
  readonly scene: Scene;
  share: number;
  picture: ImageData | null;
  numbers: RehearsalNumbers | null;
}

const CELLS = 84;
const PICTURE_PX = 300;
const MOST_WORKERS = 4;

/** Small runs side by side, each in a worker of its own. */
export function useWhatIf() {
  const results = shallowRef<WhatIfResult[]>([]);
  const isRunning = ref(false);
  const estimateS = ref<number | null>(null);
  let workers: ReturnType<typeof newFilmWorker>[] = [];
  const side = Math.max(1, Math.min(MOST_WORKERS, (navigator.hardwareConcurrency || 2) - 1));

  /** How long all of it will take, tried on the first. */
  async function estimate(scenes: readonly Scene[], unknowns: FilmUnknowns = USUAL_UNKNOWNS): Promise<void> {
    estimateS.value = null;
    if (scenes.length === 0) return;
    const worker = newFilmWorker();
    try {
      const pace =
        (await worker.remote.trial(plain(scenes[0]!), plain(unknowns), CELLS)) / wholeSeconds(scenes[0]!);
      const all = scenes.reduce((sum, scene) => sum + wholeSeconds(scene), 0);
      estimateS.value = (pace * all) / 1000 / Math.min(side, scenes.length);
    } finally {
      worker.stop();
    }
  }

  async function start(
    runs: readonly { readonly run: WhatIfRun; readonly scene: Scene }[],
    unknowns: FilmUnknowns = USUAL_UNKNOWNS,
  ): Promise<void> {
    cancel();
    isRunning.value = true;
    results.value = runs.map((each) => ({ ...each, share: 0, picture: null, numbers: null }));
    const waiting = results.value.map((_, index) => index);
    workers = Array.from({ length: Math.min(side, runs.length) }, newFilmWorker);
    const mine = workers;
    try {
      await Promise.all(
        mine.map(async ({ remote }) => {
          for (let index = waiting.shift(); index !== undefined; index = waiting.shift()) {
            const at = index;
            const made = await remote.whole(
              plain(runs[at]!.scene),
              plain(unknowns),
              CELLS,
              PICTURE_PX,
              proxy((share: number) => put(at, { share })),
            );
            if (workers !== mine) return;
            put(at, { ...made, share: 1 });
          }
        }),
      );
    } finally {
      if (workers === mine) cancel();
    }
  }

  function put(at: number, changes: Partial<WhatIfResult>): void {
    results.value = results.value.map((each, index) => (index === at ? { ...each, ...changes } : each));
  }

  /** Stops at once; what is done stays. */
  function cancel(): void {
    for (const worker of workers) worker.stop();
    workers = [];
    isRunning.value = false;
  }
  onBeforeUnmount(cancel);

  const share = computed(() => {
    const all = results.value;
    return all.length === 0 ? 0 : all.reduce((sum, each) => sum + each.share, 0) / all.length;
  });

  return { results, isRunning, estimateS, share, estimate, start, cancel };
}
