import { overPour } from '@icy-ribbon/core/paint/mix';
import { computed, ref } from 'vue';
import { ApiProblem } from '#api/problem.ts';
import { say } from '#notice/notices.ts';
import { attempt } from '#notice/useTask.ts';
import { usePiece } from '#store/piece/piece.ts';
import { useScale } from '#store/scale.ts';
import { splitBatch } from './batchSteps.ts';
import { useScaleSteps } from './scaleSteps.ts';

/** Close enough: half a percent, and never finer than the scale can show. */
const TOLERANCE_SHARE = 0.005;
const FINEST_TOLERANCE_MG = 100;

const refusal = (detail: string) => ({ type: 'about:blank', title: '', status: 0, detail });

/** Weighing one cup in, step by step: what is wanted, what lies on the scale, and what is kept of it. */
export function useWeighing(cupId: () => string) {
  const store = usePiece();
  const scale = useScale();
  const onTheirWay = ref(0);
  /** A weighing is on its way; until it is there and the scale is zeroed, "done" would take what the scale shows a second time. */
  const keeping = computed(() => onTheirWay.value > 0);
  const typedMg = ref<number | null>(null);

  const cup = computed(() => store.cups.find((each) => each.mix.id === cupId()));
  const { current, following, later, toRead, skip, takeUp, batch } = useScaleSteps(cup);
  /** Too much of something: what can be done about it. */
  const over = computed(() => cup.value && overPour(cup.value.mix, cup.value.state));
  const currentIngredient = computed(() =>
    cup.value?.mix.ingredients.find((each) => each.id === current.value?.ingredientId),
  );

  const readingMg = computed(() => scale.reading.value?.mg ?? 0);
  const toGoMg = computed(() => (current.value ? current.value.mg - readingMg.value : 0));
  const toleranceMg = computed(() =>
    Math.max(FINEST_TOLERANCE_MG, TOLERANCE_SHARE * (current.value?.mg ?? 0)),
  );
  const verdict = computed(() => {
    if (Math.abs(toGoMg.value) <= toleranceMg.value) return 'on target';
    return toGoMg.value < 0 ? 'over' : 'to go';
  });

  /** What a weight of this step is, ingredient by ingredient. */
  function partOf(step: { ingredientId: string }, mg: number): Record<string, number> {
    if (!cup.value || !batch.value || step.ingredientId !== batch.value.id)
      return { [step.ingredientId]: mg };
    return Object.fromEntries(
      splitBatch(batch.value, Math.round(mg)).map((part) => [part.ingredientId, part.mg]),
    );
  }

  const onScale = computed(() => (current.value ? partOf(current.value, Math.max(0, readingMg.value)) : {}));
  const wholeStep = computed(() => (current.value ? partOf(current.value, current.value.mg) : null));

  let last: Promise<unknown> = Promise.resolve();

  /** Does one thing after the other, however fast the buttons are pressed, and says what went wrong. */
  function guarded(work: () => Promise<unknown>): Promise<unknown> {
    last = last.then(() => attempt(work));
    return last;
  }

  async function keep(mg: number, source: 'typed' | 'scale' | 'stand-in'): Promise<void> {
    const step = current.value;
    if (!step || !cup.value) return;
    const { mix } = cup.value;
    const medium = batch.value;
    if (medium && step.ingredientId === medium.id) await store.draw(mix.id, medium.cupId, mg);
    else await store.weighIn(mix.id, step.ingredientId, mg, source);
    await scale.tare();
  }

  /** Takes the typed weight if there is one, else what the scale shows once it has settled. */
  function doneStep(): void {
    const typed = typedMg.value;
    if (!current.value || (typed === null && keeping.value)) return;
    typedMg.value = null;
    onTheirWay.value += 1;
    const work = typed === null ? keepReading : () => keepTyped(typed);
    void guarded(work).finally(() => (onTheirWay.value -= 1));
  }

  async function keepTyped(mg: number): Promise<void> {
    try {
      await keep(mg, 'typed');
    } catch (error) {
      typedMg.value = mg;
      throw error;
    }
  }

  async function keepReading(): Promise<void> {
    if (scale.reading.value && !scale.reading.value.settled) {
      throw new ApiProblem(refusal('The scale is still moving: wait until it has settled.'));
    }
    if (readingMg.value <= 0) {
      throw new ApiProblem(
        refusal(
          scale.info.value
            ? 'Nothing is on the scale: pour, or type what your scale shows.'
            : 'Type what your scale shows, then go on.',
        ),
      );
    }
    await keep(readingMg.value, scale.info.value?.standIn ? 'stand-in' : 'scale');
  }

  function bringUp(): void {
    const found = over.value;
    if (cup.value && found) {
      const { mix } = cup.value;
      void guarded(() => store.retarget(mix, found.bringUp.targetsMg));
    }
  }

  function keepSo(): void {
    const found = over.value;
    if (cup.value && found) {
      const { mix } = cup.value;
      void guarded(() => store.retarget(mix, found.keep.targetsMg));
    }
  }

  /** The cup is done without what was left for later: its targets become what is in it. */
  function leaveOut(): void {
    if (!cup.value) return;
    const { mix, state } = cup.value;
    const left = new Set(later.value.flatMap((step) => Object.keys(partOf(step, step.mg))));
    const targetsWith = (targetOf: (ingredient: (typeof mix.ingredients)[number]) => number) =>
      mix.ingredients.map((each, index) => Math.max(targetOf(each), state.actualIngredientMg[index] ?? 0));
    const targets = targetsWith(({ id, targetMg }) => (left.has(id) ? 0 : targetMg));
    const before = targetsWith(({ targetMg }) => targetMg);
    void guarded(async () => {
      await store.retarget(mix, targets);
      say(`"${mix.name}" is done without it.`, () => attempt(() => store.retarget(mix, before)));
    });
  }

  function takeShareOut(): void {
    const found = over.value;
    if (!cup.value || !found) return;
    void guarded(async () => {
      await store.moveOut(cupId(), 'taken-out', found.takeOut.mg);
      const now = cup.value;
      if (!now) return;
      const targets = found.takeOut.targetsMg.map((target, index) =>
        Math.max(target, now.state.actualIngredientMg[index] ?? 0),
      );
      await store.retarget(now.mix, targets);
    });
  }

  /** Strikes out the last thing weighed in; a medium goes back to its own cup. */
  function takeBack(): void {
    const latest = cup.value?.mix.additions.at(-1);
    if (latest) void guarded(() => store.takeBackAddition(cupId(), latest));
  }

  function pourStep(): void {
    const missingMg = Math.round(toGoMg.value);
    if (current.value && missingMg > 0) void guarded(() => scale.pour(missingMg));
  }

  return {
    cup,
    current,
    following,
    later,
    toRead,
    batch,
    over,
    currentIngredient,
    readingMg,
    toGoMg,
    toleranceMg,
    verdict,
    onScale,
    wholeStep,
    keeping,
    typedMg,
    guarded,
    skip,
    takeUp,
    leaveOut,
    doneStep,
    bringUp,
    keepSo,
    takeShareOut,
    takeBack,
    pourStep,
  };
}
