<script setup lang="ts">
import { isShort } from '@icy-ribbon/core/piece/check';
import { Button } from 'ant-design-vue';
import { computed } from 'vue';
import ColorDot from '#drawing/ColorDot.vue';
import ComputedFrom from '#field/ComputedFrom.vue';
import { usePiece } from '#store/piece/piece.ts';
import { useMoney } from '#store/money.ts';
import { usePourNumbers } from '#store/pourNumbers.ts';
import { usePlan } from '#store/plan/plan.ts';
import { useUnits } from '#store/units.ts';
import { centsWords, planCost } from './cost.ts';
import { percent } from '#words/percent.ts';

/** What the plan takes, against the cups in hand. */
const emit = defineEmits<{ mix: [cupId: string | null] }>();

const plan = usePlan();
const money = useMoney();
const store = usePiece();
const numbers = usePourNumbers();
const units = useUnits();

const all = computed(() =>
  (plan.reckoning.amounts?.paints ?? []).map((amount) => {
    const paint = plan.paint(amount.cupId)!;
    const cup = store.cups.find(({ mix }) => mix.id === amount.cupId);
    const leftMg = cup?.state.phase === 'mixed' ? cup.state.leftMg : 0;
    const overMg = leftMg - amount.massG * 1000;
    return {
      ...amount,
      paint,
      wants: units.show('mass', amount.massG * 1000),
      volume: units.show('volume', amount.volumeMl),
      short: isShort(leftMg / 1000, amount.massG),
      after:
        cup === undefined || cup.state.phase !== 'mixed'
          ? 'not mixed yet'
          : isShort(leftMg / 1000, amount.massG)
            ? `${units.show('mass', -overMg)} short`
            : overMg < 0
              ? 'enough'
              : `${units.show('mass', overMg)} left over`,
      parts: [
        `laid ${units.show('mass', amount.laidG * 1000)}`,
        `runs off ${units.show('mass', amount.dripG * 1000)}`,
        `kept back ${units.show('mass', amount.reserveG * 1000)}`,
        `in the cup ${units.show('mass', amount.lossG * 1000)}`,
      ].join(', '),
    };
  }),
);
/** What is short stands first. */
const rows = computed(() => [...all.value].sort((a, b) => Number(b.short) - Number(a.short)));
const missing = computed(() => rows.value.filter((row) => row.short));
const total = computed(() => plan.reckoning.amounts?.total);
/** What the design covers, an estimate; its range on request. */
const cover = computed(
  () => plan.cover && store.piece && numbers.coverage(plan.cover.covered, store.piece.technique),
);
const covers = computed(() => cover.value && `covers about ${percent(cover.value.covered)}`);
const coversRange = computed(() =>
  cover.value
    ? `${percent(cover.value.low)} to ${percent(cover.value.high)} nine times in ten, by a simple forecast${cover.value.n > 0 ? ` and ${cover.value.n} of your own pours` : ''}`
    : undefined,
);
const cost = computed(() => centsWords(planCost(plan.reckoning.amounts, plan.costs), money.show));
</script>

<template>
  <section class="strip abreast centered gap-12" aria-label="Amounts">
    <div class="sum">
      <strong>Amounts</strong> <ComputedFrom calculation="amounts" />
      <p v-if="total" class="numeral">
        {{ units.show('mass', total.massG * 1000) }}, {{ units.show('volume', total.volumeMl) }}
      </p>
      <p v-if="total && total.massG > 0" class="soft small" :title="coversRange">
        {{ [cost, covers].filter(Boolean).join(', ') }}
      </p>
    </div>
    <ul tabindex="0" aria-label="What each paint takes">
      <li v-for="row in rows" :key="row.cupId" :title="row.parts">
        <ColorDot :color="row.paint.colorHex" :size-px="13" />
        <span class="name">{{ row.paint.name }}</span>
        <span class="numeral">{{ row.wants }}</span>
        <span class="small" :class="row.short ? 'alarm' : 'soft'">{{ row.after }}</span>
      </li>
      <li v-if="rows.length === 0" class="soft">Lay something out to see how much paint it takes.</li>
    </ul>
    <Button v-if="missing.length > 0" @click="emit('mix', null)">Mix what is missing</Button>
  </section>
</template>

<style scoped>
.strip {
  padding: 6px 24px;
  border-top: 1px solid var(--rule);
  background: var(--paper);
}

.sum {
  white-space: nowrap;
}

ul {
  display: flex;
  flex: 1;
  flex-wrap: wrap;
  gap: 4px 12px;
  max-height: 96px;
  padding: 2px 0;
  overflow-y: auto;
}

li {
  display: grid;
  grid-template-columns: auto auto;
  gap: 0 6px;
  align-items: center;
  white-space: nowrap;
}

li > .numeral,
li > .small {
  grid-column: 2;
}

@media (width < 1000px) {
  .strip {
    flex-wrap: wrap;
    gap: 8px 16px;
  }

  .sum {
    white-space: normal;
  }
}
</style>
