import type { PieceListQuery } from '@icy-ribbon/contract';
import type { LearnedThickness } from '@icy-ribbon/core/learn';
import { shelfText } from '../material/shelf.ts';
import { csvText, type CsvTable } from '../piece/csv.ts';
import { exportText } from '../piece/export.ts';
import { missingFacts } from '../piece/evaluate.ts';
import type { FactsRow } from '../piece/facts.ts';
import { listPieces } from '../piece/list.ts';
import { pieceText } from '../piece/whole.ts';
import { learnedCached } from '../reading/learned.queries.ts';
import { listNumbers } from '../result/numbers.queries.ts';
import { photographPiece, type Shutter } from '../standin/camera/photograph.ts';
import { verifyCopy, type Verified } from '../backup/verify.ts';
import { collectStudio, type CollectedStudio } from '../archive/collect.ts';
import { readArchive, readDocument, readMaterials, type ReadIn } from '../import/readIn.ts';
import type { ShelfQuery } from '../material/material.queries.ts';
import type { Bench } from './bench.ts';

/** Two kinds of threads: one answers what pages ask for, the other works on what takes long. */
export type TaskKind = 'read' | 'long';

export interface Task<Input, Output> {
  readonly kind: TaskKind;
  readonly run: (bench: Bench, input: Input) => Promise<Output>;
}

const read = <Input, Output>(run: Task<Input, Output>['run']): Task<Input, Output> => ({ kind: 'read', run });
const long = <Input, Output>(run: Task<Input, Output>['run']): Task<Input, Output> => ({ kind: 'long', run });

/** Everything that is worked out away from the thread that takes the requests. */
export const TASKS = {
  pieces: read(async ({ db }, query: PieceListQuery): Promise<string> => {
    const { items, ...page } = await listPieces(db, query);
    return `{"items":[${items.join(',')}],${JSON.stringify(page).slice(1)}`;
  }),
  piece: read(({ db }, id: string): Promise<string | undefined> => pieceText(db, id)),
  shelf: read(({ db }, query: ShelfQuery): Promise<string> => shelfText(db, query)),
  numbers: read(
    async ({ db }, technique: string | undefined): Promise<string> =>
      `{"items":${await listNumbers(db, technique)}}`,
  ),
  csv: read(({ db }, { table, query }: { table: CsvTable; query: PieceListQuery }): Promise<string> =>
    csvText(db, table, query),
  ),
  learned: read(({ db }, exceptPieceId: string | null): Promise<Map<string, LearnedThickness>> =>
    learnedCached(db, exceptPieceId),
  ),
  missingFacts: long(({ db }): Promise<FactsRow[]> => missingFacts(db)),
  exportPiece: long(({ db, files }, id: string): Promise<string> => exportText(db, files, id)),
  collectStudio: long(({ db }, path: string): Promise<CollectedStudio> => collectStudio(db, path)),
  photograph: long(({ db }, shutter: Shutter): Promise<Uint8Array> => photographPiece(db, shutter)),
  verifyCopy: long((_, path: string): Promise<Verified> => verifyCopy(path)),
  readArchive: long((bench, input: ReadIn) => readArchive(bench, input)),
  readDocument: long((bench, input: ReadIn) => readDocument(bench, input)),
  readMaterials: long((bench, input: ReadIn) => readMaterials(bench, input)),
} as const;

export type TaskName = keyof typeof TASKS;
export type InputOf<Name extends TaskName> = Parameters<(typeof TASKS)[Name]['run']>[1];
export type OutputOf<Name extends TaskName> = Awaited<ReturnType<(typeof TASKS)[Name]['run']>>;
