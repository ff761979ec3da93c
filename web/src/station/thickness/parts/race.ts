import type { ReadingInput } from '@icy-ribbon/contract';
import type { Calibrated } from '@icy-ribbon/core/thickness/reading';
import { paS } from '#words/thickness.ts';
import { computed, onBeforeUnmount, ref } from 'vue';

/** A lane of the card: a cup, or a reference liquid. */
export interface Lane {
  readonly key: string;
  readonly name: string;
  readonly colorHex: string;
  /** What it is taken for while it runs. */
  readonly viscosityPaS: number;
  readonly cupId: string | null;
  readonly liquid: { readonly name: string; readonly viscosityPaS: number; readonly sdLn: number } | null;
}

export type RaceBy = 'time' | 'length';
/** A run length that was read off a picture, and one standard deviation of it, mm. */
export interface RunLength {
  readonly mm: number;
  readonly sdMm: number;
}
/** Seconds to the line or millimeters run, by the lane's key. */
type Results = Readonly<Record<string, number>>;

/** The clock of a race and what each lane did: seconds to the line, or mm run. */
export function useRace() {
  const by = ref<RaceBy>('time');
  const running = ref(false);
  const elapsed = ref(0);
  const results = ref<Record<string, number>>({});
  /** How unsure lengths are that were read off a picture; none of what was typed or dragged. */
  const spreads = ref<Record<string, number>>({});
  const order = ref<string[]>([]);
  let startedAt = 0;
  let frame = 0;

  const seconds = () => (performance.now() - startedAt) / 1000;

  function tick(): void {
    elapsed.value = seconds();
    if (running.value) frame = requestAnimationFrame(tick);
  }

  function start(): void {
    reset();
    running.value = true;
    startedAt = performance.now();
    tick();
  }

  /** A dot crosses the line; the last one ends the race. */
  function stop(key: string, lanes: readonly Lane[]): void {
    if (!running.value || results.value[key] !== undefined) return;
    setResult(key, Math.round(seconds() * 10) / 10 || 0.1);
    order.value = [...order.value, key];
    if (lanes.every((lane) => results.value[lane.key] !== undefined)) running.value = false;
  }

  /** The last dot did not cross after all. */
  function undo(): void {
    const last = order.value.at(-1);
    if (!last) return;
    order.value = order.value.slice(0, -1);
    const { [last]: gone, ...rest } = results.value;
    void gone;
    results.value = rest;
    if (!running.value) {
      running.value = true;
      tick();
    }
  }

  function reset(): void {
    running.value = false;
    cancelAnimationFrame(frame);
    elapsed.value = 0;
    results.value = {};
    spreads.value = {};
    order.value = [];
  }

  function setResult(key: string, value: number | null): void {
    const { [key]: gone, ...rest } = results.value;
    void gone;
    results.value = value === null || value <= 0 ? rest : { ...rest, [key]: value };
    const { [key]: unsure, ...others } = spreads.value;
    void unsure;
    spreads.value = others;
  }

  /** Takes over what a picture says. */
  function takeLengths(found: Readonly<Record<string, RunLength>>): void {
    for (const [key, { mm, sdMm }] of Object.entries(found)) {
      setResult(key, mm);
      spreads.value = { ...spreads.value, [key]: sdMm };
    }
  }

  onBeforeUnmount(() => cancelAnimationFrame(frame));
  const finished = computed(() => !running.value && Object.keys(results.value).length > 0);
  return {
    ...{ by, running, elapsed, results, spreads, finished },
    ...{ start, stop, undo, reset, setResult, takeLengths },
  };
}

/** The lanes that ran, as readings of one race. */
export function raceReadings(
  lanes: readonly Lane[],
  race: { readonly by: RaceBy; readonly results: Results; readonly spreads?: Results },
  about: {
    readonly temperatureC: number | null;
    readonly card: Calibrated | null;
    readonly makeId: () => string;
  },
): ReadingInput[] {
  const raceId = about.makeId();
  return lanes
    .filter((lane) => race.results[lane.key] !== undefined)
    .map((lane) => ({
      id: about.makeId(),
      cupId: lane.cupId,
      raceId,
      temperatureC: about.temperatureC,
      measure: {
        kind: 'race',
        by: race.by,
        value: race.results[lane.key]!,
        ...(race.by === 'length' && { sdMm: race.spreads?.[lane.key] }),
        liquid: lane.liquid,
        card: race.by === 'time' ? about.card : null,
      },
    }));
}

/** How thick a lane is against another, as its results say: seconds directly, lengths by their cube. */
export function laneRatio(by: RaceBy, value: number, against: number): number {
  return by === 'time' ? value / against : (against / value) ** 3;
}

/** The reference where there is one, else the thinnest lane, against which the others are told. */
function standard(lanes: readonly Lane[], by: RaceBy, results: Results): Lane | undefined {
  const done = lanes.filter((lane) => results[lane.key] !== undefined);
  const sign = by === 'time' ? 1 : -1;
  const sorted = [...done].sort((a, b) => sign * (results[a.key]! - results[b.key]!));
  return done.find((lane) => lane.liquid) ?? sorted[0];
}

/** What the race says of each lane so far: its thickness beside a reference, else its ratio to the thinnest. */
export function raceOutcome(
  lanes: readonly Lane[],
  by: RaceBy,
  results: Results,
  isFinished: boolean,
): { readonly lane: Lane; readonly words: string }[] {
  const against = standard(lanes, by, results);
  const base = against && results[against.key];
  return lanes.map((lane) => {
    const value = results[lane.key];
    if (value === undefined || base === undefined) return { lane, words: '' };
    if (lane === against) {
      return { lane, words: lane.liquid ? paS(lane.liquid.viscosityPaS) : isFinished ? 'the thinnest' : '' };
    }
    const ratio = laneRatio(by, value, base);
    const words = against?.liquid
      ? paS(against.liquid.viscosityPaS * ratio)
      : `${ratio.toFixed(2)} × as thick as ${against?.name}`;
    return { lane, words };
  });
}
