import { pieceSchema, type DamagedRecord, type Piece } from '@icy-ribbon/contract';
import type { Reader } from '../db/record.ts';
import { findPiece } from './piece.queries.ts';

const LISTS = {
  mixes: 'mix',
  readings: 'reading',
  events: 'event',
  care: 'care',
  photos: 'photo',
  rehearsals: 'photo',
} as const;
const MOST_REASON = 400;

/** One piece as JSON text; undefined when it is not there or deleted. */
export async function pieceText(db: Reader, id: string): Promise<string | undefined> {
  const piece = await findPiece(db, id);
  if (!piece || piece.deletedAt !== null) return undefined;
  return JSON.stringify(withoutDamaged(piece));
}

/**
 * A piece as the contract has it: records of it that cannot be read are left out, and named with the reason, so that
 * they take nothing else with them.
 *
 * @throws ZodError when the piece itself cannot be read
 */
export function withoutDamaged(piece: Piece): Piece {
  let left = piece;
  const damaged: DamagedRecord[] = [];
  for (;;) {
    const checked = pieceSchema.safeParse(left);
    if (checked.success) {
      return damaged.length > 0 ? { ...checked.data, damaged } : checked.data;
    }
    const found = checked.error.issues.flatMap(({ path: [field, index], message }) => {
      const record = recordAt(left, field, index);
      return record ? [{ ...record, reason: reasonOf(message) }] : [];
    });
    if (found.length === 0) throw checked.error;
    const ids = new Set(found.map(({ what, id }) => `${what} ${id}`));
    const stays = (what: string) => (each: { readonly id: string }) => !ids.has(`${what} ${each.id}`);
    left = {
      ...left,
      mixes: left.mixes.filter(stays('mix')),
      readings: left.readings.filter(stays('reading')),
      events: left.events.filter(stays('event')),
      care: left.care.filter(stays('care')),
      photos: left.photos.filter(stays('photo')),
      rehearsals: left.rehearsals.filter(stays('photo')),
      plan: ids.has(`plan ${piece.id}`) ? null : left.plan,
      judgement: ids.has(`judgement ${piece.id}`) ? null : left.judgement,
    };
    const known = new Set(damaged.map(({ what, id }) => `${what} ${id}`));
    for (const each of found) {
      if (known.has(`${each.what} ${each.id}`)) continue;
      known.add(`${each.what} ${each.id}`);
      damaged.push(each);
    }
  }
}

/** A schema's own words are for programmers; ours say what to change. */
export function reasonOf(message: string): string {
  const isOurs = !/^(Invalid|Expected|Unrecognized|Too (big|small))/.test(message);
  return isOurs ? message.slice(0, MOST_REASON) : 'a part of it is damaged.';
}

function recordAt(
  piece: Piece,
  field: PropertyKey | undefined,
  index: PropertyKey | undefined,
): Pick<DamagedRecord, 'what' | 'id'> | undefined {
  if (field === 'plan' || field === 'judgement') return { what: field, id: piece.id };
  if (typeof field !== 'string' || !Object.hasOwn(LISTS, field) || typeof index !== 'number')
    return undefined;
  const list = field as keyof typeof LISTS;
  const record = piece[list][index];
  return record && { what: LISTS[list], id: record.id };
}
