import { api } from '@icy-ribbon/contract';
import { InputError } from '@icy-ribbon/core/base/error';
import {
  fitFilm,
  LEAST_POURS,
  measuredPour,
  RUNS_OF_POUR,
  type FilmFit,
  type FitPour,
  type MeasuredPour,
} from '@icy-ribbon/core/judgement/fit';
import { pourRecordOf, type PourRecord } from '@icy-ribbon/core/judgement/outcome';
import { sceneOfPour } from '@icy-ribbon/core/judgement/rehearsal';
import { USUAL_UNKNOWNS, wholeSeconds } from '@icy-ribbon/core/piece/rehearse';
import { proxy } from 'comlink';
import { computed, onBeforeUnmount, ref, shallowRef } from 'vue';
import { allPages } from '../../../api/allPages.ts';
import { call } from '../../../api/client.ts';
import { useDevices } from '../../../store/devices.ts';
import { newFilmWorker } from '../../../worker/film.ts';
import { plain } from '../../../worker/plain.ts';

/** A pour that can be fitted to. */
interface Candidate extends MeasuredPour {
  readonly record: PourRecord;
  readonly seconds: number;
}

const TRIAL_CELLS = 60;
const MOST_WORKERS = 4;
/** The newest pours tell what the hand does now; more would take too long. */
const MOST_POURS = 60;

/** Fits the film's unknowns to the measured pours: what it takes, how far it is, what came out. */
export function useFilmFitting() {
  const devices = useDevices();
  const candidates = shallowRef<readonly Candidate[]>([]);
  const isLoaded = ref(false);
  const estimateS = ref<number | null>(null);
  const isRunning = ref(false);
  const done = ref(0);
  const fit = shallowRef<FilmFit | null>(null);
  const side = Math.max(1, Math.min(MOST_WORKERS, (navigator.hardwareConcurrency || 2) - 1));
  let workers: ReturnType<typeof newFilmWorker>[] = [];

  const all = computed(() => candidates.value.length * RUNS_OF_POUR);
  const share = computed(() => (all.value > 0 ? done.value / all.value : 0));

  async function load(): Promise<void> {
    await devices.ensure();
    const summaries = await allPages((query) => call(api.pieces.list, { query }), 200);
    const found: Candidate[] = [];
    for (const { id, outcome } of summaries) {
      if (!outcome) continue;
      if (found.length >= MOST_POURS) break;
      const piece = await call(api.pieces.get, { params: { id } });
      const counts = piece.photos.some((photo) => photo.measurement !== null && devices.counts(photo));
      const record = pourRecordOf(piece);
      const measured = counts ? measuredPour(record) : null;
      const seconds = measured && secondsOf(record);
      if (measured && seconds) found.push({ ...measured, record, seconds });
    }
    candidates.value = found;
    isLoaded.value = true;
    await estimate();
  }

  /** How long it will take, tried on one run of the first pour. */
  async function estimate(): Promise<void> {
    const [first] = candidates.value;
    if (!first || candidates.value.length < LEAST_POURS) return;
    const worker = newFilmWorker();
    try {
      const scene = plain({ ...sceneOfPour(first.record), sheet: -1 });
      const ms = await worker.remote.trial(scene, plain(USUAL_UNKNOWNS), TRIAL_CELLS);
      const pace = ms / 1000 / first.seconds;
      const seconds = candidates.value.reduce((sum, each) => sum + each.seconds, 0);
      estimateS.value = (pace * seconds * RUNS_OF_POUR) / Math.min(side, candidates.value.length);
    } finally {
      worker.stop();
    }
  }

  /** Runs every pour at every offset, side by side, and fits. Stopped, it comes to nothing. */
  async function start(): Promise<void> {
    stop();
    isRunning.value = true;
    done.value = 0;
    fit.value = null;
    const waiting = candidates.value.map((_, index) => index);
    const fitted: FitPour[] = [];
    workers = Array.from({ length: Math.min(side, waiting.length) }, newFilmWorker);
    const mine = workers;
    try {
      await Promise.all(
        mine.map(async ({ remote }) => {
          for (let next = waiting.shift(); next !== undefined; next = waiting.shift()) {
            const { record, colors, measured } = candidates.value[next]!;
            const told = proxy(() => void (done.value += workers === mine ? 1 : 0));
            const runs = await remote.fitPour(plain(record), [...colors], told);
            fitted.push({ id: record.id, measured, runs });
          }
        }),
      );
      if (workers === mine) fit.value = fitFilm(fitted);
    } finally {
      if (workers === mine) stop();
    }
  }

  function stop(): void {
    for (const worker of workers) worker.stop();
    workers = [];
    isRunning.value = false;
  }
  onBeforeUnmount(stop);

  return { candidates, isLoaded, estimateS, isRunning, share, fit, load, start, stop };
}

/** Seconds of paint a record takes in the film; null for one that cannot be laid. */
function secondsOf(record: PourRecord): number | null {
  try {
    return wholeSeconds(sceneOfPour(record));
  } catch (error) {
    if (error instanceof InputError) return null;
    throw error;
  }
}
