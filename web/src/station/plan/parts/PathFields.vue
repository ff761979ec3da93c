<script setup lang="ts">
import {
  bentThrough,
  curveMiddle,
  PATH_KINDS,
  type FloodMoment,
  type PathKind,
  type Place,
  type PlanLayer,
  type PlanPath,
} from '@icy-ribbon/core/piece/plan';
import { computed } from 'vue';
import { PATH_LABELS } from '#drawing/plan.ts';
import BareSelect from '#field/BareSelect.vue';
import QuantityField from '#field/QuantityField.vue';
import LayerList from './LayerList.vue';
import { FARTHEST_MM, typedWithin } from './typed.ts';

/** A ribbon, crescent, line, puddle or flood in numbers: its colors and how it runs. */
const props = defineProps<{ item: PlanPath }>();
const emit = defineEmits<{ change: [changes: Partial<PlanPath>]; another: [] }>();

const kindOptions = PATH_KINDS.map((kind) => ({ value: kind, label: PATH_LABELS[kind] }));
const MOMENT_OPTIONS: { value: FloodMoment; label: string }[] = [
  { value: 'before', label: 'before the colors' },
  { value: 'around', label: 'around the colors' },
  { value: 'over', label: 'over the colors, before the air' },
];
const setLayers = (layers: readonly PlanLayer[]) => emit('change', { layers });

/** A path by its start, the middle it bends through, and its end. */
const ends = computed(
  () =>
    [
      ['start', 'From', props.item.start],
      ['middle', 'Through', curveMiddle(props.item)],
      ['end', 'To', props.item.end],
    ] as const,
);

function setEnd(which: 'start' | 'middle' | 'end', axis: 'x' | 'y', mm: number | null): void {
  const now = which === 'middle' ? curveMiddle(props.item) : props.item[which];
  const value = typedWithin(mm, now[axis], FARTHEST_MM);
  if (value === null) return;
  const moved: Place = { ...now, [axis]: value };
  emit('change', which === 'middle' ? { control: bentThrough(props.item, moved) } : { [which]: moved });
}
</script>

<template>
  <div class="fields stacked">
    <BareSelect
      label="What it is"
      :value="item.kind"
      :options="kindOptions"
      @update:value="emit('change', { kind: $event as PathKind })"
    />
    <BareSelect
      v-if="item.kind === 'flood'"
      label="When it is flooded"
      :value="item.moment ?? 'before'"
      :options="MOMENT_OPTIONS"
      @update:value="emit('change', { moment: $event as FloodMoment })"
    />
    <LayerList :item="item" :stacked="false" @change="setLayers" @another="emit('another')" />
    <div v-for="[which, label, place] in ends" :key="which" class="row stacked">
      <span class="label">{{ label }}</span>
      <QuantityField
        bare
        :label="`${label}, from the left`"
        quantity="length"
        :model-value="place.x"
        @commit="setEnd(which, 'x', $event)"
      />
      <QuantityField
        bare
        :label="`${label}, from the top`"
        quantity="length"
        :model-value="place.y"
        @commit="setEnd(which, 'y', $event)"
      />
    </div>
  </div>
</template>

<style scoped>
.row {
  grid-template-columns: 64px minmax(0, 1fr) minmax(0, 1fr);
  align-items: center;
}
</style>
