<script setup lang="ts">
import { computed } from 'vue';
import { useMeasures } from '#words/useMeasures.ts';
import NumberField from '#field/NumberField.vue';

/** Where the bubble of a round level stands: it goes to the higher side. Rings are millimeters on a meter. */
const level = defineModel<{ acrossMmPerM: number | null; downMmPerM: number | null }>({ required: true });
const emit = defineEmits<{ set: [] }>();

const measures = useMeasures();

const SIZE = 168;
const MIDDLE = SIZE / 2;
const RINGS = 6;
const STEP = 13;

const bubble = computed(() => ({
  x: MIDDLE - clamped(level.value.acrossMmPerM ?? 0) * STEP,
  y: MIDDLE - clamped(level.value.downMmPerM ?? 0) * STEP,
}));
function clamped(mm: number): number {
  return Math.max(-RINGS, Math.min(RINGS, mm));
}

const half = (value: number) => Math.round(2 * value) / 2;
function place(event: PointerEvent): void {
  const box = (event.currentTarget as SVGElement).getBoundingClientRect();
  level.value = {
    acrossMmPerM: -half(clamped((event.clientX - box.left - MIDDLE) / STEP)),
    downMmPerM: -half(clamped((event.clientY - box.top - MIDDLE) / STEP)),
  };
  emit('set');
}
</script>

<template>
  <div class="level stacked gap-24">
    <svg
      :width="SIZE"
      :height="SIZE"
      role="img"
      aria-label="Bubble level: press where the bubble stands"
      @pointerdown="place"
    >
      <circle :cx="MIDDLE" :cy="MIDDLE" :r="RINGS * STEP + 4" class="glass" />
      <circle
        v-for="ring in RINGS"
        :key="ring"
        :cx="MIDDLE"
        :cy="MIDDLE"
        :r="ring * STEP"
        :class="{ first: ring === 1 }"
      />
      <circle :cx="bubble.x" :cy="bubble.y" :r="STEP - 2" class="bubble" />
    </svg>
    <form @submit.prevent="emit('set')">
      <p class="soft">Press where the bubble stands; a ring is {{ measures.slope(1) }}. Or enter it:</p>
      <NumberField
        :model-value="level.acrossMmPerM"
        label="Right end lies lower by"
        :unit="measures.slopeUnit"
        :digits="1"
        @update:model-value="level = { ...level, acrossMmPerM: $event }"
        @commit="emit('set')"
      />
      <NumberField
        :model-value="level.downMmPerM"
        label="Lower edge lies lower by"
        :unit="measures.slopeUnit"
        :digits="1"
        @update:model-value="level = { ...level, downMmPerM: $event }"
        @commit="emit('set')"
      />
    </form>
  </div>
</template>

<style scoped>
.level {
  grid-template-columns: auto minmax(0, 1fr);
  align-items: start;
}

form {
  display: grid;
  gap: 8px;
}

svg {
  cursor: crosshair;
  touch-action: none;
}

circle {
  fill: none;
  stroke: var(--rule);
}

.first {
  stroke: var(--ink-soft);
}

.glass {
  fill: var(--ice);
  stroke: var(--edge);
}

.bubble {
  fill: var(--bench);
  stroke: var(--ink);
  stroke-width: 2;
}
</style>
