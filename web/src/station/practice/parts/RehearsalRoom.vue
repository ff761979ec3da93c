<script setup lang="ts">
import type { Aims } from '@icy-ribbon/core/paint/stage';
import type { AirTool } from '@icy-ribbon/core/flow/air';
import type { Place } from '@icy-ribbon/core/piece/plan';
import { USUAL_UNKNOWNS, type FilmUnknowns, type Scene } from '@icy-ribbon/core/piece/rehearse';
import { refThrottled } from '@vueuse/core';
import { Button } from 'ant-design-vue';
import { computed, onMounted, ref } from 'vue';
import { attempt } from '#notice/useTask.ts';
import { useShortcuts } from '#shortcut/shortcuts.ts';
import type { MeasuredRehearsal } from '#worker/film.worker.ts';
import FilmBench from './FilmBench.vue';
import FilmCut from './FilmCut.vue';
import HandTools from './HandTools.vue';
import LayPanel from './LayPanel.vue';
import MeasuredPanel from './MeasuredPanel.vue';
import NowNumbers from './NowNumbers.vue';
import { rehearseKeys } from './rehearseKeys.ts';
import { useFilm } from './useFilm.ts';
import { useHand, type BlownStroke } from './useHand.ts';

/** The bench of a rehearsal: the support fills it, the tools and the numbers stand beside it. */
const props = defineProps<{
  scene: Scene;
  title: string;
  exit: (tool: AirTool) => { exitSpeedMS: number; exitDiameterMm: number };
  aims?: Aims | null;
  /** What the artist's own pours say of the film's unknowns. */
  unknowns?: FilmUnknowns | undefined;
  /** How the support lies. */
  tilt?: { readonly deg: number; readonly directionDeg: number } | undefined;
  /** What is to be known of where the scene comes from. */
  note?: string;
  /** What was blown can be taken into a plan. */
  canTake?: boolean;
  keep?: ((result: MeasuredRehearsal) => Promise<void>) | undefined;
}>();
const emit = defineEmits<{ take: [strokes: readonly BlownStroke[]] }>();

const film = useFilm();
const hand = useHand(film, props.exit);
hand.strength.value = (props.unknowns ?? USUAL_UNKNOWNS).strength;
const { task, isRunning, isReady, numbers, speed } = film;
/** What is read beside the picture need not change with every step of paint. */
const SHOWN_MS = 150;
const moment = refThrottled(film.moment, SHOWN_MS);

const middle = computed<Place>(() => ({
  x: props.scene.support.widthMm / 2,
  y: props.scene.support.heightMm / 2,
}));
const laying = ref<{ layer: number; grams: number | null }>({ layer: 1, grams: 5 });
onMounted(() => {
  hand.aim.value = middle.value;
  film.cutAtMm.value = middle.value.y;
  if (props.scene.strokes[0]) hand.take(props.scene.strokes[0].tool);
  if (props.tilt) Object.assign(hand.tilt, props.tilt);
  lay();
});
/** Lays the scene as it is now. */
const lay = () =>
  void attempt(async () => {
    await film.start(props.scene, props.unknowns);
    hand.apply();
  });

const SLOW = 0.25;
const toggleSlow = () => (speed.value = speed.value === 1 ? SLOW : 1);
const playPlan = () => film.blowPlan(props.scene.strokes);
const again = () => {
  hand.forget();
  lay();
};
const back = () => void attempt(() => film.back());
const stop = () => (task.value ? film.halt() : isRunning.value ? film.pause() : film.run());
const WAIT_S = 30;
const spin = () =>
  film.spin(props.scene.spin?.rpm ?? 40, Math.min(10, props.scene.spin?.seconds ?? 5), middle.value);

function layAt(at: Place): void {
  const { layer, grams } = laying.value;
  const paint = props.scene.layers[layer];
  if (!paint || !grams) return;
  const volumeMl = (1000 * grams) / paint.densityKgM3;
  void attempt(() =>
    film.lay({
      ...{ layer, volumeMl },
      // As far as a puddle has run when the cup is set down.
      shape: { kind: 'puddle', at, radiusMm: 9 * Math.cbrt(volumeMl) },
    }),
  );
}

