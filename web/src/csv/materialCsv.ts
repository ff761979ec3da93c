import { materialCreateSchema, type MaterialCreate, type ShelvedMaterial } from '@icy-ribbon/contract';
import { InputError } from '@icy-ribbon/core/base/error';
import { MATERIAL_KINDS, PIGMENTS, stockLeftMg } from '@icy-ribbon/core/paint/material';
import { parseDecimal, toG, toMg } from '@icy-ribbon/core/base/unit';
import Papa from 'papaparse';
import '../api/plainSchemas.ts';

/** The columns of a shelf file, in the order they are written. */
export const CSV_FIELDS = [
  { field: 'name', label: 'Name', aliases: ['paint', 'material', 'color name'] },
  { field: 'kind', label: 'Kind', aliases: ['type', 'body'] },
  { field: 'color', label: 'Color when wet', aliases: ['hex', 'wet', 'wet color', 'rgb'] },
  { field: 'dry_color', label: 'Color when dry', aliases: ['dry'] },
  { field: 'finish', label: 'Finish', aliases: [] },
  { field: 'opacity', label: 'Opacity', aliases: [] },
  { field: 'pigment', label: 'Pigment', aliases: [] },
  { field: 'density_g_per_ml', label: 'Density, g/ml', aliases: ['density'] },
  { field: 'viscosity_pa_s', label: 'Thickness, Pa·s', aliases: ['viscosity', 'thickness'] },
  { field: 'price', label: 'Price of a pack', aliases: ['cost'] },
  { field: 'pack_g', label: 'Pack, g', aliases: ['pack', 'size'] },
  { field: 'stock_g', label: 'In stock, g', aliases: ['stock'] },
  { field: 'opened_on', label: 'Opened on', aliases: ['opened'] },
  { field: 'note', label: 'Note', aliases: ['notes', 'remark'] },
] as const;

export type CsvField = (typeof CSV_FIELDS)[number]['field'];
/** Which column of the file holds a field; `null` when none does. */
export type ColumnMatch = Readonly<Record<CsvField, number | null>>;

export interface CsvFile {
  readonly header: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

export interface CsvError {
  /** Line of the file, the header being line 1. */
  readonly line: number;
  readonly column: string;
  readonly field: CsvField;
  /** What stands in the cell. */
  readonly text: string;
  readonly message: string;
}

/** A cell that was set right after the file was read: a line of the file, a field, and what stands there now. */
export interface CsvEdit {
  readonly line: number;
  readonly field: CsvField;
  readonly text: string;
}

/** So many come onto the shelf at once; a longer table is refused before it is looked at. */
export const MOST_ROWS = 20_000;
const MOST_CHARACTERS = 50_000_000;

/**
 * Reads RFC 4180 text with any usual separator, with or without a byte-order mark.
 *
 * @throws InputError naming "file" when it is longer than can be read in at once
 */
export function readCsv(text: string): CsvFile {
  const tooLong = () =>
    new InputError('file', 'A table may have 20,000 rows: split it, and read in one part after the other.');
  if (text.length > MOST_CHARACTERS) throw tooLong();
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    skipEmptyLines: 'greedy',
    preview: MOST_ROWS + 2,
  });
  const [header = [], ...rows] = data;
  if (rows.length > MOST_ROWS) throw tooLong();
  return { header: header.map((name) => name.trim()), rows };
}

const fold = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, ' ')
    .trim();

/** Guesses which column holds which field, by its name. */
export function matchColumns(header: readonly string[]): ColumnMatch {
  const names = header.map(fold);
  const find = ({ field, label, aliases }: (typeof CSV_FIELDS)[number]): number | null => {
    const wanted = [field, label, ...aliases].map(fold);
    const index = names.findIndex((name) => wanted.includes(name));
    return index < 0 ? null : index;
  };
  return Object.fromEntries(CSV_FIELDS.map((each) => [each.field, find(each)])) as ColumnMatch;
}

export interface ReadRow {
  readonly line: number;
  readonly material: MaterialCreate;
  /** What the row says of it; the rest is usual for its kind. */
  readonly given: readonly CsvField[];
}

export interface ReadMaterials {
  readonly rows: ReadRow[];
  readonly errors: CsvError[];
}

const ROWS_A_REPORT = 500;

/**
 * Every row as a material, or every reason why not; a row with an error gives no material. A second row of the same
 * kind and name is an error: which of them is right, only the artist knows.
 *
 * @param edits cells set right since
 * @param onProgress told the share of the rows that are read
 */
