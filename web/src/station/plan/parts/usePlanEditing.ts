import {
  align,
  duplicateItems,
  isPath,
  isStack,
  layOut,
  mirror,
  moveItems,
  pillowPlace,
  removeItems,
  type LayoutName,
  type Place,
  type PlanSettings,
} from '@icy-ribbon/core/piece/plan';
import { computed } from 'vue';
import type { PlanContext } from '#drawing/plan.ts';
import { say } from '#notice/notices.ts';
import { usePiece } from '#store/piece/piece.ts';
import { newId, usePlan } from '#store/plan/plan.ts';
import { putDown, type Placing } from './placing.ts';

export type PlanAction = 'duplicate' | 'left-right' | 'top-bottom' | 'row' | 'column' | 'remove';

/** What the bar, the keys and the support do to the plan of the open piece. */
export function usePlanEditing() {
  const plan = usePlan();
  const store = usePiece();

  const support = computed(() => store.piece!.support);
  const parts = computed(() => ({
    support: support.value,
    technique: store.piece!.technique,
    aims: store.piece!.aims,
    ...(pillowPlace(plan.body, plan.paints) === 'face' ? { pillow: 'face' as const } : {}),
    paints: plan.paints,
    newId,
  }));

  const context = computed<PlanContext>(() => ({
    plan: plan.body,
    support: support.value,
    paints: plan.paints,
    blowers: plan.blowers,
  }));

  const chosen = computed(() => (plan.selected.length === 1 ? plan.selected[0] : undefined));
  /** The stack that is shown as a core sample. */
  const sampled = computed(() =>
    chosen.value && isStack(chosen.value) ? chosen.value : plan.body.stacks[0],
  );
  /** What the order is advised for. */
  const ordered = computed(() =>
    chosen.value && (isStack(chosen.value) || isPath(chosen.value))
      ? chosen.value
      : (plan.body.stacks[0] ?? plan.body.paths.find((path) => path.kind !== 'flood')),
  );
  const items = computed(() =>
    [...plan.body.stacks, ...plan.body.paths, ...plan.body.passes].map(({ id }) => id),
  );

  /** What a layout asks for; how amounts are reckoned stays as the artist set it. */
  const stepsOf = ({
    sheetMm,
    blowTest,
    card,
    straw,
    skewer,
    spinRpm,
    spinSeconds,
    spinTimes,
  }: PlanSettings): Partial<PlanSettings> => ({
    ...{ sheetMm, blowTest, card, straw, skewer },
    ...{ spinRpm, spinSeconds, spinTimes },
  });

  /** Lays a ready layout out. @returns false when there is no paint to lay */
  function lay(name: LayoutName, flowers: number | null): boolean {
    if (plan.paints.length === 0) return false;
    const count = Math.min(9, Math.max(1, Math.round(flowers ?? 3)));
    const next = layOut(name, { ...parts.value, count });
    plan.change({
      ...plan.body,
      ...next,
      settings: { ...plan.body.settings, ...stepsOf(next.settings) },
      ticked: [],
    });
    plan.select([]);
    return true;
  }

  function put(kind: Placing, at: Place): void {
    const made = putDown(plan.body, kind, at, parts.value);
    plan.edit(() => made.plan);
    plan.select([made.id]);
  }

  const putInTheMiddle = (kind: Placing) =>
    put(kind, { x: support.value.widthMm / 2, y: support.value.heightMm / 2 });

  function act(name: PlanAction): void {
    const ids = plan.selection;
    if (name === 'left-right' || name === 'top-bottom') {
      plan.change({ ...plan.body, ...mirror(plan.body, ids, support.value, name) });
      return;
    }
    if (ids.length === 0) {
      say('Choose something on the support first.');
      return;
    }
    if (name === 'duplicate') {
      const copied = duplicateItems(plan.body, ids, newId);
      plan.edit(() => copied.plan);
      plan.select(copied.ids);
    } else if (name === 'remove') {
      plan.edit((now) => removeItems(now, ids));
      say(ids.length === 1 ? 'Taken away.' : `${ids.length} taken away.`, plan.undo);
    } else {
      plan.edit((now) => align(now, ids, support.value, name));
    }
  }

  function nudge(dx: number, dy: number): void {
    if (plan.selection.length === 0) return;
    plan.edit((now) => moveItems(now, plan.selection, dx, dy));
  }

  function stepThrough(by: number): void {
    if (items.value.length === 0) return;
    const here = items.value.indexOf(plan.selection[0] ?? '');
    const next = here < 0 ? (by > 0 ? 0 : items.value.length - 1) : here + by;
    plan.select([items.value[(next + items.value.length) % items.value.length]!]);
  }

  /** A cup that was just planned goes into what is chosen. */
  function addPlanned(id: string): void {
    const item = chosen.value;
    if (!item || !('layers' in item)) {
      say(`${plan.paint(id)?.name ?? 'The paint'} is planned: lay it out, or add it to a stack.`);
      return;
    }
    const massG = ['pillow', 'activator'].includes(plan.paint(id)?.role ?? '') && isStack(item) ? null : 10;
    const layer = { id: newId(), cupId: id, massG };
    plan.edit((now) => ({
      ...now,
      stacks: now.stacks.map((each) =>
        each.id === item.id ? { ...each, layers: [...each.layers, layer] } : each,
      ),
      paths: now.paths.map((each) =>
        each.id === item.id ? { ...each, layers: [...each.layers, layer] } : each,
      ),
    }));
  }

  return {
    context,
    support,
    chosen,
    sampled,
    ordered,
    items,
    lay,
    put,
    putInTheMiddle,
    act,
    nudge,
    stepThrough,
    addPlanned,
  };
}
