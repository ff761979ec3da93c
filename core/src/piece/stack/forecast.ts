import { openingRange, stackCells, type CellForecast, type Layer } from '../../flow/cell/index.ts';
import { sheetDriesSeconds } from '../../flow/drying/index.ts';

/** A layer of a stack, with what may open it beside its weight. */
export interface StackLayer extends Layer {
  /** A cell-forming activator or a swiped color. */
  readonly isSheet?: boolean;
  readonly isMetallic?: boolean;
}

/**
 * What opens a sheet where weight does not (common practice, no published source): a thin sheet of activator ruptures by
 * surface tension, a metallic throws cells. How large and when is known from one's own pours only.
 */
export type OpenedBy = 'thin-sheet' | 'metallic';

export interface InterfaceForecast {
  /** Index of the layer below the interface. */
  readonly lower: number;
  readonly cells: CellForecast;
  /** When cells open by weight; null when they do not. */
  readonly opens: { readonly fromSeconds: number; readonly toSeconds: number } | null;
  /** What else opens it. */
  readonly also: readonly OpenedBy[];
  /**
   * "holds": nothing moves. "opens-otherwise": not by weight, but by what else there is. "opens": cells come up by weight
   * before it is dry. "sinks": the upper one is as thick as the lower or thicker and goes down as a whole. "slow": it is
   * dry before it opens by weight.
   */
  readonly verdict: 'holds' | 'opens-otherwise' | 'opens' | 'sinks' | 'slow';
}

/**
 * What every interface of a stack will do, all layers solved at once.
 *
 * @param layers from the support up, at least one
 */
export function stackForecast(layers: readonly StackLayer[]): InterfaceForecast[] {
  if (layers.length < 2) return [];
  return cellsOf(layers).map((cells, index): InterfaceForecast => {
    const [lower, upper] = [layers[index]!, layers[index + 1]!];
    const opens = cells.stable ? null : openingRange(cells.growthPerS);
    const also: OpenedBy[] = [
      ...(upper.isSheet ? (['thin-sheet'] as const) : []),
      ...(upper.isMetallic || lower.isMetallic ? (['metallic'] as const) : []),
    ];
    return { lower: index, cells, opens, also, verdict: verdictOf(lower, upper, opens, also) };
  });
}

function verdictOf(
  lower: Layer,
  upper: Layer,
  opens: InterfaceForecast['opens'],
  also: readonly OpenedBy[],
): InterfaceForecast['verdict'] {
  const otherwise = also.length > 0 ? 'opens-otherwise' : undefined;
  if (!opens) return otherwise ?? 'holds';
  const driesSeconds = sheetDriesSeconds(upper.thicknessMm, upper.densityKgM3 / 1000);
  if (opens.fromSeconds > Math.min(driesSeconds, STILL_RUNS_S)) {
    return otherwise ?? 'slow';
  }
  return upper.viscosityPaS >= lower.viscosityPaS ? 'sinks' : 'opens';
}

/** Paint that has lain so long has set too far to move by its own weight (common practice). */
const STILL_RUNS_S = 1800;

const known = new Map<string, readonly CellForecast[]>();
const MOST_KNOWN = 500;

/** A stack is solved once: a plan asks for the same ones at every change. */
function cellsOf(layers: readonly Layer[]): readonly CellForecast[] {
  const stack = layers
    .flatMap((layer) => [layer.thicknessMm, layer.viscosityPaS, layer.densityKgM3])
    .join(' ');
  const before = known.get(stack);
  if (before) return before;
  if (known.size >= MOST_KNOWN) known.clear();
  const cells = stackCells(layers);
  known.set(stack, cells);
  return cells;
}
