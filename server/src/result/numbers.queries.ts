import type { Technique } from '@icy-ribbon/core/paint/stage';
import { sql } from 'kysely';
import { cached } from '../db/cached.ts';
import type { Db } from '../db/open.ts';

/** A part of a piece in short, as its JSON text. */
const fromSummary = (part: 'photo' | 'support') => sql<string>`summary -> ${sql.lit(`$.${part}`)}`.as(part);

/** The numbers of all pours, the newest first, as the JSON text of a list; worked out once, until one of them changes. */
export const listNumbers = (db: Db, technique: Technique | undefined): Promise<string> =>
  cached(db, 'numbers', technique ?? '', () => textOfNumbers(db, technique));

async function textOfNumbers(db: Db, technique: Technique | undefined): Promise<string> {
  let wanted = db
    .selectFrom('pourFacts')
    .innerJoin('piece', 'piece.id', 'pourFacts.pieceId')
    .where('piece.deletedAt', 'is', null)
    .where('pourFacts.pouredAt', 'is not', null);
  if (technique) wanted = wanted.where('piece.technique', '=', technique);
  const rows = await wanted
    .select(['pieceId', 'name', 'technique', 'tool', 'pouredAt', 'standIn', 'numbers'])
    .select([fromSummary('photo'), fromSummary('support')])
    .orderBy('pouredAt', 'desc')
    .orderBy('pieceId')
    .execute();
  // The numbers were checked when they were worked out; they are passed on as they were written.
  const written = rows.map(({ numbers, photo, support, standIn, ...row }) => {
    const rest = JSON.stringify({ ...row, standIn: standIn === 1 }).slice(0, -1);
    return `${rest},"photo":${photo ?? 'null'},"support":${support},"numbers":${numbers}}`;
  });
  return `[${written.join(',')}]`;
}
