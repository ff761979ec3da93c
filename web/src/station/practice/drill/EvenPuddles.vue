<script setup lang="ts">
import { seededRandom } from '@icy-ribbon/core/base/random';
import { puddleRadiusMm, ranOut, scoreAmounts, streamOf, unevenness } from '@icy-ribbon/core/drill/eye';
import { useEventListener, useRafFn } from '@vueuse/core';
import { computed, ref } from 'vue';
import { useShortcuts } from '#shortcut/shortcuts.ts';
import { useUnits } from '#store/units.ts';
import { COLORS } from '../parts/readyPours.ts';
import PlayBench from './parts/PlayBench.vue';
import PuddleBoard from './parts/PuddleBoard.vue';
import { freshSeed, type PlayResult } from './parts/playResult.ts';
import { useSound } from './parts/useSound.ts';
import { percent } from '#words/percent.ts';

/** Puddles of one weight, poured by feel. */
const emit = defineEmits<{ done: [result: PlayResult] }>();
const units = useUnits();
const sound = useSound();

const PLACES = [55, 145].flatMap((y) => [60, 150, 240].map((x) => ({ x, y })));
const VISCOSITY_PAS = 1.1;
const random = seededRandom(freshSeed());
const wantedG = 4 + Math.round(6 * random());
/** The hand tips a little differently each time. */
const streams = PLACES.map(() => streamOf(random));
const poured = ref<number[]>([]);
const sinceMs = ref<number | null>(null);
const nowMs = ref(0);
useRafFn(({ timestamp }) => (nowMs.value = timestamp));

const running = computed(() => {
  if (sinceMs.value === null) return 0;
  return ranOut(streams[poured.value.length]!, Math.max(0, nowMs.value - sinceMs.value) / 1000);
});
const puddles = computed(() =>
  [...poured.value, ...(running.value > 0 ? [running.value] : [])].map((grams, index) => ({
    ...PLACES[index]!,
    radiusMm: puddleRadiusMm(grams, VISCOSITY_PAS),
    colorHex: COLORS[2]!,
  })),
);

function tip(): void {
  if (sinceMs.value === null && poured.value.length < PLACES.length) sinceMs.value = performance.now();
}

/** Less than a drop is a slip of the hand, not a puddle. */
const DROP_G = 0.05;

function upright(): void {
  if (sinceMs.value === null) return;
  const grams = ranOut(streams[poured.value.length]!, (performance.now() - sinceMs.value) / 1000);
  sinceMs.value = null;
  if (grams < DROP_G) return;
  poured.value = [...poured.value, grams];
  sound.tick(true);
  if (poured.value.length < PLACES.length) return;
  const answers = poured.value.map((said) => ({ shown: wantedG, said }));
  const uneven = unevenness(poured.value);
  const mean = poured.value.reduce((sum, each) => sum + each, 0) / PLACES.length;
  emit('done', {
    score: scoreAmounts(answers),
    answers,
    measures: { uneven, mean },
    words: [
      `Wanted ${units.show('mass', 1000 * wantedG, true)} each; poured ${poured.value.map((each) => units.show('mass', 1000 * each, true)).join(', ')}.`,
      `They vary by ${percent(uneven)} among each other; on average ${units.show('mass', 1000 * mean, true)}.`,
      'Equal amounts laid with a stick give even puddles; pouring gives less control.',
    ],
  });
}

useShortcuts('Equal puddles', [
  { keys: [' '], shown: 'Space', does: 'Pour while it is held', run: (event) => !event.repeat && tip() },
]);
useEventListener(window, 'keyup', (event: KeyboardEvent) => event.key === ' ' && upright());
useEventListener(window, 'blur', upright);
</script>

<template>
  <PlayBench label="Pour" looks="board">
    <template #seen>
      <div
        class="board"
        @pointerdown.prevent="tip"
        @pointerup="upright"
        @pointerleave="upright"
        @pointercancel="upright"
        @contextmenu.prevent
      >
        <PuddleBoard :puddles="puddles" :marks="PLACES" />
      </div>
    </template>

    <p class="step-title" role="status">
      {{ Math.min(poured.length + 1, PLACES.length) }} of {{ PLACES.length }}:
      <strong>{{ units.show('mass', 1000 * wantedG, true) }}</strong> each
    </p>
    <p class="soft">Hold Space, or hold the board. It takes a moment until paint comes.</p>
  </PlayBench>
</template>

<style scoped>
.board {
  cursor: pointer;
  touch-action: none;
}
</style>
