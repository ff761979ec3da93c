import {
  airOf,
  NO_PUSH,
  USUAL_UNKNOWNS,
  type FilmUnknowns,
  type Push,
  type Scene,
  type SceneLay,
  type Stroke,
} from '@icy-ribbon/core/piece/rehearse';
import type { Place } from '@icy-ribbon/core/piece/plan';
import type { RehearsalNumbers } from '@icy-ribbon/core/judgement/rehearsal';
import { proxy } from 'comlink';
import { onBeforeUnmount, ref, shallowRef } from 'vue';
import { sayProblem } from '#notice/notices.ts';
import { newFilmWorker } from '#worker/workers.ts';
import { plain } from '#worker/plain.ts';
import type { FilmMoment, MeasuredRehearsal } from '#worker/film.worker.ts';

/** What the film is doing of itself. */
export type FilmTask =
  | { readonly kind: 'passes'; readonly of: number; at: number }
  | { readonly kind: 'wait'; readonly seconds: number; done: number }
  | { readonly kind: 'spin'; readonly seconds: number; done: number };

/** One turn of the loop moves the paint at most so far, s, and computes at most so long, ms. */
const MOST_STEP_S = 0.1;
const BUDGET_MS = 45;
const WAIT_BUDGET_MS = 120;
/** Between two passes of a plan, s. */
const BREATHING_S = 0.4;
/** Paint that nobody has touched for so long, s, is left at rest until somebody does. */
const REST_AFTER_S = 20;

