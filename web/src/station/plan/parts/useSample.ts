import { InputError } from '@icy-ribbon/core/base/error';
import { baseAreas, deepestDentMm } from '@icy-ribbon/core/piece/amount';
import { depthAndDensity } from '@icy-ribbon/core/piece/check';
import type { PlanStack } from '@icy-ribbon/core/piece/plan';
import {
  activatorKey,
  activatorOf,
  expectedCells,
  opensByItself,
  type OwnCells,
} from '@icy-ribbon/core/judgement/cells';
import { coreSample, stackOf, type CoreSample, type SampleMoment } from '@icy-ribbon/core/piece/stack';
import { computed, ref } from 'vue';
import { usePiece } from '#store/piece/piece.ts';
import { useOwnCells } from '#store/ownCells.ts';
import { usePlan } from '#store/plan/plan.ts';

const TWENTIETH_INCH_MM = 1.27;
const INCH_MM = 25.4;

/** The marks of a ruler beside a pile: whole millimeters or twentieths of an inch, thinned out where it is high. */
export function rulerTicks(
  heightMm: number,
  isInches: boolean,
): { readonly mm: number; readonly words: string }[] {
  const [unitMm, digits] = isInches ? [TWENTIETH_INCH_MM, 2] : [1, 0];
  const step = heightMm > 16 ? 5 : heightMm > 6 ? 2 : 1;
  return Array.from({ length: Math.floor(heightMm / step / unitMm) + 1 }, (_, index) => {
    const mm = index * step * unitMm;
    return { mm, words: String(Number((isInches ? mm / INCH_MM : mm).toFixed(digits))) };
  });
}

/** A stack cut through its middle, as it was poured or as it is blown out, and the dent the air makes in it. */
export function useSample(stack: () => PlanStack | undefined) {
  const plan = usePlan();
  const store = usePiece();
  const own = useOwnCells();
  const moment = ref<SampleMoment>('poured');

  const sampleAt = (at: SampleMoment): CoreSample | null => {
    const cut = stack();
    if (!cut || !store.piece) return null;
    try {
      const { base } = plan.body;
      const under = base ? baseAreas(store.piece.support, base, plan.paints)[0] : undefined;
      return coreSample(plan.body, cut, plan.paints, { base: under, blowers: plan.blowers, moment: at });
    } catch (error) {
      if (error instanceof InputError) return null;
      throw error;
    }
  };
  const sample = computed(() => sampleAt(moment.value));

  /** How large its cells will be once it is blown out; null where none open. */
  const cells = computed<OwnCells | null>(() => {
    const blown = sampleAt('blown');
    const expected = blown && expectedCells(stackOf(blown.layers));
    if (!expected || !store.piece) return null;
    const lies = new Set(blown.layers.map(({ paint }) => paint.id));
    const cups = store.cups.map(({ mix }) => mix);
    const mixed = activatorOf(cups, (id) => lies.has(id));
    const waits = plan.planned.find(({ id, role }) => opensByItself(role) && lies.has(id));
    const activator = mixed ?? (waits ? activatorKey(waits.recipeId, waits.materialId) : null);
    return own.forecast(expected, { technique: store.piece.technique, activator });
  });
  const dentMm = computed(() => {
    const cut = stack();
    if (!cut || !sample.value) return 0;
    const { densityGPerMl } = depthAndDensity(sample.value.layers);
    return Number.isFinite(densityGPerMl) ? deepestDentMm(plan.body, cut, densityGPerMl, plan.blowers) : 0;
  });

  return { sample, moment, dentMm, cells, cellsError: computed(() => own.error) };
}
