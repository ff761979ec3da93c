import type { DateKind } from '@icy-ribbon/core/piece/care';

export const PHOTO_STATES = ['wet', 'dry'] as const;
export type PhotoState = (typeof PHOTO_STATES)[number];
/** What a picture shows: the piece, or the rehearsal of its plan. */
export const PICTURE_STATES = [...PHOTO_STATES, 'rehearsal'] as const;

export const VERDICTS = ['keep', 'finish', 'rework', 'scrape'] as const;
export const VERDICT_WORDS: Readonly<Record<(typeof VERDICTS)[number], string>> = {
  keep: 'Keep these numbers',
  finish: 'Good enough to finish',
  rework: 'Rework a part',
  scrape: 'Scrape it off',
};
export type Verdict = (typeof VERDICTS)[number];

/** How much of it there is, 0 to 4. */
export const DEGREE_WORDS = ['none', 'a trace', 'some', 'plenty', 'all over'] as const;
export const RATED = ['cells', 'lacing', 'petals', 'mud'] as const;
export type Rated = (typeof RATED)[number];

/** What is due, in words: the calendar and the feed say the same. */
export const DATE_WORDS: Readonly<Record<DateKind, string>> = {
  rested: 'rested: pour it',
  dry: 'touch-dry: touch it',
  alter: 'may be laid over',
  coat: 'ready for its top coat',
  'next-coat': 'next coat of varnish',
  cured: 'its coat has cured',
  show: 'goes to the show',
};
