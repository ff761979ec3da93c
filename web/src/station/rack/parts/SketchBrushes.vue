<script setup lang="ts">
import ColorDot from '#drawing/ColorDot.vue';
import { useUnits } from '#store/units.ts';
import type { ShelvedBrush } from './useBrushes.ts';

/** The paints as brushes; the one in hand is marked. */
defineProps<{ brushes: readonly ShelvedBrush[]; inHandId: string | undefined }>();
const emit = defineEmits<{ take: [materialId: string] }>();

const units = useUnits();
</script>

<template>
  <div class="brushes" role="group" aria-label="Paint in hand">
    <button
      v-for="each in brushes"
      :key="each.materialId"
      type="button"
      class="plain-button"
      :aria-pressed="inHandId === each.materialId"
      @click="emit('take', each.materialId)"
    >
      <ColorDot :color="each.colorHex" />
      <span>{{ each.name }}</span>
      <span v-if="each.leftMg > 0" class="soft">{{ units.show('mass', each.leftMg) }} in the cup</span>
    </button>
  </div>
</template>

<style scoped>
.brushes {
  display: grid;
  grid-template-columns: 1fr 1fr;
  max-height: 176px;
  overflow: auto;
  border-top: 1px solid var(--rule);
  border-bottom: 1px solid var(--rule);
}

button {
  display: flex;
  flex-wrap: wrap;
  gap: 0 8px;
  align-items: center;
  min-height: 40px;
  padding: 4px 8px;
  font-size: var(--type-note);
}

button[aria-pressed='true'] {
  font-weight: var(--weight-strong);
  background: var(--ice);
  box-shadow: inset 4px 0 0 var(--water);
}
</style>
