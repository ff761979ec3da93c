import type { DrillAnswer } from '@icy-ribbon/core/drill/schedule';

/** What a drill came to. */
export interface PlayResult {
  readonly score: number;
  readonly answers: readonly DrillAnswer[];
  readonly measures: Readonly<Record<string, number>>;
  /** What is to be learned from it, a sentence each. */
  readonly words: readonly string[];
}

/** A seed that differs from play to play. */
export const freshSeed = (): number => crypto.getRandomValues(new Uint32Array(1))[0]!;
