<script setup lang="ts">
import { moundsToName, namedAs, scoreNaming } from '@icy-ribbon/core/drill/eye';
import type { DrillAnswer } from '@icy-ribbon/core/drill/schedule';
import { seededRandom } from '@icy-ribbon/core/base/random';
import { stageOf, STAGES, type StageName } from '@icy-ribbon/core/paint/stage';
import { eyeOf } from '@icy-ribbon/core/thickness/reading';
import { useMediaQuery, useRafFn } from '@vueuse/core';
import { computed, ref } from 'vue';
import { TELLING_S, TURN_S } from '#drawing/mound.ts';
import MoundFigure from '#drawing/MoundFigure.vue';
import { useShortcuts } from '#shortcut/shortcuts.ts';

import { paS } from '#words/thickness.ts';
import { COLORS } from '../parts/readyPours.ts';
import PlayBench from './parts/PlayBench.vue';
import WiggleFigure from './parts/WiggleFigure.vue';
import { freshSeed, type PlayResult } from './parts/playResult.ts';
import { useSound } from './parts/useSound.ts';

/** Thicknesses that move as they would, to be called by their stage. */
const emit = defineEmits<{ done: [result: PlayResult] }>();

const COUNT = 8;
/** A drawn line is drawn anew this often, s; standing still it is shown so long after. */
const LINE_S = 3;
const LINE_TELLING_S = 0.4;

const sound = useSound();
const shown = moundsToName(COUNT, seededRandom(freshSeed()));
const answers = ref<DrillAnswer[]>([]);
const now = computed(() => Math.min(answers.value.length, COUNT - 1));
const viscosity = computed(() => shown[now.value]!);
/** Mounds and drawn lines by turns. */
const isLine = computed(() => now.value % 2 === 1);
const isCalm = useMediaQuery('(prefers-reduced-motion: reduce)');
const seconds = ref(0);
let sinceMs = 0;
useRafFn(({ timestamp }) => {
  sinceMs ||= timestamp;
  seconds.value = (timestamp - sinceMs) / 1000;
});
const moment = computed(() => {
  if (isCalm.value) return isLine.value ? LINE_TELLING_S : TELLING_S;
  return isLine.value ? seconds.value % LINE_S : seconds.value % TURN_S;
});
const last = computed(() => {
  const answer = answers.value.at(-1);
  if (!answer) return '';
  const truth = stageOf(answer.shown).name;
  const said = stageOf(answer.said).name;
  const right = truth === said ? 'Right' : `You said ${said}`;
  return `${right}: it was ${truth}, ${paS(answer.shown)}.`;
});

function say(stage: StageName): void {
  if (answers.value.length >= COUNT) return;
  const answer = namedAs(viscosity.value, stage);
  sound.tick(stageOf(answer.shown).name === stage);
  answers.value = [...answers.value, answer];
  sinceMs = 0;
  if (answers.value.length < COUNT) return;
  const right = answers.value.filter((each) => stageOf(each.shown).name === stageOf(each.said).name).length;
  const eye = eyeOf(answers.value.map((each) => ({ shownPaS: each.shown, saidPaS: each.said })));
  emit('done', {
    score: scoreNaming(answers.value),
    answers: answers.value,
    measures: { right, bias: eye.ln, spread: eye.spreadLn },
    words: [`${right} of ${COUNT} right. ${last.value}`],
  });
}

useShortcuts(
  'Name the mound',
  STAGES.map(({ name }, index) => ({
    keys: [String(index + 1)],
    shown: String(index + 1),
    does: `It is ${name}`,
    run: () => say(name),
  })),
);
</script>

<template>
  <PlayBench label="Name it" looks="figure">
    <template #seen>
      <WiggleFigure
        v-if="isLine"
        :viscosity-pa-s="viscosity"
        :seconds="moment"
        :color-hex="COLORS[now % COLORS.length]!"
      />
      <MoundFigure
        v-else
        :viscosity-pa-s="viscosity"
        :seconds="moment"
        :color-hex="COLORS[now % COLORS.length]!"
        :bare="!isCalm"
      />
    </template>

    <p role="status">
      <span class="step-title">{{ now + 1 }} of {{ COUNT }}</span>
      {{ isLine ? 'A line drawn through the film.' : 'A stickful running back.' }}
    </p>
    <p v-if="isCalm" class="soft">
      {{ isLine ? 'As it stands 0.4 s after it was drawn.' : 'As it stands while the stickful still runs.' }}
    </p>
    <ul aria-label="Stages">
      <li v-for="(stage, index) in STAGES" :key="stage.name">
        <button class="plain-button stacked gap-12" type="button" @click="say(stage.name)">
          <strong
            ><span class="soft">{{ index + 1 }}</span> {{ stage.name }}</strong
          >
          <span class="soft">{{ stage.mound }}</span>
        </button>
      </li>
    </ul>
    <p class="last" aria-live="polite">{{ last }}</p>
  </PlayBench>
</template>

<style scoped>
ul {
  display: grid;
  width: 100%;
  gap: 4px;
}

.plain-button {
  grid-template-columns: 120px minmax(0, 1fr);
  align-items: center;
  width: 100%;
  min-height: var(--touch-choice);
  padding: 4px 8px;
  text-align: left;
  border: 1px solid var(--rule);
}

.plain-button:hover {
  border-color: var(--edge);
}

.last {
  min-height: 1.5em;
}
</style>
