/** Spread of a single look, and of what one person's looks have in common, in ln(viscosity) (common practice). */
export const WORDS_SD_LN = 0.5;
export const WORDS_BIAS_SD_LN = 0.35;
/** However well an eye was practiced on a screen, so much stays open in a cup (an assumption). */
export const LEAST_WORDS_SD_LN = 0.25;
export const LEAST_SHARED_LN = 0.15;
