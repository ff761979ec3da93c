import { interpret, measured, unreadable } from '../reading/index.ts';
import { expected, type Belief } from './belief.ts';
import { learnKeeping, type LearnCup, type Thickness } from './learn.ts';
import type { ReadingRecord } from './record.ts';

/** What one reading of a cup says by itself. */
export interface Evidence {
  readonly reading: ReadingRecord;
  /** Undefined when it says nothing of this cup's Pa.s. */
  readonly says: (Thickness & { readonly atMost?: true }) | undefined;
  /** Why nothing can be read off it. */
  readonly because?: string | undefined;
}

/** A lane whose race is tied to Pa.s no better than this tells a ratio only. */
const TIED_SD_LN = 15;

/**
 * What each reading of a cup says by itself; one that nothing can be read off says why. A race lane is tied to Pa.s
 * by the rest of its race: what all the other readings say of the other lanes.
 */
export function evidenceOf(
  cupId: string,
  cups: readonly LearnCup[],
  readings: readonly ReadingRecord[],
): Evidence[] {
  const own = readings.filter((reading) => reading.cupId === cupId);
  const others = cups.filter((cup) => cup.id !== cupId);
  const races = new Set(own.flatMap(({ measure, raceId }) => (measure.kind === 'race' ? [raceId] : [])));
  const belief = learnKeeping(others, readings, races);
  return own.map((reading): Evidence => {
    const { measure, raceId } = reading;
    const because = unreadable(measure);
    if (because !== undefined) return { reading, says: undefined, because };
    if (measure.kind === 'race' && !measure.card) return { reading, says: laneSays(belief, reading, raceId) };
    const alone = measured(measure);
    if (!alone) return { reading, says: undefined };
    const { viscosityPaS, sdLn, atMost } = alone;
    return { reading, says: { viscosityPaS, spreadLn: sdLn, ...(atMost ? { atMost } : {}) } };
  });
}

function laneSays(belief: Belief, lane: ReadingRecord, raceId: string | null): Thickness | undefined {
  const name = `race ${raceId}`;
  if (!belief.names.includes(name)) return undefined;
  const constant = expected(belief, { [name]: 1 });
  if (constant.sd > TIED_SD_LN) return undefined;
  const { ln, sdLn } = interpret(lane.measure);
  return { viscosityPaS: Math.exp(ln + constant.mean), spreadLn: Math.hypot(sdLn, constant.sd) };
}
