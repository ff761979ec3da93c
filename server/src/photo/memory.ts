import { Semaphore } from 'async-mutex';

/** Pixels that may be decoded at once: what one picture may have, so that the largest still gets its turn. */
const BUDGET_MEGAPIXELS = 60;
const budget = new Semaphore(BUDGET_MEGAPIXELS);

/** Runs some work on a picture when there is memory for it; small pictures go side by side, large ones in turn. */
export function withMemoryFor<Result>(pixels: number, work: () => Promise<Result>): Promise<Result> {
  const weight = Math.min(BUDGET_MEGAPIXELS, Math.max(1, Math.ceil(pixels / 1e6)));
  return budget.runExclusive(work, weight);
}
