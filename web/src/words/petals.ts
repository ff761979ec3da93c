import type { Technique } from '@icy-ribbon/core/paint/stage';

/** What a photo counts: a flower's petals, or the tongues that a Dutch pour was blown into. */
export const petalsName = (technique: Technique): string => (technique === 'dutch' ? 'Tongues' : 'Petals');

/** Said where a photo shows too few cells for a usual size. */
export const NO_CELL_SIZE = 'too few cells to size';

/** "6", "none", or that they couldn't be counted. */
export const petalsCounted = (count: number | null): string =>
  count === null ? 'can’t be counted' : count === 0 ? 'none' : String(count);
