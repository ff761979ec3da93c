import type { Mix, PourEvent, Reading } from '@icy-ribbon/contract';
import { cupState } from '@icy-ribbon/core/paint/mix';
import type { KeptWrite } from '../keptWrites.ts';

/** Events that wait. */
export const waitingEvents = (waiting: readonly KeptWrite[]): PourEvent[] =>
  waiting.flatMap(({ write }) => (write.kind === 'event' ? [write.event] : []));

/** Cups with what was weighed in and is not at the server yet, without what was taken back meanwhile. */
export function mixesWith(mixes: readonly Mix[], waiting: readonly KeptWrite[]): readonly Mix[] {
  const changed = new Set(waiting.flatMap(({ write }) => ('cupId' in write ? [write.cupId] : [])));
  return changed.size === 0 ? mixes : mixes.map((mix) => (changed.has(mix.id) ? mixWith(mix, waiting) : mix));
}

function mixWith(mix: Mix, waiting: readonly KeptWrite[]): Mix {
  let { additions } = mix;
  for (const { write } of waiting) {
    if (write.kind === 'addition' && write.cupId === mix.id) {
      const { addition } = write;
      if (additions.some(({ id }) => id === addition.id)) continue;
      const place = Math.max(0, ...[...additions, ...mix.movements].map((each) => each.place)) + 1;
      additions = [...additions, { ...addition, drawId: null, place }];
    } else if (write.kind === 'take-back' && write.cupId === mix.id) {
      additions = additions.filter(({ id }) => id !== write.additionId);
    }
  }
  return { ...mix, additions };
}

/** Readings with those that wait, each with what its cup holds now. */
export function readingsWith(
  readings: readonly Reading[],
  waiting: readonly KeptWrite[],
  mixes: readonly Mix[],
): readonly Reading[] {
  const known = new Set(readings.map(({ id }) => id));
  const more = waiting.flatMap(({ write }): Reading[] => {
    if (write.kind !== 'readings') return [];
    return write.readings
      .filter(({ id }) => !known.has(id))
      .map((reading) => ({ ...reading, at: write.at, struck: false, contents: contentsOf(reading.cupId) }));
  });
  return more.length === 0 ? readings : [...readings, ...more];

  function contentsOf(cupId: string | null): Reading['contents'] {
    const mix = mixes.find(({ id }) => id === cupId);
    if (!mix) return [];
    const { shownIngredientMg } = cupState(mix);
    return mix.ingredients.map(({ id }, at) => ({ ingredientId: id, mg: shownIngredientMg[at] ?? 0 }));
  }
}
