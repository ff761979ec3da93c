import type { OrderHint, OrderReason, OrderRuleName } from '@icy-ribbon/core/piece/order';

type Say = (lower: string, upper: string) => string;

const WORDS: Readonly<Record<OrderRuleName, Say>> = {
  weight: (lower, upper) => `${upper} is heavier than ${lower} below it and sinks.`,
  thickness: (lower, upper) => `${upper} is thicker than ${lower} below it, which cannot carry it.`,
  'largest below': (lower, upper) =>
    `More of ${upper} lies over less of ${lower}: the largest puddle goes lowest.`,
  opacity: (lower, upper) => `${lower} is opaque and lies under ${upper}: put it higher or it vanishes.`,
  mud: (lower, upper) => `${lower} and ${upper} go to mud where they touch.`,
  'metallic between plain': (lower, upper) =>
    `${lower} and ${upper} both shimmer: between plain colors they throw cells.`,
  'neon bleeds': (lower, upper) => `Neon bleeds: ${lower} and ${upper} would run into one another.`,
  'shimmer over dark': (lower, upper) => `${upper} shows best over a dark color; ${lower} is light.`,
  'small under the activator': (lower) =>
    `There is much of ${lower} right under the activator: it takes the picture over.`,
  outline: (lower) => `${lower} is laid first and is pale: a dark or strong color there outlines cleanly.`,
  'shadow low': (lower) => `${lower} is nearly black and lies high: low it reads as shadow.`,
  'plain ends': (lower) =>
    `${lower} shimmers at the end of the ribbon: between plain colors it throws cells.`,
};

/** One reason against an order, in words. */
export const reasonWords = ({ rule, lower, upper }: OrderReason): string => WORDS[rule](lower, upper ?? '');

/** What could be added or left out, in words. */
export function hintWords(hint: OrderHint): string {
  switch (hint.code) {
    case 'into-the-pillow':
      return `${hint.name} is awkwardly thick: let it become part of the pillow.`;
    case 'repeat-at-the-end':
      return `Repeat ${hint.name} at the end: it contrasts most.`;
    case 'touches-of-base':
      return 'Light touches of base inside the ribbon brighten it.';
  }
}
