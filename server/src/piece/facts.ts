import {
  measuredCellsSchema,
  pieceSchema,
  pieceSummarySchema,
  pourNumbersSchema,
  type Piece,
  type PieceSummary,
} from '@icy-ribbon/contract';
import type { AirTool } from '@icy-ribbon/core/flow/air';
import { forecastCovered } from '@icy-ribbon/core/judgement/cover';
import { measuredCells } from '@icy-ribbon/core/judgement/cells';
import { quantitiesOf } from '@icy-ribbon/core/judgement/compare';
import { pourRecordOf, speakingPhoto } from '@icy-ribbon/core/judgement/outcome';
import { careInShort } from '@icy-ribbon/core/piece/care';
import { InputError } from '@icy-ribbon/core/base/error';
import { PHOTO_QUANTITY_KEYS, photoQuantity } from '@icy-ribbon/core/judgement/outcome';
import { stageOf } from '@icy-ribbon/core/paint/stage';
import type { Insertable } from 'kysely';
import { ZodError } from 'zod';
import type { PourFactsTable } from '../db/schema.ts';
import { summarize } from './summary.ts';

/** Counts up whenever what is worked out of a piece changes: rows of an older count are worked out anew. */
export const FACTS_CODE = Math.max(14, ...PHOTO_QUANTITY_KEYS.map((key) => photoQuantity(key).since));

export type FactsRow = Insertable<PourFactsTable>;

const numbersSchema = pourNumbersSchema.shape.numbers;

/**
 * Everything that lists, filters, charts and comparisons say of a piece, as a row to keep.
 *
 * @throws ZodError or InputError when something of the piece cannot be shown or worked out
 */
export function factsOf(piece: Piece): FactsRow {
  pieceSchema.parse(piece);
  const record = pourRecordOf(piece);
  const summary = summarize(piece);
  const numbers = numbersSchema.parse({
    ...quantitiesOf(record),
    coveredForecast: forecastCovered(piece),
    ...driedNumbers(summary),
  });
  const { colorPaS } = numbers;
  const photo = speakingPhoto(piece.photos);
  const measured = measuredCells(piece, record);
  return {
    pieceId: piece.id,
    pouredAt: record.pouredAt,
    tool: mainTool(record.passes),
    tools: JSON.stringify([...new Set(record.passes.map((pass) => pass.tool))]),
    stage: typeof colorPaS === 'number' ? stageOf(colorPaS).name : null,
    rating: record.rating,
    photoId: photo?.id ?? null,
    standIn: photo?.standIn ? 1 : 0,
    numbers: JSON.stringify(numbers),
    cells: measured && JSON.stringify(measuredCellsSchema.parse(measured)),
    summary: JSON.stringify(pieceSummarySchema.parse(summary)),
    trouble: null,
    code: FACTS_CODE,
  };
}

const HOUR_MS = 3_600_000;

/** How long it was forecast to dry, and how long it really did. */
function driedNumbers({ drying, pouredAt, touchDryAt }: PieceSummary) {
  const dryHours = pouredAt && touchDryAt ? (Date.parse(touchDryAt) - Date.parse(pouredAt)) / HOUR_MS : null;
  return { dryForecastHours: drying?.hours ?? null, dryHours: dryHours && dryHours > 0 ? dryHours : null };
}

/** The same of a piece out of which nothing can be worked out: it is listed as it was written, with the reason. */
export function troubledFacts(
  piece: Pick<
    Piece,
    'id' | 'version' | 'name' | 'technique' | 'support' | 'createdAt' | 'updatedAt' | 'judgement'
  >,
  trouble: string,
): FactsRow {
  const { id, version, name, technique, support, createdAt, updatedAt } = piece;
  const summary: PieceSummary = {
    ...{ id, version, name, technique, support, createdAt, updatedAt },
    pouredAt: null,
    topCoatedAt: null,
    touchDryAt: null,
    drying: null,
    care: careInShort([], null),
    origin: null,
    phase: 'mixing',
    station: 'results',
    next: 'Part of its record cannot be read',
    mixes: [],
    passes: [],
    photo: null,
    outcome: null,
    judgement: null,
    trouble,
  };
  return {
    pieceId: id,
    pouredAt: null,
    tool: null,
    tools: '[]',
    stage: null,
    rating: null,
    photoId: null,
    standIn: 0,
    numbers: '{}',
    cells: null,
    summary: JSON.stringify(summary),
    trouble,
    code: FACTS_CODE,
  };
}

/** Why nothing can be worked out, in words; undefined when the error is one of the program itself. */
export function troubleOf(error: unknown): { path: string; message: string } | undefined {
  if (error instanceof InputError) return { path: error.field, message: error.message };
  if (error instanceof ZodError) {
    const issue = error.issues[0];
    return { path: issue?.path.map(String).join('.') ?? '', message: issue?.message ?? 'It is not valid.' };
  }
  return undefined;
}

/** The tool that blew longest. */
function mainTool(passes: readonly { tool: AirTool; seconds: number }[]): AirTool | null {
  const seconds = new Map<AirTool, number>();
  for (const pass of passes) seconds.set(pass.tool, (seconds.get(pass.tool) ?? 0) + pass.seconds);
  return [...seconds].sort((a, b) => b[1] - a[1])[0]?.[0] ?? null;
}