/** A film on the bench: computed by a worker ahead of what is drawn. */
export function useFilm() {
  const { remote, stop } = newFilmWorker();
  const moment = shallowRef<FilmMoment | null>(null);
  const numbers = shallowRef<RehearsalNumbers | null>(null);
  const isRunning = ref(false);
  const isReady = ref(false);
  /** Paint seconds a second. */
  const speed = ref(1);
  const task = shallowRef<FilmTask | null>(null);
  const cutAtMm = ref(0);
  /** What the film is reckoned with. */
  const unknowns = shallowRef<FilmUnknowns>(USUAL_UNKNOWNS);
  let push: Push = NO_PUSH;
  let strokes: { readonly list: readonly Stroke[]; index: number; into: number } | null = null;
  let untouched = 0;
  let last = 0;
  let isAlive = true;
  /** One request after the other: what is asked for meanwhile waits. */
  let chain: Promise<unknown> = Promise.resolve();

  const inTurn = <Value>(ask: () => Promise<Value>): Promise<Value> => {
    const next = chain.then(ask);
    chain = next.catch(() => undefined);
    return next;
  };

  function show(next: FilmMoment): void {
    moment.value = next;
    if (next.numbers) numbers.value = next.numbers;
  }

  /** Begins with a scene; how it comes to lie there is asked of the worker. */
  async function begin(
    given: Scene,
    with_: FilmUnknowns,
    ask: (scene: Scene, unknowns: FilmUnknowns) => Promise<unknown>,
  ): Promise<void> {
    isReady.value = false;
    unknowns.value = with_;
    task.value = null;
    strokes = null;
    push = NO_PUSH;
    await inTurn(async () => {
      await ask(plain(given), plain(with_));
      show(await remote.look(cutAtMm.value));
    });
    isReady.value = true;
    run();
  }

  /** Lays a scene afresh, with as many cells as this machine bears or as are asked for. */
  const start = (given: Scene, with_: FilmUnknowns = USUAL_UNKNOWNS, cells?: number): Promise<void> =>
    begin(given, with_, (scene, unknowns) => remote.start(scene, unknowns, cells));

  /** The same with all its passes blown. */
  const startBlown = (given: Scene, cells: number, onProgress: (share: number) => void): Promise<void> =>
    begin(given, USUAL_UNKNOWNS, (scene, unknowns) =>
      remote.blowWhole(scene, unknowns, cells, proxy(onProgress)),
    );

  function run(): void {
    untouched = 0;
    last = performance.now();
    isRunning.value = true;
  }

  const pause = () => {
    isRunning.value = false;
  };

  /** Nothing pushes but how the support lies. */
  const asItLies = (): Push => ({ ...NO_PUSH, tilt: push.tilt });

  /** What the hand does from now on. */
  function setPush(next: Push): void {
    push = next;
    if (next.air || next.skewer || next.tilt || next.spin) {
      untouched = 0;
      if (!isRunning.value && isReady.value) run();
    }
  }

  async function turn(): Promise<void> {
    const now = performance.now();
    const passed = Math.min(MOST_STEP_S, ((now - last) / 1000) * speed.value);
    last = now;
    const doing = task.value;
    if (doing?.kind === 'wait' || doing?.kind === 'spin') {
      const seconds = Math.min(doing.seconds - doing.done, 2);
      const next = await inTurn(() => remote.move(seconds, push, cutAtMm.value, WAIT_BUDGET_MS));
      const came = next.seconds - (moment.value?.seconds ?? 0);
      show(next);
      // It was stopped while the paint moved.
      if (task.value !== doing) return;
      const done = doing.done + Math.max(0, came);
      task.value = done >= doing.seconds - 1e-3 ? null : { ...doing, done };
      if (!task.value) setPush(asItLies());
      return;
    }
    if (strokes) nextOfPlan(passed);
    show(await inTurn(() => remote.move(passed, push, cutAtMm.value, BUDGET_MS)));
    const isPushed = push.air || push.skewer || push.tilt || push.spin || strokes;
    untouched = isPushed ? 0 : untouched + passed;
    if (untouched > REST_AFTER_S) pause();
  }

  /** Follows the plan's passes. */
  function nextOfPlan(seconds: number): void {
    if (!strokes) return;
    strokes.into += seconds;
    let stroke = strokes.list[strokes.index];
    while (stroke && strokes.into > stroke.seconds + BREATHING_S) {
      strokes.into -= stroke.seconds + BREATHING_S;
      strokes.index += 1;
      stroke = strokes.list[strokes.index];
    }
    if (!stroke) {
      strokes = null;
      task.value = null;
      push = asItLies();
      return;
    }
    const share = strokes.into / stroke.seconds;
    push = share <= 1 ? { ...asItLies(), air: airOf(stroke, share) } : asItLies();
    task.value = { kind: 'passes', of: strokes.list.length, at: strokes.index };
  }

  async function loop(): Promise<void> {
    while (isAlive) {
      if (isRunning.value && isReady.value) {
        try {
          await turn();
        } catch (error) {
          if (!isAlive) return;
          pause();
          sayProblem(error);
        }
      }
      await new Promise((resolve) => requestAnimationFrame(resolve));
    }
  }
  void loop();

  const act = async (ask: () => Promise<unknown>): Promise<void> => {
    untouched = 0;
    await inTurn(ask);
    show(await inTurn(() => remote.look(cutAtMm.value)));
  };

  onBeforeUnmount(() => {
    isAlive = false;
    stop();
  });

  return {
    ...{ moment, numbers, isRunning, isReady, speed, task, cutAtMm, unknowns },
    ...{ start, startBlown, run, pause, setPush },
    currentPush: (): Push => push,
    blowPlan(list: readonly Stroke[]): void {
      if (list.length === 0) return;
      strokes = { list, index: 0, into: 0 };
      task.value = { kind: 'passes', of: list.length, at: 0 };
      run();
    },
    wait(seconds: number): void {
      setPush(asItLies());
      task.value = { kind: 'wait', seconds, done: 0 };
      run();
    },
    spin(rpm: number, seconds: number, at: Place): void {
      setPush({ ...NO_PUSH, spin: { rpm, at } });
      task.value = { kind: 'spin', seconds, done: 0 };
      run();
    },
    halt(): void {
      strokes = null;
      task.value = null;
      setPush(asItLies());
    },
    back: () => {
      strokes = null;
      task.value = null;
      push = asItLies();
      return act(() => remote.stepBack());
    },
    lay: (more: SceneLay) => act(() => remote.lay(more)),
    scrape: (at: Place, radiusMm: number) => act(() => remote.scrape(at, radiusMm)),
    torch: (at: Place) => act(() => remote.torch(at)),
    measure: (): Promise<MeasuredRehearsal> => inTurn(() => remote.measure()),
    picture: (width: number): Promise<ImageData> => inTurn(() => remote.picture(width)),
  };
}

export type Film = ReturnType<typeof useFilm>;
