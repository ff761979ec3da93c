<script setup lang="ts">
import {
  airOnPaint,
  BREATH_CURVES,
  BREATH_S,
  breathAim,
  distanceOf,
  scoreBreath,
  type BreathAt,
  type BreathMoment,
} from '@icy-ribbon/core/drill/breath';
import { Button } from 'ant-design-vue';
import { useEventListener, useRafFn } from '@vueuse/core';
import { computed, ref } from 'vue';
import { useShortcuts } from '#shortcut/shortcuts.ts';
import { useUnits } from '#store/units.ts';
import PlayBench from './parts/PlayBench.vue';
import { freshSeed, type PlayResult } from './parts/playResult.ts';
import { useMicrophone } from './parts/useMicrophone.ts';
import { useSound } from './parts/useSound.ts';
import { percent } from '#words/percent.ts';

/** A breath that shall follow a curve: to the right farther off, up harder. */
const emit = defineEmits<{ done: [result: PlayResult] }>();
const units = useUnits();
const sound = useSound();
const microphone = useMicrophone();
const { isOn: hears, problem: deaf } = microphone;

const WORDS = {
  growing: 'From near and soft to far and hard.',
  even: 'Draw back and blow harder, so that the air on the paint stays the same.',
  ebbing: 'Swell, and let it ebb away while you draw back.',
} as const;
const WIDTH = 600;
const HEIGHT = 420;
const EDGE = 30;
/** Held arrow keys move so much of the pad a second. */
const KEY_PACE = 0.45;
const COUNT_DOWN_S = 1.5;

const curve = BREATH_CURVES[freshSeed() % BREATH_CURVES.length]!;
const at = ref<BreathAt>({ far: 0, hard: 0 });
const startedMs = ref<number | null>(null);
const seconds = ref(-COUNT_DOWN_S);
const moments: BreathMoment[] = [];
const isOver = ref(false);
const held = new Set<string>();
let isPressed = false;

const x = (far: number) => EDGE + far * (WIDTH - 2 * EDGE);
const y = (hard: number) => HEIGHT - EDGE - hard * (HEIGHT - 2 * EDGE);
const path = computed(() =>
  Array.from({ length: 61 }, (_, step) => {
    const { far, hard } = breathAim(curve, step / 60);
    return `${step === 0 ? 'M' : 'L'}${x(far).toFixed(1)} ${y(hard).toFixed(1)}`;
  }).join(''),
);
const aim = computed(() => breathAim(curve, Math.min(1, Math.max(0, seconds.value / BREATH_S))));

function begin(): void {
  if (startedMs.value !== null || isOver.value) return;
  at.value = breathAim(curve, 0);
  startedMs.value = performance.now();
}

const bounded = (value: number) => Math.min(1, Math.max(0, value));

let lastMs = 0;
useRafFn(() => {
  const now = performance.now();
  const passed = Math.min(0.1, (now - lastMs) / 1000);
  lastMs = now;
  if (startedMs.value === null || isOver.value) return;
  seconds.value = (now - startedMs.value) / 1000 - COUNT_DOWN_S;
  const keys = (more: string, less: string) => Number(held.has(more)) - Number(held.has(less));
  at.value = {
    far: bounded(at.value.far + KEY_PACE * passed * keys('ArrowRight', 'ArrowLeft')),
    hard: bounded(at.value.hard + KEY_PACE * passed * keys('ArrowUp', 'ArrowDown')),
  };
  // The microphone hears only how hard: how far off is taken from the curve.
  if (hears.value) at.value = { far: aim.value.far, hard: microphone.now() };
  if (seconds.value < 0) return;
  sound.follow(at.value.hard);
  if (seconds.value <= BREATH_S) moments.push({ seconds: seconds.value, ...at.value });
  else finish();
});

function finish(): void {
  isOver.value = true;
  sound.follow(null);
  const { score, off, sway } = scoreBreath(curve, moments);
  const airs = moments.map(airOnPaint);
  emit('done', {
    score,
    answers: [],
    measures: { off, sway, curve: BREATH_CURVES.indexOf(curve) },
    words: [
      `You were off the curve by ${percent(off)} of the range on average and trembled by ${(100 * sway).toFixed(1)}\u00a0%.`,
      `The air on the paint went from ${airs[0]?.toFixed(1) ?? '0'} to ${airs.at(-1)?.toFixed(1) ?? '0'}\u00a0m/s; by the curve from ${airOnPaint(breathAim(curve, 0)).toFixed(1)} to ${airOnPaint(breathAim(curve, 1)).toFixed(1)}.`,
    ],
  });
}

