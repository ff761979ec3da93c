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
import { TECHNIQUE_PLURALS } from '#words/general.ts';
import BareSelect from '#field/BareSelect.vue';
import ComputedFrom from '#field/ComputedFrom.vue';
import { usePieces } from '#store/pieces.ts';
import { useUnits } from '#store/units.ts';
import { quantityWords } from '#words/quantity.ts';
import { influenceWords, silenceWords, testWords } from '#words/difference.ts';
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

const lines = computed(() =>
  answer.value.kind === 'found'
    ? answer.value.influences.map((each) => ({
        key: each.cause.key,
        words: influenceWords(each, effect.value, units.chosen),
        bar: barOf(each),
      }))
    : [],
);

/** From the best rated pour, the newest of them. */
const test = computed(() => {
  const best = [...own.value].sort((a, b) => (b.numbers.rating ?? 0) - (a.numbers.rating ?? 0))[0];
  const found =
    best &&
    nextTest(
      own.value.map(({ numbers }) => numbers),
      effect.value,
      answer.value,
      best.numbers,
    );
  if (!best || !found) return null;
  const same = best.tool ? `, same ${airTool(best.tool).label.toLowerCase()}` : '';
  return {
    pieceId: best.pieceId,
    words: `Same as “${best.name}”${found.cause.key === 'distanceMm' ? '' : same}, ${testWords(found, units.chosen)}`,
  };
});

/** How far the effect itself varied over the pours: both ends of the scale. */
const most = computed(() => {
  const values = own.value.flatMap(({ numbers }) => numbers[effect.value.key] ?? []);
  return Math.max(...values) - Math.min(...values) || 1;
});
const axis = computed(() => {
  const end = quantityWords(effect.value, most.value, units.chosen);
  return [`−${end}`, 'no change', `+${end}`];
});

/** The range of a change along a scale whose middle is none. */
function barOf({ low, high }: Influence) {
  const at = (value: number) => 50 + 50 * Math.max(-1, Math.min(1, value / most.value));
  return { left: `${at(low)}%`, width: `${at(high) - at(low)}%` };
}
</script>

<template>
  <section class="difference stacked gap-12" aria-label="What made the difference">
    <p>
      What went with
      <BareSelect v-model:value="effectKey" class="pick" :options="effectOptions" label="Effect" />
      over your {{ TECHNIQUE_PLURALS[technique] }}
      <span class="soft">(choose the technique above)</span>
    </p>
    <template v-if="loaded">
      <p v-if="answer.kind === 'silent'" role="status" class="silent">
        Nothing can be said. {{ silenceWords(answer.why, answer.n) }}
        <template v-if="answer.n < LEAST_POURS">There are {{ answer.n }} now.</template>
      </p>
      <template v-else>
        <div class="axis" aria-hidden="true">
          <span v-for="word in axis" :key="word">{{ word }}</span>
        </div>
        <ul role="status">
          <li v-for="each in lines" :key="each.key">
            <span class="scale" aria-hidden="true"><i></i><b :style="each.bar"></b></span>
            {{ each.words }}
          </li>
        </ul>
        <p class="soft">
          {{ answer.n }} pours, {{ answer.looked }} causes looked at. What changed over time anyway is taken
          out first, and what else made a difference is held still. All these ranges are right together in 9
          of 10 studios; with no cause at work, one is named in 1 of 10. They went together, which isn’t
          proof.
          <ComputedFrom calculation="difference" />
        </p>
      </template>
      <p v-if="test" class="next">
        <strong>The most telling next test.</strong> {{ test.words }}
        <RouterLink :to="`/results/${test.pieceId}`">Open it and pour it again</RouterLink>
      </p>
    </template>
  </section>
</template>

<style scoped>
.difference {
  max-width: 1040px;
  padding-top: 16px;
}

.difference > p:first-child {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  font-size: var(--type-lead);
}

.pick {
  width: 250px;
}

.silent {
  font-size: var(--type-lead);
}

ul {
  display: grid;
  gap: 8px;
}

li {
  display: grid;
  grid-template-columns: 320px minmax(0, 1fr);
  align-items: center;
  gap: 16px;
}

.axis {
  display: flex;
  justify-content: space-between;
  width: 320px;
  margin-bottom: -8px;
  font-size: var(--type-note);
  color: var(--ink-soft);
}

.axis span {
  flex: 1;
}

.axis span:nth-child(2) {
  text-align: center;
}

.axis span:last-child {
  text-align: right;
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

.next {
  padding-left: 12px;
  border-left: 4px solid var(--brass);
}
</style>
