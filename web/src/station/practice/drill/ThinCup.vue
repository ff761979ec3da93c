<script setup lang="ts">
import { PASSES } from '@icy-ribbon/core/drill/schedule';
import { seededRandom } from '@icy-ribbon/core/base/random';
import {
  advisedPlay,
  FRESH_MG,
  hiddenCup,
  LUMP_SHARE,
  lumpsOf,
  offTargetLn,
  raced,
  scoreThinning,
  TARGET_PAS,
  thinned,
  trueLn,
} from '@icy-ribbon/core/drill/cup';
import { LIMITS, stageOf } from '@icy-ribbon/core/paint/stage';
import { Button } from 'ant-design-vue';
import { useMediaQuery, useRafFn } from '@vueuse/core';
import { computed, ref } from 'vue';
import { TELLING_S } from '#drawing/mound.ts';
import MoundFigure from '#drawing/MoundFigure.vue';
import QuantityField from '#field/QuantityField.vue';
import { useShortcuts } from '#shortcut/shortcuts.ts';
import { useUnits } from '#store/units.ts';
import { paS } from '#words/thickness.ts';
import { COLORS } from '../parts/readyPours.ts';
import PlayBench from './parts/PlayBench.vue';
import { freshSeed, type PlayResult } from './parts/playResult.ts';
import { useSound } from './parts/useSound.ts';

/** A cup whose answer to water nobody knows, to be brought to its thickness. */
const emit = defineEmits<{ done: [result: PlayResult] }>();
const units = useUnits();
const sound = useSound();

const random = seededRandom(freshSeed());
const cup = (() => {
  for (;;) {
    const found = hiddenCup(random);
    if (offTargetLn(found, FRESH_MG) > Math.log(LIMITS.alikeRatio)) return found;
  }
})();
const contents = ref<readonly number[]>(FRESH_MG);
const additions = ref<number[]>([]);
const races = ref<{ readonly after: number; readonly paS: number }[]>([]);
const water = ref<number | null>(4000);
const problem = ref<string>();
const MOST_MG = 60_000;

const viscosity = computed(() => Math.exp(trueLn(cup, contents.value)));
const isCalm = useMediaQuery('(prefers-reduced-motion: reduce)');
const seconds = ref(0);
useRafFn(({ timestamp }) => (seconds.value = timestamp / 1000));
const moment = computed(() => (isCalm.value ? TELLING_S : seconds.value));
const stirred = computed(() => {
  const { length } = additions.value;
  if (length === 0) return 'Nothing stirred in yet.';
  return length === 1 ? 'Stirred in once.' : `Stirred in ${length} times.`;
});
const lumps = computed(() => lumpsOf(additions.value));

function stirIn(): void {
  if (water.value === null || !(water.value > 0)) {
    problem.value = 'Give the water, above 0.';
    return;
  }
  if (water.value > MOST_MG) {
    problem.value = `The cup takes no more than ${units.show('mass', MOST_MG)} at once.`;
    return;
  }
  problem.value = undefined;
  contents.value = thinned(contents.value, water.value);
  additions.value = [...additions.value, water.value];
}

function race(): void {
  races.value = [
    ...races.value,
    { after: additions.value.length, paS: Math.exp(raced(cup, contents.value, random)) },
  ];
}

function isThere(): void {
  const play = {
    additionsMg: additions.value,
    readings: races.value.length,
    offLn: offTargetLn(cup, contents.value),
  };
  const advised = advisedPlay(cup, random);
  const { score, lumps: lumpy, isTooFar } = scoreThinning(play, advised);
  sound.tick(score >= PASSES);
  const end = (offLn: number) => paS(TARGET_PAS * Math.exp(offLn));
  const took = (count: number) => (count === 1 ? 'one addition' : `${count} additions`);
  const answer = Math.round(100 * Math.abs(cup.answer - 1));
  emit('done', {
    score,
    answers: [{ shown: TARGET_PAS, said: TARGET_PAS * Math.exp(play.offLn) }],
    measures: {
      additions: play.additionsMg.length,
      advised: advised.additionsMg.length,
      lumps: lumpy,
      races: play.readings,
    },
    words: [
      `You ended at ${end(play.offLn)} with ${took(play.additionsMg.length)}; the advice's own play ended at ${end(advised.offLn)} with ${took(advised.additionsMg.length)}. Wanted: ${paS(TARGET_PAS)}.`,
      `This cup answers to water ${answer}\u00a0% ${cup.answer > 1 ? 'more' : 'less'} than paint usually does.`,
      ...(isTooFar ? ['It went too far: what is too thin needs paint and medium, not patience.'] : []),
      ...(lumpy > 0 ? ['Too much at once left lumps: strain it, and next time stir in half.'] : []),
    ],
  });
}

useShortcuts('Hit the thickness', [
  { keys: ['w'], shown: 'W', does: 'Stir the water in', run: stirIn },
  { keys: ['r'], shown: 'R', does: 'Race it', run: race },
  { keys: ['t'], shown: 'T', does: 'It is there', run: isThere },
]);
</script>

<template>
  <PlayBench label="The cup" looks="figure">
    <template #seen>
      <MoundFigure :viscosity-pa-s="viscosity" :seconds="moment" :color-hex="COLORS[1]!" :bare="!isCalm" />
    </template>

    <p>
      Wanted: <strong>{{ stageOf(TARGET_PAS).name }}, {{ paS(TARGET_PAS) }}</strong>
    </p>
    <table>
      <tbody>
        <tr>
          <th scope="row">Conditioner</th>
          <td class="numeral">{{ units.show('mass', contents[0]!) }}</td>
        </tr>
        <tr>
          <th scope="row">Paint</th>
          <td class="numeral">{{ units.show('mass', contents[1]!) }}</td>
        </tr>
        <tr>
          <th scope="row">Water</th>
          <td class="numeral">{{ units.show('mass', contents[2]!, true) }}</td>
        </tr>
      </tbody>
    </table>
    <form class="stir" @submit.prevent="stirIn">
      <QuantityField v-model="water" label="Water to stir in" quantity="mass" :error="problem" />
      <Button html-type="submit">Stir it in</Button>
    </form>
    <p v-if="lumps > 0" class="alarm" role="alert">
      More than {{ Math.round(100 * LUMP_SHARE) }}&nbsp;% of the mix at once: there are lumps in it.
    </p>
    <div class="buttons">
      <Button @click="race">Race it</Button>
      <Button type="primary" @click="isThere">It is there</Button>
    </div>
    <p role="status">
      {{ stirred }}
    </p>
    <ul v-if="races.length > 0" aria-label="Races">
      <li v-for="(each, index) in races" :key="index">
        {{ each.after === 0 ? 'Raced before any water' : `Raced after ${each.after}` }}: {{ paS(each.paS) }}
        <span class="soft">(a race is good to 12&nbsp;%)</span>
      </li>
    </ul>
  </PlayBench>
</template>

<style scoped>
.stir,
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: end;
}

table {
  border-collapse: collapse;
}

th {
  padding: 2px 24px 2px 0;
  font-weight: var(--weight-plain);
  text-align: left;
}

td {
  text-align: right;
}
</style>
