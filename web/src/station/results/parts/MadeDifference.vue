<script setup lang="ts">
import { airTool } from '@icy-ribbon/core/flow/air';
import {
  EFFECTS,
  findQuantity,
  LEAST_POURS,
  madeTheDifference,
  nextTest,
  type Influence,
} from '@icy-ribbon/core/judgement/compare';
import { computed, ref } from 'vue';
import BareSelect from '../../../field/BareSelect.vue';
import { usePieces } from '../../../store/pieces.ts';
import { useUnits } from '../../../store/units.ts';
import { silenceWords } from '../../../words/difference.ts';
import { quantityWords } from '../../../words/quantity.ts';
import { useNumbers } from './useNumbers.ts';

/** Which causes went with an effect, over all pours of one technique, in words; and what to try next. */
const { pours, loaded } = useNumbers();
const pieces = usePieces();
const units = useUnits();
const effectKey = ref('cellMm');
const effectOptions = EFFECTS.map(({ key, label }) => ({ value: key, label }));
const effect = computed(() => findQuantity(effectKey.value)!);
const technique = computed(() => pieces.filter.technique ?? 'bloom');
const own = computed(() => pours.value.filter((pour) => pour.technique === technique.value));
const answer = computed(() =>
  madeTheDifference(
    own.value.map((pour) => pour.numbers),
    effect.value,
  ),
);

const sentence = ({ cause, strength, low, high, isSure }: Influence): string => {
  const more = strength > 0 ? effect.value.more : effect.value.less;
  const size = Math.abs(strength).toFixed(2);
  const range = `${low.toFixed(2)} to ${high.toFixed(2)}`;
  return isSure
    ? `${cause.label}: ${cause.more} went with ${more} ${effect.value.label.toLowerCase()} (${size} of its usual spread for one of the cause’s, ${range}).`
    : `${cause.label}: not sure either way (${range}).`;
};
const sure = computed(() =>
  answer.value.kind === 'found' ? answer.value.influences.filter((each) => each.isSure) : [],
);
const unsure = computed(() =>
  answer.value.kind === 'found' ? answer.value.influences.filter((each) => !each.isSure) : [],
);

/** From the best rated pour, the newest of them. */
const test = computed(() => {
  if (answer.value.kind !== 'found') return null;
  const best = [...own.value].sort((a, b) => (b.numbers.rating ?? 0) - (a.numbers.rating ?? 0))[0];
  const found = best && nextTest(answer.value.fit, best.numbers);
  if (!best || !found) return null;
  const { cause, from, to } = found;
  const change = `${Math.round(100 * Math.abs(to / from - 1))} % ${to > from ? cause.more : cause.less}`;
  const same = best.tool ? `, same ${airTool(best.tool).label.toLowerCase()}` : '';
  return {
    pieceId: best.pieceId,
    name: best.name,
    words: `Same as “${best.name}”${cause.key === 'distanceMm' ? '' : same}, ${cause.label.toLowerCase()} ${change}: from ${quantityWords(cause, from, units.chosen)} to ${quantityWords(cause, to, units.chosen)}.`,
  };
});
const SCALE = 60;
const bar = ({ low, high }: Influence) => ({
  left: `${50 + SCALE * 0.5 * Math.max(-1.6, low)}%`,
  width: `${SCALE * 0.5 * (Math.min(1.6, high) - Math.max(-1.6, low))}%`,
});
</script>

<template>
  <section class="difference" aria-label="What made the difference">
    <p>
      What went with
      <BareSelect v-model:value="effectKey" class="pick" :options="effectOptions" label="Effect" />
      over your {{ technique === 'bloom' ? 'blooms' : technique === 'dutch' ? 'Dutch pours' : 'swipes' }}
      <span class="soft">(choose the technique above)</span>
    </p>
    <template v-if="loaded">
      <p v-if="answer.kind === 'silent'" role="status" class="silent">
        Nothing can be said. {{ silenceWords(answer.why, answer.n) }}
        <template v-if="answer.n < LEAST_POURS">There are {{ answer.n }} now.</template>
      </p>
      <template v-else>
        <p class="soft">
          {{ answer.n }} pours. A pour left out is predicted {{ Math.round(100 * answer.predictedShare) }} %
          better than by the average. Intervals hold in nine of ten cases: of the causes looked at ({{
            answer.influences.length
          }}), one in ten looks sure by chance. What always changed together cannot be told apart.
        </p>
        <ul>
          <li v-for="each in sure" :key="each.cause.key">
            <span class="scale" aria-hidden="true"><i></i><b :style="bar(each)"></b></span>
            {{ sentence(each) }}
          </li>
          <li v-for="each in unsure" :key="each.cause.key" class="soft">
            <span class="scale" aria-hidden="true"><i></i><b :style="bar(each)"></b></span>
            {{ sentence(each) }}
          </li>
        </ul>
        <p v-if="sure.length === 0" role="status">No single cause stands out yet.</p>
        <p v-if="test" class="next">
          <strong>The most telling next test.</strong> {{ test.words }}
          <RouterLink :to="`/results/${test.pieceId}`">Open it and pour it again</RouterLink>
        </p>
      </template>
    </template>
  </section>
</template>

<style scoped>
.difference {
  display: grid;
  gap: 14px;
  max-width: 900px;
  padding-top: 16px;
}

.difference > p:first-child {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  font-size: 17px;
}

.pick {
  width: 250px;
}

.silent {
  font-size: 17px;
}

ul {
  display: grid;
  gap: 10px;
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: 200px minmax(0, 1fr);
  align-items: center;
  gap: 16px;
}

.scale {
  position: relative;
  height: 18px;
  border-bottom: 1px solid var(--rule);
}

.scale i {
  position: absolute;
  left: 50%;
  height: 100%;
  border-left: 1px solid var(--ink-soft);
}

.scale b {
  position: absolute;
  top: 5px;
  height: 8px;
  min-width: 3px;
  background: var(--water);
}

.soft .scale b {
  background: var(--ice-deep);
}

.next {
  padding-left: 14px;
  border-left: 4px solid var(--brass);
}
</style>
