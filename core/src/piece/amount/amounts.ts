import { requireNotNegative } from '../../base/error/index.ts';
import type { Plan, PlanPaint } from '../plan/index.ts';
import type { SupportSize } from '../support/index.ts';
import { baseAreas } from './base.ts';
import type { BlowerExit } from './exit.ts';
import { paintOf, settled, stackLayers } from './layers.ts';

/** Paint that one layer of the plan lays on one piece. */
export interface LayerAmount {
  /** "base.0", "stack ID layer ID" or "path ID layer ID". */
  readonly id: string;
  readonly cupId: string;
  readonly part: 'base' | 'stack' | 'path';
  readonly massG: number;
  readonly volumeMl: number;
}

/** What one paint takes, all pieces together. */
export interface PaintAmount {
  readonly cupId: string;
  /** Stays on the pieces. */
  readonly laidG: number;
  readonly dripG: number;
  readonly reserveG: number;
  readonly lossG: number;
  readonly massG: number;
  readonly volumeMl: number;
}

export interface Amounts {
  /** One piece. */
  readonly layers: readonly LayerAmount[];
  /** All pieces, with what runs off, what is kept back and what stays in the cup. */
  readonly paints: readonly PaintAmount[];
  readonly total: { readonly massG: number; readonly volumeMl: number };
}

/**
 * How much paint a plan takes.
 *
 * Law: retained film x (face + wrapped sides) for the base, dent + margin over its footprint for a pillow,
 * sheet thickness over its footprint for an activator, grams as planned for the rest; times the pieces; plus
 * shares for what runs off and for repairs; plus what stays in each cup. Sources: Jeffreys 1930 through
 * `film-left`, the jet law through `jet`; the shares are common practice, no published source.
 *
 * @throws InputError naming the field
 */
export function amounts(
  support: SupportSize,
  plan: Plan,
  paints: readonly PlanPaint[],
  blowers: readonly BlowerExit[] = [],
): Amounts {
  const { reserveShare, dripShare, cupLossG, copies } = plan.settings;
  requireNotNegative('settings.reserveShare', reserveShare, 'The share kept back');
  requireNotNegative('settings.dripShare', dripShare, 'The share that runs off');
  requireNotNegative('settings.cupLossG', cupLossG, 'What stays in a cup');
  const layers = layerAmounts(support, plan, paints, blowers);
  const used = [...new Set(layers.map((layer) => layer.cupId))];
  const perPaint = used.map((cupId): PaintAmount => {
    const { densityGPerMl } = paintOf(paints, cupId, 'cupId');
    const laidG = copies * sum(layers.filter((layer) => layer.cupId === cupId).map((each) => each.massG));
    const dripG = laidG * dripShare;
    const reserveG = laidG * reserveShare;
    const massG = laidG + dripG + reserveG + cupLossG;
    return { cupId, laidG, dripG, reserveG, lossG: cupLossG, massG, volumeMl: massG / densityGPerMl };
  });
  return {
    layers,
    paints: perPaint,
    total: {
      massG: sum(perPaint.map((each) => each.massG)),
      volumeMl: sum(perPaint.map((each) => each.volumeMl)),
    },
  };
}

/** What every layer lays on one piece. */
export function layerAmounts(
  support: SupportSize,
  plan: Plan,
  paints: readonly PlanPaint[],
  blowers: readonly BlowerExit[],
): LayerAmount[] {
  const base = plan.base ? baseAreas(support, plan.base, paints) : [];
  return [
    ...base.map(({ paint, massG, volumeMl }, index): LayerAmount => ({
      id: `base.${index}`,
      cupId: paint.id,
      part: 'base',
      massG,
      volumeMl,
    })),
    ...plan.stacks.flatMap((stack) =>
      stackLayers(plan, stack, paints, blowers).map(({ layer, paint, massG, volumeMl }): LayerAmount => ({
        id: `${stack.id} ${layer.id}`,
        cupId: paint.id,
        part: 'stack',
        massG,
        volumeMl,
      })),
    ),
    ...plan.paths.flatMap((path) =>
      path.layers.map((layer): LayerAmount => {
        const paint = paintOf(paints, layer.cupId, 'paths.layers.cupId');
        const { massG, volumeMl } = settled(layer, paint, layer.massG ?? 0);
        return { id: `${path.id} ${layer.id}`, cupId: paint.id, part: 'path', massG, volumeMl };
      }),
    ),
  ];
}

const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);
