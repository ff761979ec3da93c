/** Colder than this resin comes out full of bubbles (common practice, no published source), °C. */
export const COLD_C = 20;
