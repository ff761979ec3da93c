import type { PieceSummary } from '@icy-ribbon/contract';
import { PHOTO_QUANTITY_KEYS, photoQuantity } from '@icy-ribbon/core/judgement/outcome';
import { stageOf } from '@icy-ribbon/core/paint/stage';
import { toG } from '@icy-ribbon/core/base/unit';
import Papa from 'papaparse';
import type { Db } from '../db/open.ts';
import { summaryTexts } from './list.ts';

export type CsvTable = 'pieces' | 'mixes' | 'passes';

type Row = Readonly<Record<string, string | number | null>>;

/** Units stand in the column names, numbers are plain with a decimal point. */
interface Table {
  readonly columns: readonly string[];
  readonly rowsOf: (piece: PieceSummary) => readonly Row[];
}

/** The numbers of a photo that have a column. */
const MEASURED = PHOTO_QUANTITY_KEYS.flatMap((key) => {
  const { column } = photoQuantity(key);
  return column ? [{ key, column }] : [];
});

const NEWLINE = '\r\n';

/** The first line of a table, as RFC 4180 has it. */
export const csvHead = (table: CsvTable): string => textOf([TABLES[table].columns]);

/**
 * The lines of some pieces in a table, each with its line break before it, so that parts can follow one another.
 */
export async function csvPart(db: Db, table: CsvTable, ids: readonly string[]): Promise<string> {
  const texts = await summaryTexts(db, ids);
  return csvLines(
    table,
    texts.map((text) => JSON.parse(text) as PieceSummary),
  );
}

export function csvLines(table: CsvTable, pieces: readonly PieceSummary[]): string {
  const { columns, rowsOf } = TABLES[table];
  const rows = pieces.flatMap(rowsOf).map((row) => columns.map((column) => row[column]));
  return rows.length === 0 ? '' : NEWLINE + textOf(rows);
}

const textOf = (rows: readonly unknown[]): string =>
  Papa.unparse(rows as unknown[], { newline: NEWLINE, escapeFormulae: true });

/** One row a cup. */
const mixRows = (piece: PieceSummary): Row[] =>
  piece.mixes.map((mix) => ({
    piece: piece.name,
    piece_id: piece.id,
    cup: mix.name,
    role: mix.role,
    color: mix.colorHex,
    phase: mix.phase,
    viscosity_pa_s: mix.viscosityPaS.toFixed(3),
    stage: stageOf(mix.viscosityPaS).name,
    mixed_g: toG(mix.actualMg),
    laid_g: toG(mix.laidMg),
    left_g: toG(mix.leftMg),
    mixed_at: mix.mixedAt,
  }));

/** One row a blowing pass, in the order they were blown. */
const passRows = (piece: PieceSummary): Row[] =>
  piece.passes.map((pass, index) => ({
    piece: piece.name,
    piece_id: piece.id,
    pass: index + 1,
    tool: pass.tool,
    distance_mm: pass.distanceMm,
    slant_deg: pass.slantDeg,
    seconds: pass.seconds,
  }));

/** One row a piece. */
function pieceRow(piece: PieceSummary): Row {
  const list = (values: readonly (string | number)[]) => values.join('; ');
  return {
    piece: piece.name,
    technique: piece.technique,
    phase: piece.phase,
    started: piece.createdAt,
    poured: piece.pouredAt,
    support: piece.support.name,
    width_mm: piece.support.widthMm,
    height_mm: piece.support.heightMm,
    mixes: list(piece.mixes.map((mix) => mix.name)),
    laid_g: list(piece.mixes.map((mix) => toG(mix.laidMg))),
    viscosity_pa_s: list(piece.mixes.map((mix) => mix.viscosityPaS.toFixed(3))),
    stages: list(piece.mixes.map((mix) => stageOf(mix.viscosityPaS).name)),
    passes: list(
      piece.passes.map((pass) => `${pass.tool} ${pass.distanceMm} mm ${pass.slantDeg} deg ${pass.seconds} s`),
    ),
    rating: piece.judgement?.rating ?? null,
    verdict: piece.judgement?.verdict ?? null,
    faults: list(piece.judgement?.faults.map((each) => each.kind) ?? []),
    ...Object.fromEntries(MEASURED.map(({ column, key }) => [column, piece.outcome?.[key] ?? null])),
    cells: piece.judgement?.cells ?? null,
    lacing: piece.judgement?.lacing ?? null,
    petals: piece.judgement?.petals ?? null,
    mud: piece.judgement?.mud ?? null,
    cell_size_mm: piece.judgement?.cellSizeMm ?? null,
    try_next: piece.judgement?.tryNext ?? '',
  };
}

const TABLES: Readonly<Record<CsvTable, Table>> = {
  pieces: {
    columns: [
      'piece',
      'technique',
      'phase',
      'started',
      'poured',
      'support',
      'width_mm',
      'height_mm',
      'mixes',
      'laid_g',
      'viscosity_pa_s',
      'stages',
      'passes',
      'rating',
      'verdict',
      'faults',
      ...MEASURED.map(({ column }) => column),
      'cells',
      'lacing',
      'petals',
      'mud',
      'cell_size_mm',
      'try_next',
    ],
    rowsOf: (piece) => [pieceRow(piece)],
  },
  mixes: {
    columns: [
      'piece',
      'piece_id',
      'cup',
      'role',
      'color',
      'phase',
      'viscosity_pa_s',
      'stage',
      'mixed_g',
      'laid_g',
      'left_g',
      'mixed_at',
    ],
    rowsOf: mixRows,
  },
  passes: {
    columns: ['piece', 'piece_id', 'pass', 'tool', 'distance_mm', 'slant_deg', 'seconds'],
    rowsOf: passRows,
  },
};
