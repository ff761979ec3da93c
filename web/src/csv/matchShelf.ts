import type { MaterialCreate, MaterialUpdate, ShelvedMaterial } from '@icy-ribbon/contract';
import { cellsOf, CSV_FIELDS, materialKey, shelfCells, type CsvField, type ReadRow } from './materialCsv.ts';

/** A cell that a file has otherwise than the shelf. */
export interface CellChange {
  readonly label: string;
  readonly from: string;
  readonly to: string;
}

export interface ShelfChange {
  readonly on: ShelvedMaterial;
  readonly cells: readonly CellChange[];
  readonly changes: Omit<MaterialUpdate, 'version'>;
}

export interface MatchedRows {
  /** Not on the shelf yet. */
  readonly fresh: readonly MaterialCreate[];
  /** On the shelf, and otherwise in the file. */
  readonly changed: readonly ShelfChange[];
  /** How many are on the shelf just so. */
  readonly alike: number;
}

/**
 * Rows of a file beside what is on the shelf: one of the same kind and name is the same material. What a row leaves
 * empty is not changed.
 */
export function matchShelf(rows: readonly ReadRow[], shelf: readonly ShelvedMaterial[]): MatchedRows {
  const known = new Map(shelf.map((each) => [materialKey(each), each]));
  const fresh: MaterialCreate[] = [];
  const changed: ShelfChange[] = [];
  for (const row of rows) {
    const on = known.get(materialKey(row.material));
    if (!on) fresh.push(row.material);
    else changed.push(changeOf(row, on));
  }
  const otherwise = changed.filter(({ cells }) => cells.length > 0);
  return { fresh, changed: otherwise, alike: changed.length - otherwise.length };
}

function changeOf({ material, given }: ReadRow, on: ShelvedMaterial): ShelfChange {
  const before = shelfCells(on);
  const after = cellsOf(material, material, material.stockMg);
  const differs = CSV_FIELDS.filter(({ field }) => given.includes(field) && after[field] !== before[field]);
  return {
    on,
    cells: differs.map(({ field, label }) => ({ label, from: before[field], to: after[field] })),
    changes: Object.assign(
      {},
      ...differs.map(({ field }) => UPDATE[field](material)),
    ) as ShelfChange['changes'],
  };
}

/** What a cell changes of a material; a number that a file gives was measured. */
const UPDATE: Readonly<Record<CsvField, (material: MaterialCreate) => Omit<MaterialUpdate, 'version'>>> = {
  name: ({ name }) => ({ name }),
  kind: () => ({}),
  color: ({ colorHex }) => ({ colorHex }),
  dry_color: ({ dryColorHex }) => ({ dryColorHex }),
  finish: ({ finish }) => ({ finish }),
  opacity: ({ opacity }) => ({ opacity }),
  pigment: ({ pigment }) => ({ pigment }),
  density_g_per_ml: ({ densityGPerMl }) => ({ densityGPerMl, densityTrust: 'measured' }),
  viscosity_pa_s: ({ viscosityPaS }) => ({ viscosityPaS, viscosityTrust: 'measured' }),
  price: ({ priceCents }) => ({ priceCents }),
  pack_g: ({ packMg }) => ({ packMg }),
  stock_g: ({ stockMg }) => ({ stockMg }),
  opened_on: ({ openedOn }) => ({ openedOn }),
  note: ({ note }) => ({ note }),
};