const state = computed(() => {
  const doing = task.value;
  if (!isReady.value) return 'Laying the paint.';
  if (doing?.kind === 'passes') return `Pass ${doing.at + 1} of ${doing.of}.`;
  if (doing?.kind === 'wait') return `Waiting, ${Math.round(doing.done)} of ${doing.seconds} s.`;
  if (doing?.kind === 'spin') return `Spinning, ${Math.round(doing.done)} of ${doing.seconds} s.`;
  return isRunning.value ? 'The paint runs.' : 'Paused.';
});
const passesWords = computed(() => {
  const { length } = props.scene.strokes;
  if (length === 0) return 'No passes to blow';
  return length === 1 ? 'Blow its one pass' : `Blow its ${length} passes`;
});
const isSlow = computed(() => (moment.value?.pace ?? 1) < 0.8);

useShortcuts(
  'Rehearse',
  rehearseKeys({
    hand,
    film,
    support: () => props.scene.support,
    ...{ playPlan, again, back, stop, toggleSlow, spin, layAt },
    wait: () => film.wait(WAIT_S),
    take: props.canTake ? () => emit('take', hand.blown.value) : null,
  }),
);
</script>

<template>
  <main class="rehearse">
    <FilmBench :scene="scene" :film="film" :hand="hand" @lay="layAt" />
    <aside>
      <header>
        <h1>{{ title }}</h1>
        <p class="state" role="status">
          {{ state }}
          <template v-if="moment">
            <span class="whole">{{ moment.seconds.toFixed(0) }}&nbsp;s of paint,</span>{{ ' ' }}
            <span class="whole">{{ moment.airSeconds.toFixed(1) }}&nbsp;s of air.</span>{{ ' ' }}
          </template>
          <template v-if="isSlow">This machine moves it slower than real paint.</template>
        </p>
        <p v-if="note" class="soft">{{ note }}</p>
      </header>
      <div class="actions">
        <Button type="primary" :disabled="!isReady || scene.strokes.length === 0" @click="playPlan">
          {{ passesWords }}
        </Button>
        <Button class="changes" :disabled="!isReady" @click="stop">{{
          task ? 'Stop' : isRunning ? 'Pause' : 'Go on'
        }}</Button>
        <Button :disabled="!isReady" @click="again">Again</Button>
        <Button :disabled="!isReady" @click="back">Step back</Button>
        <Button class="changes" :aria-pressed="speed !== 1" @click="toggleSlow">{{
          speed === 1 ? 'Slower' : 'Full speed'
        }}</Button>
        <Button :disabled="!isReady" @click="film.wait(WAIT_S)">Wait {{ WAIT_S }}&nbsp;s</Button>
        <Button :disabled="!isReady" @click="spin">Spin</Button>
      </div>
      <HandTools :hand="hand" />
      <LayPanel v-if="hand.hand.value === 'lay'" v-model="laying" :scene="scene" />
      <FilmCut :scene="scene" :moment="moment" :x-mm="hand.aim.value.x" />
      <NowNumbers :scene="scene" :numbers="numbers" :aims="aims ?? null" />
      <div v-if="hand.blown.value.length > 0" class="blown">
        <p>
          {{ hand.blown.value.length === 1 ? 'One breath' : `${hand.blown.value.length} breaths` }} blown by
          hand.
        </p>
        <Button v-if="canTake" @click="emit('take', hand.blown.value)">Take into the plan</Button>
      </div>
      <MeasuredPanel :film="film" :scene="scene" :title="title" :keep="keep" />
      <slot></slot>
    </aside>
  </main>
</template>

<style scoped>
.rehearse {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 400px;
  height: 100%;
  min-height: 0;
}

aside {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  align-content: start;
  padding: 16px 16px 24px;
  overflow-y: auto;
  border-left: 1px solid var(--rule);
}

.state {
  min-height: 2.8em;
  color: var(--ink-soft);
}

.actions .changes {
  min-width: 80px;
}

.actions,
.blown {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}

@media (width < 900px) {
  .rehearse {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: min(100vw, 62vh) auto;
    height: auto;
  }

  aside {
    border-left: 0;
    overflow: visible;
  }
}
</style>
