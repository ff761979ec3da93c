import { cellsSeen } from '../../flow/look/index.ts';
import type { MakeKernel, SheetCells } from '../../flow/solver/index.ts';
import { quantile } from '../../picture/index.ts';
import { rehearseWhole, type Rehearsal } from '../../piece/rehearse/index.ts';
import { opensByItself } from '../cells/index.ts';
import type { PourRecord } from '../outcome/index.ts';
import { rehearsalNumbers, sceneOfPour, spacingForCells, type RehearsalNumbers } from '../rehearsal/index.ts';
import type { CellMeasures, FitMeasures } from './measures.ts';
import { FIT_DESIGN, PAINT_NAMES, valuesAt, withValues } from './unknowns.ts';

/** Counts up when a run of the same record comes to something else: kept runs are then reckoned again. */
export const FIT_CODE = 1;
/** Runs are coarse: shares of the face hardly depend on the grid. */
const FIT_CELLS = 60;

/** A pour that can be held against the film: blown, and measured. */
export interface MeasuredPour {
  readonly measured: FitMeasures;
  /** Names of the colors whose shares are compared. */
  readonly colors: readonly string[];
  /** Its sheet's cells are compared from this size on, mm; null without any. */
  readonly cellsFromMm: number | null;
}

/**
 * What of a pour can be held against the film; null when it was not blown or not measured. Of one under a sheet of activator the base left open and
 * the cells are compared, not its colors: these show through the cells.
 */
export function measuredPour({ outcome, passes, cups, order }: PourRecord): MeasuredPour | null {
  if (!outcome || passes.length === 0) return null;
  const sheets = cups.filter(({ id, role }) => opensByItself(role) && order.includes(id));
  const colors =
    sheets.length > 0 ? [] : cups.filter(({ id, role }) => role === 'color' && id in outcome.shareByCup);
  const from = sheets.length > 0 ? outcome.cellsFrom?.[0] : undefined;
  const cells: CellMeasures | null = from
    ? {
        sheet: sheets.length === 1 ? (outcome.shareByCup[sheets[0]!.id] ?? null) : null,
        ...{ medianMm: from.medianMm, perCm2: from.perCm2 },
      }
    : null;
  return {
    measured: {
      negativeSpace: outcome.negativeSpace,
      shares: Object.fromEntries(colors.map(({ id, name }) => [name, outcome.shareByCup[id]!])),
      cells,
    },
    colors: colors.map(({ name }) => name),
    cellsFromMm: from?.mm ?? null,
  };
}

/** What a film has come to, as a photo is measured: the base left open and the colors; the ground aside. */
export function measuresOf(
  { negativeSpace, shares }: Pick<RehearsalNumbers, 'negativeSpace' | 'shares'>,
  colors: readonly string[],
  cells: CellMeasures | null = null,
): FitMeasures {
  return {
    negativeSpace,
    shares: Object.fromEntries(colors.map((name) => [name, shares[name] ?? 0])),
    cells,
  };
}

/** What a film's sheet has become, as a photo shows it from one size on. */
export function cellMeasuresOf({ film }: Rehearsal, cells: SheetCells, fromMm: number): CellMeasures {
  const { fields } = film.kernel;
  const { grid } = fields;
  const { sheetShare, diametersMm } = cellsSeen(fields, cells);
  const shown = diametersMm.filter((mm) => mm >= fromMm);
  const cm2 = grid.rim.inside.reduce((sum, each) => sum + each, 0) * (100 * grid.cellM) ** 2;
  return { sheet: sheetShare, medianMm: quantile(shown, 0.5), perCm2: shown.length / cm2 };
}

/** What a run of a pour needs besides its record. */
export interface FitRun {
  readonly makeKernel: MakeKernel;
  /** Usual diameter of its cells, mm, as they are forecast; null where nothing opens. */
  readonly cellMm: number | null;
  /** Told after each run. */
  readonly onRun?: (() => void) | undefined;
  readonly gridCells?: number | undefined;
}

/** Films that a pour is run in: cells are carried by the film and do not push it, so that all that is unknown of them is looked at in one. */
export const FILMS_OF_POUR = 1 + 2 * PAINT_NAMES.length;

/**
 * Runs of a recorded pour at every offset of the design.
 *
 * @throws InputError for a record that cannot be laid
 */
export function runPour(
  pour: PourRecord,
  { colors, cellsFromMm }: Pick<MeasuredPour, 'colors' | 'cellsFromMm'>,
  { makeKernel, cellMm, onRun, gridCells = FIT_CELLS }: FitRun,
): FitMeasures[] {
  const unknowns = FIT_DESIGN.map((offset) => {
    const made = withValues(valuesAt(offset));
    return cellMm === null ? made : { ...made, cells: { ...made.cells, spacingM: spacingForCells(cellMm) } };
  });
  const hasCells = cellsFromMm !== null;
  const others = hasCells ? unknowns.slice(FILMS_OF_POUR).map(({ cells }) => cells) : [];
  const films = unknowns.slice(0, FILMS_OF_POUR).map((each, index) => {
    const scene = sceneOfPour(pour, each.strength);
    const watch = index === 0 ? { otherCells: others } : {};
    const film = rehearseWhole(
      hasCells ? scene : { ...scene, sheet: -1 },
      gridCells,
      makeKernel,
      each,
      watch,
    );
    onRun?.();
    return film;
  });
  const readIn = (rehearsal: Rehearsal, cells: SheetCells | null): FitMeasures =>
    measuresOf(
      rehearsalNumbers(rehearsal),
      colors,
      cells && hasCells ? cellMeasuresOf(rehearsal, cells, cellsFromMm) : null,
    );
  const usual = films[0]!;
  const otherCells = unknowns.slice(FILMS_OF_POUR).map((_, index) => usual.film.otherCells[index] ?? null);
  return [
    ...films.map((film) => readIn(film, film.film.cells)),
    ...otherCells.map((cells) => readIn(usual, cells)),
  ];
}
