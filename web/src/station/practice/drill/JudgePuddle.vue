<script setup lang="ts">
import { seededRandom } from '@icy-ribbon/core/base/random';
import { meanFactor, puddleRadiusMm, puddlesToJudge, scoreAmounts } from '@icy-ribbon/core/drill/eye';
import type { DrillAnswer } from '@icy-ribbon/core/drill/schedule';
import { stageOf } from '@icy-ribbon/core/paint/stage';
import { Button } from 'ant-design-vue';
import { computed, nextTick, ref } from 'vue';
import QuantityField from '#field/QuantityField.vue';
import { useUnits } from '#store/units.ts';
import { paS } from '#words/thickness.ts';
import { COLORS } from '../parts/readyPours.ts';
import PlayBench from './parts/PlayBench.vue';
import PuddleBoard from './parts/PuddleBoard.vue';
import { freshSeed, type PlayResult } from './parts/playResult.ts';
import { useSound } from './parts/useSound.ts';

/** Puddles to be weighed by eye. */
const emit = defineEmits<{ done: [result: PlayResult] }>();
const units = useUnits();
const sound = useSound();

const COUNT = 5;
const CLOSE = 1.2;
const random = seededRandom(freshSeed());
const grams = puddlesToJudge(COUNT, random);
/** Thicker paint lies smaller: each run has its own. */
const viscosity = 0.5 * Math.exp(1.5 * random());
const answers = ref<DrillAnswer[]>([]);
const guess = ref<number | null>(null);
const problem = ref<string>();
const form = ref<HTMLFormElement | null>(null);
const now = computed(() => Math.min(answers.value.length, COUNT - 1));
const puddles = computed(() => [
  { x: 150, y: 100, radiusMm: puddleRadiusMm(grams[now.value]!, viscosity), colorHex: COLORS[0]! },
]);
const shown = (g: number) => units.show('mass', 1000 * g, true);
const last = computed(() => {
  const answer = answers.value.at(-1);
  return answer ? `It weighed ${shown(answer.shown)}; you said ${shown(answer.said)}.` : '';
});

function say(): void {
  if (answers.value.length >= COUNT) return;
  if (guess.value === null || !(guess.value > 0)) {
    problem.value = 'Say how much it weighs, above 0.';
    return;
  }
  problem.value = undefined;
  const answer = { shown: grams[now.value]!, said: guess.value / 1000 };
  sound.tick(Math.abs(Math.log(answer.said / answer.shown)) < Math.log(CLOSE));
  answers.value = [...answers.value, answer];
  guess.value = null;
  void nextTick(() => form.value?.querySelector('input')?.focus());
  if (answers.value.length < COUNT) return;
  const mean = answers.value.reduce((sum, each) => sum + Math.log(each.said / each.shown), 0) / COUNT;
  const off = Math.round(100 * (meanFactor(answers.value) - 1));
  emit('done', {
    score: scoreAmounts(answers.value),
    answers: answers.value,
    measures: { off: meanFactor(answers.value) - 1, bias: mean },
    words: [
      `You were off by ${off}\u00a0% on average, ${Math.abs(mean) < 0.05 ? 'as often too much as too little' : mean > 0 ? 'mostly too much' : 'mostly too little'}.`,
      'Twice the width is six times the paint: width grows slowly.',
    ],
  });
}
</script>

<template>
  <PlayBench label="The puddle" looks="board">
    <template #seen> <PuddleBoard :puddles="puddles" /></template>

    <p class="step-title" role="status">{{ now + 1 }} of {{ COUNT }}</p>
    <p class="soft">Paint of {{ paS(viscosity) }}, {{ stageOf(viscosity).name }}. The board is to scale.</p>
    <form ref="form" class="say abreast" @submit.prevent="say">
      <QuantityField v-model="guess" label="It weighs" quantity="mass" :error="problem" autofocus />
      <Button html-type="submit" type="primary">Say it</Button>
    </form>
    <p aria-live="polite" class="last">{{ last }}</p>
  </PlayBench>
</template>

<style scoped>
.say {
  align-items: end;
}

.last {
  min-height: 1.5em;
}
</style>
