import type { PieceSummary } from '@icy-ribbon/contract';

/** Where the next step of a piece is done. */
export const workAt = ({ id, station }: Pick<PieceSummary, 'id' | 'station'>): string =>
  station === 'results' ? `/results/${id}` : `/${station}/${id}`;
