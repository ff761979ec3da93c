import { cellForecast, SURFACE_TENSION_NM, type CellForecast, type Layer } from '../../flow/cell/index.ts';

export interface InterfaceForecast {
  /** Index of the layer below the interface. */
  readonly lower: number;
  readonly cells: CellForecast;
  /**
   * "holds": nothing moves by weight. "opens": cells come up in a time worth waiting for. "sinks": the upper
   * one is as thick as the lower or thicker and goes down as a whole. "slow": it is dry before it opens.
   */
  readonly verdict: 'holds' | 'opens' | 'sinks' | 'slow';
}

/** A wait that nobody stands through, s. */
const SLOW_S = 1800;

/**
 * What every interface of a stack will do.
 *
 * Each pair of neighbors is solved by itself, with what lies below its lower layer taken as rigid and what
 * lies above its upper layer left out: a stated simplification, on the slow side.
 *
 * @param layers from the support up, at least one
 */
export function stackForecast(layers: readonly Layer[]): InterfaceForecast[] {
  return layers.slice(1).map((upper, index) => {
    const lower = layers[index]!;
    const cells = cellsBetween(lower, upper);
    return { lower: index, cells, verdict: verdictOf(lower, upper, cells) };
  });
}

function verdictOf(lower: Layer, upper: Layer, cells: CellForecast): InterfaceForecast['verdict'] {
  if (cells.stable) return 'holds';
  if (cells.openingSeconds > SLOW_S) return 'slow';
  return upper.viscosityPaS >= lower.viscosityPaS ? 'sinks' : 'opens';
}

const known = new Map<string, CellForecast>();
const MOST_KNOWN = 2000;

/** A pair of layers is solved once: a plan asks for the same ones at every change. */
function cellsBetween(lower: Layer, upper: Layer): CellForecast {
  const pair = [lower, upper]
    .flatMap((layer) => [layer.thicknessMm, layer.viscosityPaS, layer.densityKgM3])
    .join(' ');
  const before = known.get(pair);
  if (before) return before;
  if (known.size >= MOST_KNOWN) known.clear();
  const cells = cellForecast({
    lower,
    upper,
    interfacialTensionNM: 0,
    surfaceTensionNM: SURFACE_TENSION_NM,
  });
  known.set(pair, cells);
  return cells;
}
