import type { PrepareCode, PrepareItem } from '@icy-ribbon/core/piece/prepare';
import { namesListed } from './general.ts';
import type { MeasureWords } from './measure.ts';

type Facts<Code extends PrepareCode> = Extract<PrepareItem, { code: Code }>['facts'];

const WORDS: { readonly [Code in PrepareCode]: (facts: Facts<Code>, say: MeasureWords) => string } = {
  smell: ({ names, months }) => `Smell at ${namesListed(names)}, ${months} months open`,
  strain: () => 'Strain the paints',
  tap: () => 'Tap the bubbles out of the cups',
  lids: ({ names }) => `Lids stay on until you pour, ${names.length} of them`,
  tape: () => 'Tape the back',
  prop: () => 'Prop the cloth in the middle',
  'wet-rim': () => 'Wet the bare rim with base',
  gloves: () => 'Gloves on; a mask for powder',
  tray: ({ massG }, say) =>
    massG === null ? 'A tray under it' : `A tray: about ${say.mass(1000 * massG)} run off`,
};

/** A thing to be seen to before the pour. */
export const prepareWords = ({ code, facts }: PrepareItem, say: MeasureWords): string =>
  (WORDS[code] as (facts: object, say: MeasureWords) => string)(facts, say);

/** Why it is done, for who wants to know. */
export const PREPARE_REASONS: Readonly<Record<PrepareCode, string>> = {
  smell: 'A rotten smell or a black color means it is spoilt.',
  strain: 'Skin and gel lumps leave crust bits in the film.',
  tap: 'Bubbles that stay in the paint leave pinholes.',
  lids: 'Open cups lose water and thicken while you pour the others.',
  tape: 'Drips on the back glue it to the rack.',
  prop: 'Cloth sags under wet paint, and the paint runs to the middle.',
  'wet-rim': 'A bare edge stops the flow, and its rim cracks.',
  gloves: 'Follow the makers’ safety sheets; they go before this list.',
  tray: 'Paint that runs off is kept out of the drain.',
};
