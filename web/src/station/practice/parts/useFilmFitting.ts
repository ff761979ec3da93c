import { api } from '@icy-ribbon/contract/addresses';
import { InputError } from '@icy-ribbon/core/base/error';
import { expectedOf, learnCells, measuredCells, type MeasuredCells } from '@icy-ribbon/core/judgement/cells';
import {
  FILMS_OF_POUR,
  FIT_CODE,
  fitFilm,
  LEAST_POURS,
  measuredPour,
  type FilmFit,
  type FitMeasures,
  type FitPour,
  type MeasuredPour,
} from '@icy-ribbon/core/judgement/fit';
import { pourRecordOf, type PourRecord } from '@icy-ribbon/core/judgement/outcome';
import { sceneOfPour } from '@icy-ribbon/core/judgement/rehearsal';
import { USUAL_UNKNOWNS, wholeSeconds } from '@icy-ribbon/core/piece/rehearse';
import { proxy } from 'comlink';
import { computed, onBeforeUnmount, ref, shallowRef } from 'vue';
import { allPages } from '#api/allPages.ts';
import { call } from '#api/client.ts';
import { useDevices } from '#store/devices.ts';
import { keepRuns, keptRuns } from '#store/keptRuns.ts';
import { newFilmWorker } from '#worker/workers.ts';
import { plain } from '#worker/plain.ts';

/** A pour that can be fitted to. */
interface Candidate extends MeasuredPour {
  readonly record: PourRecord;
  readonly seconds: number;
  /** What its own cells say of the forecast; null without any. */
  readonly kind: MeasuredCells | null;
  /** Cells as they are forecast from all the other pours, mm. */
  readonly cellMm: number | null;
  readonly kept: readonly FitMeasures[] | null;
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

  /** Pours that were not run yet as they are now. */
  const open = computed(() => candidates.value.filter(({ kept }) => kept === null));
  const all = computed(() => open.value.length * FILMS_OF_POUR);
  const share = computed(() => (all.value > 0 ? done.value / all.value : 0));

  async function load(): Promise<void> {
    await devices.ensure();
    const summaries = await allPages((query) => call(api.pieces.list, { query }), 200);
    const found: Omit<Candidate, 'cellMm' | 'kept'>[] = [];
    for (const { id, outcome } of summaries) {
      if (!outcome) continue;
      if (found.length >= MOST_POURS) break;
      const piece = await call(api.pieces.get, { params: { id } });
      const counts = piece.photos.some((photo) => photo.measurement !== null && devices.counts(photo));
      const record = pourRecordOf(piece);
      const measured = counts ? measuredPour(record) : null;
      const seconds = measured && secondsOf(record);
      if (measured && seconds) {
        found.push({ ...measured, record, seconds, kind: measuredCells(piece, record) });
      }
    }
    candidates.value = await Promise.all(
      found.map(async (each) => {
        const cellMm = forecastOf(each, found);
        return { ...each, cellMm, kept: await keptRuns(each.record.id, fromOf({ ...each, cellMm })) };
      }),
    );
    isLoaded.value = true;
    await estimate();
  }

  /** How long it will take, tried on one run of the first pour. */
  async function estimate(): Promise<void> {
    const [first] = open.value;
    estimateS.value = first ? null : 0;
    if (!first || candidates.value.length < LEAST_POURS) return;
    const worker = newFilmWorker();
    try {
      const scene = plain(sceneOfPour(first.record));
      const ms = await worker.remote.trial(scene, plain(USUAL_UNKNOWNS), TRIAL_CELLS);
      const pace = ms / 1000 / first.seconds;
      const seconds = open.value.reduce((sum, each) => sum + each.seconds, 0);
      estimateS.value = (pace * seconds * FILMS_OF_POUR) / Math.min(side, open.value.length);
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
    const waiting = [...open.value];
    const fitted: FitPour[] = candidates.value.flatMap(({ record: { id }, measured, kept }) =>
      kept ? [{ id, measured, runs: kept }] : [],
    );
    workers = Array.from({ length: Math.min(side, waiting.length) }, newFilmWorker);
    const mine = workers;
    try {
      await Promise.all(
        mine.map(async ({ remote }) => {
          for (let next = waiting.shift(); next !== undefined; next = waiting.shift()) {
            const { record, colors, cellsFromMm, measured, cellMm } = next;
            const told = proxy(() => void (done.value += workers === mine ? 1 : 0));
            const compared = { colors: [...colors], cellsFromMm };
            const runs = await remote.fitPour(plain(record), compared, cellMm, told);
            fitted.push({ id: record.id, measured, runs });
            await keepRuns(record.id, fromOf(next), runs);
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

  return { candidates, open, isLoaded, estimateS, isRunning, share, fit, load, start, stop };
}

/** A pour's cells as all the others tell them, so that it is no evidence of itself; rounded: what hardly changes is not run again. */
function forecastOf(
  { record, kind }: Pick<Candidate, 'record' | 'kind'>,
  all: readonly Pick<Candidate, 'record' | 'kind'>[],
): number | null {
  const expected = expectedOf(record);
  if (!expected) return null;
  const others = all.flatMap((each) => (each.kind && each.record.id !== record.id ? [each.kind] : []));
  const { mm } = learnCells(others)(expected, kind ?? { technique: record.technique, activator: null });
  return Number(mm.toFixed(1));
}

/** All that a pour's runs are reckoned from. */
const fromOf = ({ record, colors, cellsFromMm, cellMm }: Omit<Candidate, 'kept'>): string =>
  JSON.stringify([FIT_CODE, record, colors, cellsFromMm, cellMm]);

/** Seconds of paint a record takes in the film; null for one that cannot be laid. */
function secondsOf(record: PourRecord): number | null {
  try {
    return wholeSeconds(sceneOfPour(record));
  } catch (error) {
    if (error instanceof InputError) return null;
    throw error;
  }
}