export function readMaterials(
  file: CsvFile,
  match: ColumnMatch,
  edits: readonly CsvEdit[] = [],
  onProgress: (share: number) => void = () => {},
): ReadMaterials {
  const rows: ReadRow[] = [];
  const errors: CsvError[] = [];
  const edited = new Map(edits.map(({ line, field, text }) => [`${line} ${field}`, text]));
  const firstLines = new Map<string, number>();
  file.rows.forEach((row, index) => {
    const line = index + 2;
    if (index % ROWS_A_REPORT === 0) onProgress(index / file.rows.length);
    const cell = (field: CsvField) => {
      const column = match[field];
      const text = edited.get(`${line} ${field}`) ?? (column === null ? '' : (row[column] ?? ''));
      return withoutEscape(text.trim());
    };
    const wrong = (field: CsvField, message: string) => {
      const column = match[field];
      const name = column === null ? field : (file.header[column] ?? field);
      errors.push({ line, column: name, field, text: cell(field), message });
    };
    const before = errors.length;
    const number = (field: CsvField, scale: (value: number) => number = (value) => value) => {
      const text = cell(field);
      if (text === '') return undefined;
      const value = parseDecimal(text);
      if (value === undefined) {
        wrong(field, `"${text}" is no number.`);
        return undefined;
      }
      return scale(value);
    };
    const checked = materialCreateSchema.safeParse({
      name: cell('name'),
      kind: kindNamed(cell('kind')),
      ...(cell('color') && { colorHex: hexOf(cell('color')) }),
      ...(cell('dry_color') && { dryColorHex: hexOf(cell('dry_color')) }),
      ...(cell('finish') && { finish: cell('finish').toLowerCase() }),
      ...(cell('opacity') && { opacity: cell('opacity').toLowerCase() }),
      ...(cell('pigment') && { pigment: pigmentNamed(cell('pigment')) }),
      densityGPerMl: number('density_g_per_ml'),
      viscosityPaS: number('viscosity_pa_s'),
      priceCents: number('price', (value) => Math.round(value * 100)) ?? null,
      packMg: number('pack_g', toMg) ?? null,
      stockMg: number('stock_g', toMg) ?? null,
      openedOn: cell('opened_on') || null,
      note: cell('note'),
    });
    if (!checked.success) {
      for (const issue of checked.error.issues) wrong(fieldOf(String(issue.path[0])), issue.message);
    } else if (errors.length === before) {
      const key = materialKey(checked.data);
      const first = firstLines.get(key);
      if (first !== undefined) {
        wrong('name', `Line ${first} is called so too: name it otherwise, or let it stay out.`);
        return;
      }
      firstLines.set(key, line);
      const given = CSV_FIELDS.map(({ field }) => field).filter((field) => cell(field) !== '');
      rows.push({ line, material: checked.data, given });
    }
  });
  return { rows, errors };
}

/** By what a row of a file is the material on the shelf. */
export const materialKey = ({ kind, name }: Pick<MaterialCreate, 'kind' | 'name'>): string =>
  `${kind} ${name.trim().toLowerCase()}`;

/** What is no formula, though it begins like one, was written with an apostrophe before it. */
const withoutEscape = (text: string): string => (/^'[=+\-@\t\r]/.test(text) ? text.slice(1) : text);

const FIELD_OF: Readonly<Record<string, CsvField>> = {
  colorHex: 'color',
  dryColorHex: 'dry_color',
  densityGPerMl: 'density_g_per_ml',
  viscosityPaS: 'viscosity_pa_s',
  priceCents: 'price',
  packMg: 'pack_g',
  stockMg: 'stock_g',
  openedOn: 'opened_on',
};
const fieldOf = (path: string): CsvField => FIELD_OF[path] ?? (path as CsvField);

const hexOf = (text: string): string => (text.startsWith('#') ? text : `#${text}`);

function kindNamed(text: string): string {
  const wanted = fold(text);
  const found = MATERIAL_KINDS.find(({ kind, label }) => fold(kind) === wanted || fold(label) === wanted);
  return found?.kind ?? text;
}

function pigmentNamed(text: string): string {
  const wanted = fold(text);
  const found = PIGMENTS.find(({ pigment, label }) => fold(pigment) === wanted || fold(label) === wanted);
  return found?.pigment ?? text;
}

const grams = (mg: number | null) => (mg === null ? '' : String(toG(mg)));

/** A material as the cells of its row; what nobody measured is left empty. */
export const cellsOf = (
  material: Pick<
    MaterialCreate,
    | 'name'
    | 'kind'
    | 'colorHex'
    | 'dryColorHex'
    | 'finish'
    | 'opacity'
    | 'pigment'
    | 'priceCents'
    | 'packMg'
    | 'openedOn'
    | 'note'
  >,
  measured: { densityGPerMl?: number | undefined; viscosityPaS?: number | undefined },
  leftMg: number | null,
): Record<CsvField, string> => ({
  name: material.name,
  kind: material.kind,
  color: material.colorHex,
  dry_color: material.dryColorHex ?? '',
  finish: material.finish,
  opacity: material.opacity,
  pigment: material.pigment ?? '',
  density_g_per_ml: String(measured.densityGPerMl ?? ''),
  viscosity_pa_s: String(measured.viscosityPaS ?? ''),
  price: material.priceCents === null ? '' : (material.priceCents / 100).toFixed(2),
  pack_g: grams(material.packMg),
  stock_g: grams(leftMg),
  opened_on: material.openedOn ?? '',
  note: material.note,
});

/** A material on the shelf as the cells of its row. */
export function shelfCells(each: ShelvedMaterial): Record<CsvField, string> {
  const measured = {
    ...(each.densityTrust === 'measured' && { densityGPerMl: each.densityGPerMl }),
    ...(each.viscosityTrust === 'measured' && { viscosityPaS: each.viscosityPaS }),
  };
  return cellsOf(each, measured, stockLeftMg(each));
}

/** The shelf as RFC 4180 text that `readMaterials` reads back; typical values are left empty. */
export function writeMaterials(materials: readonly ShelvedMaterial[]): string {
  const rows = materials.map(shelfCells);
  return Papa.unparse(rows, {
    columns: CSV_FIELDS.map(({ field }) => field),
    newline: '\r\n',
    escapeFormulae: true,
  });
}
