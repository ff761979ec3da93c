import type { PieceListQuery } from '@icy-ribbon/contract';
import type { Technique } from '@icy-ribbon/core/paint/stage';
import type { LearnedThickness } from '@icy-ribbon/core/thickness/learn';
import { shelfText } from '../material/shelf.ts';
import { csvPart, type CsvTable } from '../piece/csv.ts';
import { exportText } from '../piece/export.ts';
import { missingFacts } from '../piece/evaluate.ts';
import type { FactsRow } from '../piece/facts.ts';
import { listPieces, matchingIds } from '../piece/list.ts';
import { pieceText } from '../piece/whole.ts';
import { calendarText } from '../calendar/calendar.ts';
import { learnedCached } from '../reading/learned.queries.ts';
import { listCells } from '../result/cells.queries.ts';
import { listNumbers } from '../result/numbers.queries.ts';
import { unpackHeic } from '../photo/heic.ts';
import { photographPiece, type Shutter } from '../standin/camera/photograph.ts';
import { verifyCopy, type Verified } from '../backup/verify.ts';
import { collectStudio, type CollectedStudio } from '../archive/collect.ts';
import { readArchive, readDocument, readMaterials, type ReadIn } from '../import/readIn.ts';
import type { ShelfQuery } from '../material/material.queries.ts';
import type { Bench } from './bench.ts';

/** Something that is worked out on the bench of a thread. */
export type Task<Input, Output> = (bench: Bench, input: Input) => Promise<Output>;

/** Everything that is worked out away from the thread that takes the requests. */
export const TASKS = {
  pieces: async ({ db }: Bench, query: PieceListQuery): Promise<string> => {
    const { items, ...page } = await listPieces(db, query);
    return `{"items":[${items.join(',')}],${JSON.stringify(page).slice(1)}`;
  },
  piece: ({ db }: Bench, id: string): Promise<string | undefined> => pieceText(db, id),
  shelf: ({ db }: Bench, query: ShelfQuery): Promise<string> => shelfText(db, query),
  numbers: async ({ db }: Bench, technique: Technique | undefined): Promise<string> =>
    `{"items":${await listNumbers(db, technique)}}`,
  cells: async ({ db }: Bench): Promise<string> => `{"items":${await listCells(db)}}`,
  pieceIds: ({ db }: Bench, query: PieceListQuery): Promise<string[]> => matchingIds(db, query),
  csvPart: ({ db }: Bench, { table, ids }: { table: CsvTable; ids: readonly string[] }): Promise<string> =>
    csvPart(db, table, ids),
  calendar: ({ db }: Bench, nowMs: number): Promise<string> => calendarText(db, nowMs),
  learned: ({ db }: Bench, exceptPieceId: string | null): Promise<Map<string, LearnedThickness>> =>
    learnedCached(db, exceptPieceId),
  missingFacts: ({ db }: Bench): Promise<FactsRow[]> => missingFacts(db),
  exportPiece: ({ db, files }: Bench, id: string): Promise<string> => exportText(db, files, id),
  collectStudio: ({ db }: Bench, path: string): Promise<CollectedStudio> => collectStudio(db, path),
  photograph: ({ db, makeFilm }: Bench, shutter: Shutter): Promise<Uint8Array> =>
    photographPiece(db, makeFilm, shutter),
  unpackHeic: (_: Bench, { path, to }: { path: string; to: string }): Promise<void> => unpackHeic(path, to),
  verifyCopy: (_: Bench, path: string): Promise<Verified> => verifyCopy(path),
  readArchive: (bench: Bench, file: ReadIn) => readArchive(bench, file),
  readDocument: (bench: Bench, file: ReadIn) => readDocument(bench, file),
  readMaterials: (bench: Bench, file: ReadIn) => readMaterials(bench, file),
} as const;

export type TaskName = keyof typeof TASKS;
export type InputOf<Name extends TaskName> = Parameters<(typeof TASKS)[Name]>[1];
export type OutputOf<Name extends TaskName> = Awaited<ReturnType<(typeof TASKS)[Name]>>;
