import type { MakeKernel } from '../../flow/solver/index.ts';
import { rehearseWhole, USUAL_UNKNOWNS, type FilmUnknowns } from '../../piece/rehearse/index.ts';
import type { PourRecord } from '../outcome/index.ts';
import { rehearsalNumbers, sceneOfPour, type RehearsalNumbers } from '../rehearsal/index.ts';
import type { FitMeasures } from './fit.ts';
import { FIT_DESIGN, valuesAt, type FitValues } from './unknowns.ts';

/** Runs are coarse: shares of the face hardly depend on the grid. */
const FIT_CELLS = 60;

/** The film's unknowns with these in place of the usual ones. */
export const withValues = (values: FitValues, unknowns: FilmUnknowns = USUAL_UNKNOWNS): FilmUnknowns => ({
  ...unknowns,
  ...values,
});

/** What a film has come to, as a photo is measured: the base left open and the colors; the sheet and the ground aside. */
export function measuresOf(
  { negativeSpace, shares }: Pick<RehearsalNumbers, 'negativeSpace' | 'shares'>,
  colors: readonly string[],
): FitMeasures {
  return { negativeSpace, shares: Object.fromEntries(colors.map((name) => [name, shares[name] ?? 0])) };
}

/** A pour that can be held against the film: blown, and measured. */
export interface MeasuredPour {
  readonly measured: FitMeasures;
  /** Names of the colors whose shares are compared. */
  readonly colors: readonly string[];
}

/**
 * What of a pour can be held against the film; null when it was not blown or not measured. Under a sheet of activator only the base left open is
 * compared: colors show through its cells, which these runs leave out.
 */
export function measuredPour({ outcome, passes, cups }: PourRecord): MeasuredPour | null {
  if (!outcome || passes.length === 0) return null;
  const hasSheet = cups.some(({ role }) => role === 'activator' || role === 'swipe');
  const colors = hasSheet ? [] : cups.filter(({ id, role }) => role === 'color' && id in outcome.shareByCup);
  const measured = {
    negativeSpace: outcome.negativeSpace,
    shares: Object.fromEntries(colors.map(({ id, name }) => [name, outcome.shareByCup[id]!])),
  };
  return { measured, colors: colors.map(({ name }) => name) };
}

/**
 * Runs of a recorded pour at every offset of the design, without cells: they change no share of the face but cost most.
 *
 * @param colors names of the paints whose shares are compared
 * @param onRun told after each run
 * @throws InputError for a record that cannot be laid
 */
export function runPour(
  pour: PourRecord,
  colors: readonly string[],
  makeKernel: MakeKernel,
  onRun?: () => void,
  cells = FIT_CELLS,
): FitMeasures[] {
  return FIT_DESIGN.map((offset) => {
    const values = valuesAt(offset);
    const scene = { ...sceneOfPour(pour, values.strength), sheet: -1 };
    const rehearsal = rehearseWhole(scene, cells, makeKernel, withValues(values));
    onRun?.();
    return measuresOf(rehearsalNumbers(rehearsal), colors);
  });
}
