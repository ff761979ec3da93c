import { convert } from '@icy-ribbon/core/base/unit';
import type { ChosenUnits } from '../store/unitChoices.ts';

type Fields = Readonly<Record<string, unknown>>;

/** What a field is called where two versions are held against each other. */
const NAMES: Readonly<Record<string, string>> = {
  totalMg: 'amount',
  aims: 'what you want of it',
  lid: 'lid on',
};

/** "tryNext" -> "try next"; a mass by what it is of. */
export const fieldName = (field: string): string =>
  NAMES[field] ?? field.replace(/Mg$/, '').replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);

/** The same field of what is there now; an amount of a cup is that of its ingredients together. */
export function theirsOf(field: string, theirs: Fields): unknown {
  if (field !== 'totalMg') return theirs[field];
  const ingredients = theirs.ingredients;
  if (!Array.isArray(ingredients)) return theirs[field];
  return (ingredients as { targetMg: number }[]).reduce((sum, { targetMg }) => sum + targetMg, 0);
}

/** A value as one reads it: a mass in the chosen unit, a list by how many it holds. */
export function valueWords(field: string, value: unknown, { mass }: ChosenUnits): string {
  if (value === undefined || value === null || value === '') return 'nothing';
  if (typeof value === 'number' && field.endsWith('Mg')) {
    return `${Number(convert(value, 'mg', mass).toFixed(mass === 'oz' ? 2 : 1))}\u00a0${mass}`;
  }
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (Array.isArray(value)) return String(value.length);
  return typeof value === 'object' ? 'set in another way' : String(value as string | number);
}
