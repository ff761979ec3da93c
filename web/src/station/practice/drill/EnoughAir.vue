<script setup lang="ts">
import { PASSES } from '@icy-ribbon/core/drill/schedule';
import { bestPass, scoreStop } from '@icy-ribbon/core/drill/film';
import { airTool, type AirTool } from '@icy-ribbon/core/flow/air';
import { USUAL_UNKNOWNS } from '@icy-ribbon/core/piece/rehearse';
import { Button } from 'ant-design-vue';
import { computed, onMounted, ref } from 'vue';
import { attempt } from '#notice/useTask.ts';
import { useShortcuts } from '#shortcut/shortcuts.ts';
import { plain } from '#worker/plain.ts';
import FilmBench from '../parts/FilmBench.vue';
import { useFilm } from '../parts/useFilm.ts';
import { useHand } from '../parts/useHand.ts';
import PlayBench from './parts/PlayBench.vue';
import { AHEAD_CELLS, workedOverBloom } from './parts/drillScenes.ts';
import { freshSeed, type PlayResult } from './parts/playResult.ts';
import { useAhead } from './parts/useAhead.ts';
import { useSound } from './parts/useSound.ts';
import { percent } from '#words/percent.ts';

/** Breath after breath blows by itself: when is it enough? */
const emit = defineEmits<{ done: [result: PlayResult] }>();
const sound = useSound();

const LEAST_OPEN = 0.62;
const MOST_OPEN = 0.8;
const wanted = LEAST_OPEN + ((MOST_OPEN - LEAST_OPEN) * (freshSeed() % 1000)) / 1000;
const scene = workedOverBloom();
const middle = { x: scene.support.widthMm / 2, y: scene.support.heightMm / 2 };
const film = useFilm();
const hand = useHand(film, (tool: AirTool) => airTool(tool));
const { isReady, task } = film;
const { share, work } = useAhead();
const phase = ref<'lying' | 'blowing' | 'stopped'>('lying');
const blown = ref(0);

/** What it is after each breath, worked out beside the play. */
const passes = work((remote, onProgress) =>
  remote.afterPasses(plain(scene), plain(USUAL_UNKNOWNS), AHEAD_CELLS, onProgress),
);
passes.catch(() => undefined);
const laidMl = scene.lays.reduce((sum, { volumeMl }) => sum + volumeMl, 0);

onMounted(() => {
  hand.aim.value = middle;
  film.cutAtMm.value = middle.y;
  void attempt(() => film.start(scene, USUAL_UNKNOWNS, AHEAD_CELLS));
});

const at = computed(() => (task.value?.kind === 'passes' ? task.value.at + 1 : scene.strokes.length));

function blow(): void {
  if (!isReady.value || phase.value !== 'lying') return;
  phase.value = 'blowing';
  film.blowPlan(scene.strokes);
}

async function enough(): Promise<void> {
  if (phase.value !== 'blowing') return;
  blown.value = at.value;
  phase.value = 'stopped';
  film.halt();
  film.pause();
  await attempt(async () => {
    const all = await passes;
    const after = all.map(({ negativeSpace, bare, drippedMl }) => ({
      ...{ negativeSpace, bare, lost: drippedMl / laidMl },
    }));
    const best = bestPass(after, wanted);
    const score = scoreStop(blown.value, best);
    sound.tick(score >= PASSES);
    emit('done', {
      score,
      answers: [],
      measures: { stopped: blown.value, best, wanted, left: after[blown.value]?.negativeSpace ?? 0 },
      words: [
        `You stopped at breath ${blown.value}; best was ${best}. Open then: ${percent(after[blown.value]?.negativeSpace ?? 0)}, wanted ${percent(wanted)}.`,
        'Wet paint goes on after the last breath: stop a little before it is enough.',
      ],
    });
  });
}

const toggle = () => (phase.value === 'lying' ? blow() : void enough());
useShortcuts('When to stop blowing', [{ keys: [' '], shown: 'Space', does: 'Blow; enough', run: toggle }]);

const state = computed(() => {
  if (!isReady.value) return 'Laying the paint.';
  if (phase.value === 'lying') return 'It lies. Tell it to begin.';
  if (phase.value === 'blowing') return `Breath ${at.value} of ${scene.strokes.length}.`;
  return `Stopped. Working out when it was best, ${percent(share.value)}.`;
});
</script>

<template>
  <PlayBench label="The pour" looks="film">
    <template #seen><FilmBench :scene="scene" :film="film" :hand="hand" looks /></template>

    <p class="step-title">
      Leave <strong>{{ percent(wanted) }}</strong> of the face open
    </p>
    <p role="status">{{ state }}</p>
    <Button type="primary" :disabled="!isReady || phase === 'stopped'" @click="toggle">
      {{ phase === 'lying' ? 'Blow' : 'Enough' }}
    </Button>
    <p class="soft">Open is the base that shows around the flower.</p>
  </PlayBench>
</template>
