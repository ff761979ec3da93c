import type { Middle } from '@icy-ribbon/core/flow/air';

/** What becomes of the middle under the air. */
export const MIDDLE_WORDS: Readonly<Record<Middle, string>> = {
  bare: 'The air digs to the support: the middle stays behind as a bare dent.',
  skin: 'A thin skin is left in the middle; it sticks while the rest moves.',
  dish: 'A deep dish: the middle closes again when the air is off.',
  dip: 'The middle dips and moves with the rest.',
};
