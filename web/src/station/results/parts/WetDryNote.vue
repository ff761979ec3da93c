<script setup lang="ts">
import type { WetDry } from '@icy-ribbon/core/picture';
import { Button } from 'ant-design-vue';
import { computed } from 'vue';
import { useMeasures } from '#words/useMeasures.ts';

/** What drying did, in words and one row a color. */
const props = defineProps<{ found: WetDry }>();
const emit = defineEmits<{ close: [] }>();

const measures = useMeasures();
const size = (mm: number) => measures.value.depth(mm, 2);
const drift = computed(() => {
  const { driftMm, driftErrorMm, matched } = props.found;
  if (matched < 8) return 'Too few cells were found in both photos to tell whether they changed.';
  const sure = Math.abs(driftMm) > 2 * driftErrorMm && Math.abs(driftMm) >= 0.01;
  const way = driftMm > 0 ? 'wider' : 'narrower';
  return sure
    ? `Cells dried ${size(Math.abs(driftMm))} ${way} (± ${size(2 * driftErrorMm)}, ${matched} compared one by one).`
    : `No change in cell size is seen: ${size(driftMm)} ± ${size(2 * driftErrorMm)}, ${matched} compared one by one.`;
});
</script>

<template>
  <div class="note" role="status">
    <p>
      {{ drift }} {{ found.opened }} opened, {{ found.closed }} closed. They moved {{ size(found.movedMm) }}.
      Colors are held against
      {{ found.against === 'card' ? 'the gray card' : 'the base, as not both photos show a gray card' }}.
    </p>
    <ul>
      <li v-for="shift in found.shifts" :key="shift.name">
        <span class="pair" :style="{ background: shift.wetHex }"></span
        ><span class="pair" :style="{ background: shift.dryHex }"></span> {{ shift.name }}:
        {{ shift.isSeen ? `changed by ${shift.dE.toFixed(1)}` : 'no change seen' }}
      </li>
    </ul>
    <Button size="small" @click="emit('close')">Close</Button>
  </div>
</template>

<style scoped>
.note {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
  padding: 8px 24px;
  border-top: 1px solid var(--rule);
  font-size: var(--type-text);
}

ul {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
}

.pair {
  display: inline-block;
  width: 14px;
  height: 14px;
  vertical-align: -2px;
}

.pair + .pair {
  margin-right: 4px;
}
</style>
