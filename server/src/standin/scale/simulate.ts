import { gaussian, type Random } from '@icy-ribbon/core/base/random';

/** The inside of the simulated scale; all masses in milligrams, true values not rounded. */
export interface ScaleState {
  readonly loadMg: number;
  readonly tareMg: number;
  /** What the sensor feels: it lags behind the load. */
  readonly sensedMg: number;
  readonly driftMg: number;
  readonly toPourMg: number;
  readonly shownMg: number;
  readonly steadyS: number;
  /** Swing of the pan after a bump; dies away. */
  readonly swingMg: number;
  /** Seconds until it answers again. */
  readonly awayS: number;
}

export const SCALE = {
  capacityMg: 1_000_000,
  resolutionMg: 50,
  emptyCupMg: 8_400,
  lagS: 0.25,
  noiseMg: 15,
  driftMgPerRootS: 1.5,
  pourMgPerS: 14_000,
  /** The last bit goes in by drops. */
  dribbleBelowMg: 2_000,
  dribbleMgPerS: 3_500,
  settleS: 0.8,
  bumpMg: 40_000,
  dropOutS: 5,
} as const;

export const EMPTY_SCALE: ScaleState = {
  loadMg: 0,
  tareMg: 0,
  sensedMg: 0,
  driftMg: 0,
  toPourMg: 0,
  shownMg: 0,
  steadyS: 0,
  swingMg: 0,
  awayS: 0,
};

/**
 * One step of the simulated scale: pouring, sensor lag, drift, noise, display rounding and settling.
 *
 * @param seconds length of the step
 */
export function stepScale(state: ScaleState, seconds: number, random: Random): ScaleState {
  const rate = state.toPourMg > SCALE.dribbleBelowMg ? SCALE.pourMgPerS : SCALE.dribbleMgPerS;
  const pouredMg = Math.min(state.toPourMg, rate * seconds);
  const loadMg = state.loadMg + pouredMg;
  const sensedMg = loadMg + (state.sensedMg - loadMg) * Math.exp(-seconds / SCALE.lagS);
  const driftMg = state.driftMg + SCALE.driftMgPerRootS * Math.sqrt(seconds) * gaussian(random);
  const swingMg = Math.abs(state.swingMg) < 1 ? 0 : -0.75 * state.swingMg;
  const feltMg = sensedMg + swingMg + driftMg + SCALE.noiseMg * gaussian(random) - state.tareMg;
  const shownMg = Math.round(feltMg / SCALE.resolutionMg) * SCALE.resolutionMg;
  const steady = pouredMg === 0 && Math.abs(shownMg - state.shownMg) <= SCALE.resolutionMg;
  return {
    loadMg,
    tareMg: state.tareMg,
    sensedMg,
    driftMg,
    toPourMg: state.toPourMg - pouredMg,
    shownMg: shownMg === 0 ? 0 : shownMg,
    steadyS: steady ? state.steadyS + seconds : 0,
    swingMg,
    awayS: Math.max(0, state.awayS - seconds),
  };
}

/**
 * How much really goes in when a hand aims for an amount: within about half a percent, never less
 * than nothing.
 */
export function handPour(aimMg: number, random: Random): number {
  return Math.max(0, aimMg + Math.max(40, 0.005 * aimMg) * gaussian(random));
}
