/** The version of the program; data that a newer one wrote is not touched. */
export const VERSION = '0.1.0';
