/**
 * How far a piece has come, derived from its record and never stored: which cups are weighed in, whether
 * it was poured, whether it was judged, and what comes next.
 */
export interface PieceFacts {
  readonly cups: readonly {
    readonly phase: 'planned' | 'weighing' | 'mixed';
    /** Readings of its thickness. */
    readonly readings: number;
  }[];
  /** Whether it was planned how to pour it. */
  readonly planned: boolean;
  readonly layers: number;
  /** How often the paint was moved once it was laid: blown, swiped, lifted, spun. */
  readonly passes: number;
  readonly photos: number;
  readonly judged: boolean;
  /** It got a coat, or nothing more is done to it: it hangs, waits as a ground, is sold. */
  readonly care?: { readonly isCoated: boolean; readonly isDone: boolean } | undefined;
  /** Cut out of another piece: nothing is poured for it. */
  readonly cropped?: boolean | undefined;
  /** Judged good enough to finish, to rework or to scrape off: the work goes on at the rack. */
  readonly verdict?: 'keep' | 'finish' | 'rework' | 'scrape' | null | undefined;
}

export const PIECE_PHASES = ['started', 'mixing', 'mixed', 'pouring', 'poured', 'judged'] as const;
export type PiecePhase = (typeof PIECE_PHASES)[number];

export interface PieceProgress {
  readonly phase: PiecePhase;
  readonly station: 'mix' | 'thickness' | 'plan' | 'pour' | 'results' | 'rack';
  /** What to do next, as a sentence. */
  readonly next: string;
}

const GOES_ON = {
  finish: 'Let it dry, then finish it.',
  rework: 'Let it dry, then alter it.',
  scrape: 'Scrape it off while it is wet.',
} as const;

export function pieceProgress(facts: PieceFacts): PieceProgress {
  const toWeigh = facts.cups.filter((cup) => cup.phase !== 'mixed').length;
  if (facts.cropped) {
    return { phase: 'judged', station: 'rack', next: 'Finish it, or hang it as it is.' };
  }
  if (facts.judged && facts.care?.isDone) {
    return { phase: 'judged', station: 'rack', next: 'Show it.' };
  }
  if (facts.judged && facts.care?.isCoated) {
    return { phase: 'judged', station: 'rack', next: 'Let its coat cure.' };
  }
  if (facts.judged && facts.verdict && facts.verdict !== 'keep') {
    return { phase: 'judged', station: 'rack', next: GOES_ON[facts.verdict] };
  }
  if (facts.judged) {
    return {
      phase: 'judged',
      station: 'results',
      next: facts.photos > 0 ? 'Compare it with the others.' : 'Attach a photo.',
    };
  }
  if (facts.passes > 0) {
    return {
      phase: 'poured',
      station: 'results',
      next: facts.photos > 0 ? 'Judge it.' : 'Attach a photo and judge it.',
    };
  }
  if (facts.layers > 0) {
    return { phase: 'pouring', station: 'pour', next: 'Blow it out and log each pass.' };
  }
  if (facts.cups.length === 0) {
    return { phase: 'started', station: 'mix', next: 'Choose a base and colors.' };
  }
  if (toWeigh === 0) {
    if (!facts.cups.some((cup) => cup.readings > 0)) {
      return { phase: 'mixed', station: 'thickness', next: 'Test the thickness.' };
    }
    return facts.planned
      ? { phase: 'mixed', station: 'pour', next: 'Pour it.' }
      : { phase: 'mixed', station: 'plan', next: 'Plan how to pour it.' };
  }
  return {
    phase: facts.cups.some((cup) => cup.phase !== 'planned') ? 'mixing' : 'started',
    station: 'mix',
    next: toWeigh === 1 ? 'Weigh in 1 cup.' : `Weigh in ${toWeigh} cups.`,
  };
}
