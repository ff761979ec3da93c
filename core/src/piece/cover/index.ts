export { coverage, type Coverage } from './coverage.ts';
export { oddEnds, type OddEnd } from './ends.ts';
export type { CoverageInput, Petal } from './reach.ts';
export { logOdds, shareOfOdds } from './likeTheFilm.ts';
