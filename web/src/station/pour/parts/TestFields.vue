<script setup lang="ts">
import { readBlowTest, readTipTest, tipAngles } from '@icy-ribbon/core/judgement/pouring';
import { RadioButton, RadioGroup } from 'ant-design-vue';
import { computed, watch } from 'vue';
import { messageAt } from '#api/problem.ts';
import NumberField from '#field/NumberField.vue';
import ComputedFrom from '#field/ComputedFrom.vue';
import { usePiece } from '#store/piece/piece.ts';
import { angleWords, blowTestWords, tipTestWords } from '#words/pouring.ts';
import { useMeasures } from '#words/useMeasures.ts';
import type { EventDraft } from './eventDraft.ts';

/** A test at the table: what is seen, and at once what it says of the film. */
const props = defineProps<{ kind: 'blow-test' | 'tip-test'; problem: unknown }>();
const draft = defineModel<EventDraft>({ required: true });

const store = usePiece();
const measures = useMeasures();

const laidIds = computed(() => new Set(store.layers.map(({ data }) => data.cupId)));
/** What is tested: the base that was laid, or all paint in the middle by its grams. */
const paint = computed(() => {
  const laid = store.paints.filter(({ mix }) => laidIds.value.has(mix.id));
  const tested = props.kind === 'blow-test' ? laid.filter(({ mix }) => mix.role === 'base') : laid;
  const cups = tested.length > 0 ? tested : laid;
  if (cups.length === 0) return null;
  const mean = (of: (cup: (typeof cups)[number]) => number) =>
    cups.reduce((sum, cup) => sum + of(cup), 0) / cups.length;
  return {
    viscosityPaS: Math.exp(mean(({ state }) => Math.log(state.properties.viscosityPaS))),
    densityGPerMl: mean(({ state }) => state.properties.densityGPerMl),
  };
});

/** How far this very paint is to be tipped. */
const angles = computed(() => (paint.value && props.kind === 'tip-test' ? tipAngles(paint.value) : null));
watch(
  angles,
  (known) => {
    if (known && draft.value.tiltDeg === null) draft.value.tiltDeg = Number(known.usualDeg.toFixed(1));
  },
  { immediate: true },
);

const unanswered = computed(
  () => messageAt(props.problem, 'data.moves') ?? messageAt(props.problem, 'data.runsOver'),
);

const reading = computed(() => {
  if (!paint.value) return 'Lay paint down first: the reading needs its thickness.';
  const { moves, runsOver, tiltDeg } = draft.value;
  if (moves === null || (props.kind === 'blow-test' && runsOver === null)) {
    return angles.value ? `Tip it ${angleWords(angles.value)} and look at the middle.` : '';
  }
  if (props.kind === 'blow-test' && runsOver !== null) {
    return blowTestWords(readBlowTest({ moves, runsOver }, paint.value), measures.value);
  }
  if (!angles.value || tiltDeg === null || tiltDeg <= 0 || tiltDeg > 90) return '';
  return tipTestWords(readTipTest({ tiltDeg, moves }, paint.value), moves, angles.value, measures.value);
});
</script>

<template>
  <div class="tests">
    <NumberField
      v-if="kind === 'tip-test'"
      v-model="draft.tiltDeg"
      label="Tipped from level"
      unit="°"
      :digits="1"
      :error="messageAt(problem, 'data.tiltDeg')"
    />
    <RadioGroup
      v-model:value="draft.moves"
      :name="`${kind}-moves`"
      :aria-label="kind === 'blow-test' ? 'Does the base move?' : 'Does the middle move?'"
    >
      <RadioButton :value="true">{{
        kind === 'blow-test' ? 'It moves easily' : 'The middle moves'
      }}</RadioButton>
      <RadioButton :value="false">{{ kind === 'blow-test' ? 'It hardly moves' : 'It stands' }}</RadioButton>
    </RadioGroup>
    <RadioGroup
      v-if="kind === 'blow-test'"
      v-model:value="draft.runsOver"
      name="blow-test-over"
      aria-label="Does paint run over the edge?"
    >
      <RadioButton :value="false">No more runs over</RadioButton>
      <RadioButton :value="true">Still runs over</RadioButton>
    </RadioGroup>
    <p v-if="unanswered" class="unanswered" role="alert">{{ unanswered }}</p>
    <p class="reading" role="status">
      {{ reading }} <ComputedFrom :calculation="kind === 'blow-test' ? 'rim' : 'tip-test'" />
    </p>
  </div>
</template>

<style scoped>
.tests {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: 12px 16px;
}

/* It stands below both choices. */
.unanswered {
  flex-basis: 100%;
  color: var(--alarm);
}

.reading {
  flex-basis: 100%;
  font-size: var(--type-lead);
}
</style>
