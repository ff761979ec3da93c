import type { ScaleInfo, ScaleReading } from '@icy-ribbon/contract';
import type { Random } from '@icy-ribbon/core/base/random';
import { EMPTY_SCALE, handPour, SCALE, stepScale, type ScaleState } from './simulate.ts';

/** What any kitchen scale can do; a real one plugs in here. */
export interface Scale {
  readonly info: ScaleInfo;
  read(): ScaleReading;
  tare(): ScaleReading;
  /** Calls back about ten times a second until the returned function is called. */
  subscribe(listener: (reading: ScaleReading) => void): () => void;
}

/** The stand-in can also be poured into. */
export interface StandInScale extends Scale {
  pour(mg: number): ScaleReading;
  stop(): ScaleReading;
  newCup(): ScaleReading;
  disturb(kind: 'bump' | 'overload' | 'drop-out'): ScaleReading;
}

const TICK_S = 0.1;

/** A simulated scale. Its time runs only while somebody listens or paint is flowing. */
export function standInScale(random: Random): StandInScale {
  let state: ScaleState = EMPTY_SCALE;
  let timer: NodeJS.Timeout | undefined;
  const listeners = new Set<(reading: ScaleReading) => void>();

  const read = (): ScaleReading => ({
    mg: state.shownMg,
    settled: state.steadyS >= SCALE.settleS,
    overload: state.loadMg > SCALE.capacityMg,
    pouring: state.toPourMg > 0,
  });

  const tick = () => {
    state = stepScale(state, TICK_S, random);
    if (state.awayS === 0) for (const listener of listeners) listener(read());
    if (listeners.size === 0 && state.toPourMg === 0) {
      clearInterval(timer);
      timer = undefined;
    }
  };

  const wake = () => {
    timer ??= setInterval(tick, TICK_S * 1000);
    timer.unref();
  };

  const zero = () => {
    state = { ...state, sensedMg: state.loadMg, tareMg: state.loadMg + state.driftMg, shownMg: 0 };
    return read();
  };

  return {
    info: {
      name: 'Scale stand-in',
      capacityMg: SCALE.capacityMg,
      resolutionMg: SCALE.resolutionMg,
      standIn: true,
    },
    read,
    tare: zero,
    subscribe(listener) {
      listeners.add(listener);
      wake();
      return () => listeners.delete(listener);
    },
    pour(mg) {
      state = { ...state, toPourMg: handPour(mg, random), steadyS: 0 };
      wake();
      return read();
    },
    stop() {
      state = { ...state, toPourMg: 0 };
      return read();
    },
    disturb(kind) {
      const { bumpMg, capacityMg, dropOutS } = SCALE;
      if (kind === 'bump') state = { ...state, swingMg: bumpMg, steadyS: 0 };
      if (kind === 'overload') state = { ...state, loadMg: state.loadMg + 1.2 * capacityMg, steadyS: 0 };
      if (kind === 'drop-out') state = { ...state, awayS: dropOutS };
      wake();
      return read();
    },
    newCup() {
      state = { ...EMPTY_SCALE, loadMg: SCALE.emptyCupMg, sensedMg: SCALE.emptyCupMg };
      return zero();
    },
  };
}