function draw(event: PointerEvent): void {
  if (!isPressed) return;
  const box = (event.currentTarget as SVGElement).getBoundingClientRect();
  at.value = {
    far: bounded((((event.clientX - box.left) / box.width) * WIDTH - EDGE) / (WIDTH - 2 * EDGE)),
    hard: bounded((HEIGHT - EDGE - ((event.clientY - box.top) / box.height) * HEIGHT) / (HEIGHT - 2 * EDGE)),
  };
}
function press(event: PointerEvent): void {
  (event.currentTarget as Element).setPointerCapture(event.pointerId);
  isPressed = true;
  begin();
  draw(event);
}

const arrow = (key: string, does: string, shown: string) => ({
  keys: [key],
  shown,
  does,
  run: () => {
    held.add(key);
    begin();
  },
});
useShortcuts('Breath', [
  { keys: [' '], shown: 'Space', does: 'Begin', run: begin },
  arrow('ArrowUp', 'Harder', '↑'),
  arrow('ArrowDown', 'Softer', '↓'),
  arrow('ArrowRight', 'Farther off', '→'),
  arrow('ArrowLeft', 'Nearer', '←'),
]);
useEventListener(window, 'keyup', (event: KeyboardEvent) => held.delete(event.key));
useEventListener(window, 'blur', () => held.clear());

const state = computed(() => {
  if (startedMs.value === null) return 'Space, an arrow key or a touch begins it.';
  if (seconds.value < 0) return 'Ready …';
  if (isOver.value) return 'Done.';
  return `${Math.min(BREATH_S, seconds.value).toFixed(1)} of ${BREATH_S} s`;
});
</script>

<template>
  <PlayBench label="Blow" looks="board">
    <template #seen>
      <svg
        :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
        role="application"
        aria-label="To the right is farther off, up is harder. Arrow keys move the breath."
        tabindex="0"
        @pointerdown.prevent="press"
        @pointermove="draw"
        @pointerup="isPressed = false"
        @pointercancel="isPressed = false"
      >
        <rect :width="WIDTH" :height="HEIGHT" class="pad" />
        <path :d="path" class="curve" />
        <text x="24" :y="HEIGHT - 6">near</text>
        <text :x="WIDTH - 24" :y="HEIGHT - 6" text-anchor="end">far</text>
        <text x="4" :y="HEIGHT - 24">soft</text>
        <text x="4" y="16">hard</text>
        <circle :cx="x(aim.far)" :cy="y(aim.hard)" r="20" class="aim" />
        <path class="own" :d="`M${x(at.far) - 13} ${y(at.hard)}h26M${x(at.far)} ${y(at.hard) - 13}v26`" />
      </svg>
    </template>

    <h2>{{ WORDS[curve] }}</h2>
    <p role="status">{{ state }}</p>
    <p class="soft">
      Held {{ units.show('length', distanceOf(at)) }} off, {{ airOnPaint(at).toFixed(1) }}&nbsp;m/s on the
      paint.
    </p>
    <Button v-if="microphone.canListen && !hears" @click="microphone.listen">Blow at the microphone</Button>
    <template v-else-if="hears">
      <p>The microphone listens: it tells how hard, the curve how far off. Nothing is recorded.</p>
      <Button @click="microphone.stop">No microphone</Button>
    </template>
    <p v-if="deaf" class="alarm" role="alert">{{ deaf }}</p>
    <p class="soft">Blowing by mouth: rest if you are dizzy.</p>
  </PlayBench>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  touch-action: none;
  cursor: crosshair;
  user-select: none;
}

.pad {
  fill: var(--ice);
  stroke: var(--rule);
}

.curve {
  fill: none;
  stroke: var(--ink-soft);
  stroke-width: 2;
  stroke-dasharray: 6 5;
}

.aim {
  fill: none;
  stroke: var(--brass);
  stroke-width: 4;
}

.own {
  stroke: var(--ink);
  stroke-width: 3;
}

text {
  font-size: var(--type-note);
  fill: var(--ink-soft);
}
</style>
