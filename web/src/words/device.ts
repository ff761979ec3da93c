import type { Other } from '@icy-ribbon/contract';

const DOING_WORDS: Readonly<Record<NonNullable<Other['doing']>, string>> = {
  weighing: 'weighed',
  reading: 'read',
  planning: 'planned',
  pouring: 'poured',
};

/**
 * Who does what elsewhere.
 *
 * @param cup name of the cup it is done with
 * @example otherWords({ doing: 'weighing', device: 'Phone' }, 'Rust') // '"Rust" is being weighed on "Phone".'
 */
export function otherWords(
  { doing, device }: Pick<Other, 'doing' | 'device'>,
  cup: string | undefined,
): string {
  const what = cup && (doing === 'weighing' || doing === 'reading') ? `"${cup}"` : 'This piece';
  const where = device === 'the computer' || device === 'another device' ? device : `"${device}"`;
  return `${what} is being ${doing ? DOING_WORDS[doing] : 'looked at'} on ${where}.`;
}
