/** What is looked at once a piece has dried. */
export const CARE_CHECKS = ['wet-against-dry', 'cracks', 'drift', 'pinholes', 'flatness'] as const;
export type CareCheck = (typeof CARE_CHECKS)[number];

/** What may become of a piece. */
export const DECISIONS = [
  'finish',
  'hang',
  'alter',
  'pour-over',
  'scrape',
  'wash-off',
  'ground',
  'crop',
] as const;
export type Decision = (typeof DECISIONS)[number];

/** Lines, inlays and crystals, as they are laid on a dry piece. */
export const FINE_WORKS = ['resin-line', 'outliner', 'metal-line', 'inlay', 'crystals'] as const;
export type FineWork = (typeof FINE_WORKS)[number];

/** What is cleaned and kept after a pour. */
export const CLOSING_STEPS = ['left-overs', 'tools', 'spinner', 'bottles', 'tape', 'drain'] as const;
export type ClosingStep = (typeof CLOSING_STEPS)[number];
