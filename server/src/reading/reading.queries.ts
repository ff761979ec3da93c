import { readingSchema, type Reading, type ReadingsCreate } from '@icy-ribbon/contract';
import { cupState } from '@icy-ribbon/core/paint/mix';
import { unreadable } from '@icy-ribbon/core/thickness/reading';
import type { Selectable } from 'kysely';
import { fromJson, toJson } from '../db/json.ts';
import { requirePiece } from '../db/ofPiece.ts';
import { readable } from '../db/readable.ts';
import { doneAt, found, insertRows, timestamp, type Reader, type Writer } from '../db/record.ts';
import type { ReadingTable } from '../db/schema.ts';
import { taken, unfit } from '../http/problem.ts';
import { findMix } from '../mix/mix.queries.ts';

const toReading = ({
  id,
  pieceId,
  cupId,
  raceId,
  at,
  temperatureC,
  ...row
}: Selectable<ReadingTable>): Reading & { pieceId: string } => ({
  id,
  pieceId,
  cupId,
  raceId,
  at,
  temperatureC,
  contents: fromJson(row.contents),
  measure: fromJson(row.measure),
  struck: row.struckAt !== null,
});

/** The readings of some pieces in the order they were taken, struck ones too. */
export async function readingsOf(
  db: Reader,
  pieceIds: readonly string[],
): Promise<(Reading & { pieceId: string })[]> {
  const rows = await db
    .selectFrom('reading')
    .selectAll()
    .where('pieceId', 'in', pieceIds)
    .orderBy('seq')
    .execute();
  return rows.map(toReading);
}

/**
 * Keeps readings of a piece's cups, each with what its cup held. The same reading sent again changes
 * nothing.
 *
 * @throws HttpProblem 422 naming the reading that does not fit
 */
export async function addReadings(
  trx: Writer,
  pieceId: string,
  { readings, at: takenAt }: ReadingsCreate,
): Promise<Reading[]> {
  await requirePiece(trx, pieceId);
  const at = doneAt(takenAt);
  for (const [index, reading] of readings.entries()) {
    const known = await trx
      .selectFrom('reading')
      .select('pieceId')
      .where('id', '=', reading.id)
      .executeTakeFirst();
    if (known && known.pieceId !== pieceId) throw taken('piece');
    if (known) continue;
    requireFitting(reading, index);
    const contents = reading.cupId === null ? [] : await contentsNow(trx, pieceId, reading.cupId, index);
    await insertReadings(trx, pieceId, [{ ...reading, at, contents, struck: false }]);
  }
  return strip(await readingsOf(trx, [pieceId]));
}

function requireFitting({ cupId, raceId, measure }: ReadingsCreate['readings'][number], index: number): void {
  const isRace = measure.kind === 'race';
  if (isRace !== (raceId !== null)) {
    throw unfit(`readings.${index}.raceId`, 'A lane belongs to a race, any other reading does not.');
  }
  if ((cupId === null) !== (isRace && measure.liquid !== null)) {
    throw unfit(`readings.${index}.cupId`, 'Say which cup was read.');
  }
  if (measure.kind === 'drain-cup' && (measure.cup === 'own') !== (measure.own !== null)) {
    throw unfit(`readings.${index}.measure.cup`, 'Choose the cup, or calibrate your own first.');
  }
  const because = unreadable(measure);
  if (because !== undefined) throw unfit(`readings.${index}.measure.seconds`, because);
}

/** What a cup holds now; a cup that was never weighed in is taken as planned. */
async function contentsNow(
  trx: Writer,
  pieceId: string,
  cupId: string,
  index: number,
): Promise<Reading['contents']> {
  const mix = await findMix(trx, cupId);
  if (!mix || mix.pieceId !== pieceId || mix.deletedAt !== null) {
    throw unfit(`readings.${index}.cupId`, 'This cup is not on the bench any more.');
  }
  const { shownIngredientMg } = cupState(mix);
  return mix.ingredients.map((each, at) => ({ ingredientId: each.id, mg: shownIngredientMg[at] ?? 0 }));
}

export const insertReadings = (trx: Writer, pieceId: string, readings: readonly Reading[]): Promise<void> =>
  insertRows(
    trx,
    'reading',
    readings.map(({ contents, measure, struck, ...reading }) => ({
      ...reading,
      pieceId,
      contents: toJson(contents),
      measure: toJson(measure),
      struckAt: struck ? reading.at : null,
    })),
  );

/** Strikes a reading out or lets it count again; all readings of its piece come back. */
export async function strikeReading(trx: Writer, id: string, struck: boolean): Promise<Reading[]> {
  const row = found(
    await trx.selectFrom('reading').select(['pieceId', 'struckAt']).where('id', '=', id).executeTakeFirst(),
    'reading',
  );
  await requirePiece(trx, row.pieceId);
  if ((row.struckAt !== null) !== struck) {
    await trx
      .updateTable('reading')
      .set({ struckAt: struck ? timestamp() : null })
      .where('id', '=', id)
      .execute();
  }
  return strip(await readingsOf(trx, [row.pieceId]));
}

const strip = (readings: (Reading & { pieceId: string })[]): Reading[] => readable(readingSchema, readings);
