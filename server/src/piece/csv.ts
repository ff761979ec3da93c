import type { PieceListQuery, PieceSummary } from '@icy-ribbon/contract';
import { stageOf } from '@icy-ribbon/core/paint/stage';
import { toG } from '@icy-ribbon/core/base/unit';
import Papa from 'papaparse';
import type { Db } from '../db/open.ts';
import { listPieces } from './list.ts';

const PAGE_SIZE = 200;

export type CsvTable = 'pieces' | 'mixes' | 'passes';

/** RFC 4180 text of all pieces that match, of their mixes or of their passes, filtered and sorted like the list. */
export async function csvText(db: Db, table: CsvTable, query: PieceListQuery): Promise<string> {
  const rows: PieceSummary[] = [];
  for (let page = 1; ; page += 1) {
    const part = await listPieces(db, { ...query, page, pageSize: PAGE_SIZE });
    rows.push(...part.items.map((text) => JSON.parse(text) as PieceSummary));
    if (part.items.length < PAGE_SIZE) break;
  }
  return WRITERS[table](rows);
}

const FORMAT = { newline: '\r\n', escapeFormulae: true } as const;

/** One row a cup. */
export function mixesCsv(pieces: readonly PieceSummary[]): string {
  return Papa.unparse(
    pieces.flatMap((piece) =>
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
      })),
    ),
    FORMAT,
  );
}

/** One row a blowing pass, in the order they were blown. */
export function passesCsv(pieces: readonly PieceSummary[]): string {
  return Papa.unparse(
    pieces.flatMap((piece) =>
      piece.passes.map((pass, index) => ({
        piece: piece.name,
        piece_id: piece.id,
        pass: index + 1,
        tool: pass.tool,
        distance_mm: pass.distanceMm,
        slant_deg: pass.slantDeg,
        seconds: pass.seconds,
      })),
    ),
    FORMAT,
  );
}

/** One row a piece; units stand in the column names, numbers are plain with a decimal point. */
export function toCsv(pieces: readonly PieceSummary[]): string {
  return Papa.unparse(pieces.map(toRow), {
    columns: COLUMNS as unknown as string[],
    newline: '\r\n',
    escapeFormulae: true,
  });
}

const COLUMNS = [
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
  'measured_cells',
  'measured_cell_mm',
  'measured_lacing_share',
  'measured_mud_share',
  'measured_negative_space',
  'cells',
  'lacing',
  'petals',
  'mud',
  'cell_size_mm',
  'try_next',
] as const;

function toRow(piece: PieceSummary): Record<(typeof COLUMNS)[number], string | number | null> {
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
    measured_cells: piece.outcome?.cellCount ?? null,
    measured_cell_mm: piece.outcome?.cellMm ?? null,
    measured_lacing_share: piece.outcome?.lacingShare ?? null,
    measured_mud_share: piece.outcome?.mud ?? null,
    measured_negative_space: piece.outcome?.negativeSpace ?? null,
    cells: piece.judgement?.cells ?? null,
    lacing: piece.judgement?.lacing ?? null,
    petals: piece.judgement?.petals ?? null,
    mud: piece.judgement?.mud ?? null,
    cell_size_mm: piece.judgement?.cellSizeMm ?? null,
    try_next: piece.judgement?.tryNext ?? '',
  };
}

const WRITERS: Readonly<Record<CsvTable, (pieces: readonly PieceSummary[]) => string>> = {
  pieces: toCsv,
  mixes: mixesCsv,
  passes: passesCsv,
};
