import type { Mix, PiecePlan } from '@icy-ribbon/contract';
import { cupColor } from '@icy-ribbon/core/paint/color';
import { cupState } from '@icy-ribbon/core/paint/mix';
import { cupPaint, layOut, type LayoutName } from '@icy-ribbon/core/piece/plan';
import type { SupportSize } from '@icy-ribbon/core/piece/support';
import type { Technique } from '@icy-ribbon/core/paint/stage';

/** A ready layout over the cups of a demo piece, as the artist would have begun. */
export function demoPlan(
  layout: LayoutName,
  technique: Technique,
  support: SupportSize,
  mixes: readonly Mix[],
  at: string,
  newId: () => string,
): PiecePlan {
  const paints = mixes.map((mix) => cupPaint(mix, cupState(mix).properties, cupColor(mix.ingredients)));
  const { base, stacks, paths, passes, settings } = layOut(layout, { support, technique, paints, newId });
  const mutable = <Value>(value: Value) => structuredClone(value) as never;
  return {
    base: mutable(base),
    stacks: mutable(stacks),
    paths: mutable(paths),
    passes: mutable(passes),
    settings,
    planned: [],
    ticked: [],
    version: 1,
    createdAt: at,
    updatedAt: at,
  };
}
