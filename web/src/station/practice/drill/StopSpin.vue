<script setup lang="ts">
import { PASSES } from '@icy-ribbon/core/drill/schedule';
import { bestTurn, scoreWithin } from '@icy-ribbon/core/drill/film';
import { airTool, type AirTool } from '@icy-ribbon/core/flow/air';
import { NO_PUSH, USUAL_UNKNOWNS } from '@icy-ribbon/core/piece/rehearse';
import { Button } from 'ant-design-vue';
import { computed, onMounted, ref } from 'vue';
import { attempt } from '#notice/useTask.ts';
import { useShortcuts } from '#shortcut/shortcuts.ts';
import { useUnits } from '#store/units.ts';
import { plain } from '#worker/plain.ts';
import FilmBench from '../parts/FilmBench.vue';
import { useFilm } from '../parts/useFilm.ts';
import { useHand } from '../parts/useHand.ts';
import PlayBench from './parts/PlayBench.vue';
import { AHEAD_CELLS, blownBloom } from './parts/drillScenes.ts';
import { freshSeed, type PlayResult } from './parts/playResult.ts';
import { useAhead } from './parts/useAhead.ts';
import { useSound } from './parts/useSound.ts';
import { percent } from '#words/percent.ts';

/** A flower on the spinner, to be stopped while it is as wide as it gets. */
const emit = defineEmits<{ done: [result: PlayResult] }>();
const units = useUnits();
const sound = useSound();

const SLOWEST_RPM = 60;
const FASTEST_RPM = 100;
const LONGEST_S = 20;
const EVERY_S = 0.5;
const rpm = Math.round(SLOWEST_RPM + ((FASTEST_RPM - SLOWEST_RPM) * (freshSeed() % 1000)) / 1000);
const scene = blownBloom();
const middle = { x: scene.support.widthMm / 2, y: scene.support.heightMm / 2 };
const film = useFilm();
const hand = useHand(film, (tool: AirTool) => airTool(tool));
const { isReady, moment, numbers } = film;
const laid = ref(0);
const { share, work } = useAhead();
const phase = ref<'lying' | 'turning' | 'stopped'>('lying');
let beganAt = 0;
const stoppedAfter = ref(0);

/** When it should have been stopped, worked out beside the play. */
const rightTime = work(async (remote, onProgress) => {
  await remote.blowWhole(plain(scene), plain(USUAL_UNKNOWNS), AHEAD_CELLS, onProgress);
  const push = plain({ ...NO_PUSH, spin: { rpm, at: middle } });
  const all = await remote.onAndOn(push, LONGEST_S, EVERY_S, onProgress);
  return bestTurn(
    all.map(({ seconds, negativeSpace, bare }) => ({ seconds, covered: 1 - negativeSpace - bare })),
  );
});
rightTime.catch(() => undefined);

onMounted(() => {
  hand.aim.value = middle;
  film.cutAtMm.value = middle.y;
  void attempt(() => film.startBlown(scene, AHEAD_CELLS, (done) => (laid.value = done)));
});

const turned = computed(() =>
  phase.value === 'turning' ? Math.max(0, (moment.value?.seconds ?? 0) - beganAt) : stoppedAfter.value,
);

function turn(): void {
  if (!isReady.value || phase.value !== 'lying') return;
  beganAt = moment.value?.seconds ?? 0;
  phase.value = 'turning';
  film.setPush({ ...NO_PUSH, spin: { rpm, at: middle } });
  film.run();
}

async function stop(): Promise<void> {
  if (phase.value !== 'turning') return;
  stoppedAfter.value = turned.value;
  phase.value = 'stopped';
  film.halt();
  film.pause();
  await attempt(async () => {
    const best = await rightTime;
    const score = scoreWithin(stoppedAfter.value, best);
    sound.tick(score >= PASSES);
    const after = stoppedAfter.value;
    const when = after < best.from ? 'too early' : after > best.to ? 'too late' : 'in time';
    emit('done', {
      score,
      answers: [],
      measures: { stopped: after, from: best.from, to: best.to, rpm },
      words: [
        `Stopped after ${after.toFixed(1)}\u00a0s, ${when}: at ${rpm} turns a minute the flower is as wide as it gets from ${best.from.toFixed(1)} to ${best.to.toFixed(1)}\u00a0s.`,
        `${units.show('depth', numbers.value?.middleMm ?? 0)} are left in the middle, ${units.show('volume', numbers.value?.drippedMl ?? 0)} ran off; cells are drawn out by ${Math.round(100 * (numbers.value?.cells.warp ?? 0))}\u00a0%. To see what is left to run, tip the board: if the middle still moves, there is paint to lose.`,
      ],
    });
  });
}

const toggle = () => (phase.value === 'lying' ? turn() : void stop());
useShortcuts('Stop the spin', [{ keys: [' '], shown: 'Space', does: 'Spin; stop', run: toggle }]);

const state = computed(() => {
  if (!isReady.value) return `The flower is being blown, ${percent(laid.value)}.`;
  if (phase.value === 'lying') return 'It lies. Tell it to turn.';
  if (phase.value === 'turning') return `It turns: ${turned.value.toFixed(1)}\u00a0s.`;
  return `Stopped. Working out when it was best, ${percent(share.value)}.`;
});
</script>

<template>
  <PlayBench label="The spinner" looks="film">
    <template #seen><FilmBench :scene="scene" :film="film" :hand="hand" looks /></template>

    <p class="step-title">{{ rpm }} turns a minute</p>
    <p role="status">{{ state }}</p>
    <Button type="primary" :disabled="!isReady || phase === 'stopped'" @click="toggle">
      {{ phase === 'lying' ? 'Spin' : 'Stop' }}
    </Button>
    <p class="soft">
      The board is seen as it turns with you: what moves is the paint. Fix it on the spinner and stand clear.
    </p>
  </PlayBench>
</template>
