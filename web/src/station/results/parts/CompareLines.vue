<script setup lang="ts">
import type { Piece } from '@icy-ribbon/contract';
import { alongScale, differing, type DifferingLine } from '@icy-ribbon/core/judgement/compare';
import { pourRecordOf } from '@icy-ribbon/core/judgement/outcome';
import { computed } from 'vue';
import { useUnits } from '#store/units.ts';
import { quantityWords } from '#words/quantity.ts';
import { nearnessOf } from './nearness.ts';
import PourMark from './PourMark.vue';

/** Only what differs between some pours, in the order of the work. */
const props = defineProps<{ pieces: readonly Piece[] }>();
const units = useUnits();

const GROUPS: { key: DifferingLine['group']; label: string }[] = [
  { key: 'mixes', label: 'Mixes and thickness' },
  { key: 'amounts', label: 'Amounts' },
  { key: 'order', label: 'Order' },
  { key: 'air', label: 'Air and waiting' },
  { key: 'outcome', label: 'Outcome' },
];
const lines = computed(() =>
  props.pieces.length > 1 ? differing(props.pieces.map((piece) => pourRecordOf(piece))) : [],
);
const groups = computed(() =>
  GROUPS.map((group) => ({
    ...group,
    lines: lines.value
      .filter((line) => line.group === group.key)
      .map((line) => ({ ...line, nearness: nearnessOf(line) })),
  })).filter((group) => group.lines.length > 0),
);
</script>

<template>
  <p v-if="groups.length > 0" class="soft">
    Every scale is always the same for its quantity; the band is what counts as the same as the first pour.
  </p>
  <section v-for="group in groups" :key="group.key" :aria-label="group.label">
    <h2>{{ group.label }}</h2>
    <div v-for="line in group.lines" :key="line.label" class="line stacked gap-16">
      <span class="label">{{ line.label }}</span>
      <template v-if="line.values && line.quantity">
        <span class="track" aria-hidden="true">
          <i v-if="line.nearness" class="same" :style="line.nearness.band"></i>
          <template v-for="(value, index) in line.values" :key="index">
            <PourMark
              v-if="value !== null"
              class="on"
              :index="index"
              :style="{ left: `${100 * alongScale(line.quantity, value)}%` }"
            />
          </template>
        </span>
        <span class="values">
          <span v-for="(value, index) in line.values" :key="index">
            <PourMark :index="index" />
            {{ value === null ? 'not recorded' : quantityWords(line.quantity, value, units.chosen) }}
          </span>
          <span v-if="line.nearness?.areAllSame" class="soft">as good as the same</span>
        </span>
      </template>
      <span v-else class="words">
        <span v-for="(said, index) in line.words" :key="index"> <PourMark :index="index" /> {{ said }} </span>
      </span>
    </div>
  </section>
</template>

<style scoped>
h2 {
  margin: 12px 0 2px;
  font-size: var(--type-text);
}

.line {
  grid-template-columns: 220px minmax(120px, 1fr) minmax(0, 1fr);
  align-items: center;
  min-height: 32px;
  border-top: 1px solid var(--rule);
  font-size: var(--type-text);
}

.words {
  display: grid;
  grid-column: 2 / -1;
  gap: 2px;
  padding: 4px 0;
}

.track {
  position: relative;
  height: 2px;
  margin: 0 8px;
  background: var(--ice-deep);
}

.same {
  position: absolute;
  top: -6px;
  height: 14px;
  min-width: 4px;
  background: var(--ice);
}

.values {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  font-variant-numeric: tabular-nums;
}

.on {
  position: absolute;
  top: -5px;
  margin-left: -6px;
}
</style>
