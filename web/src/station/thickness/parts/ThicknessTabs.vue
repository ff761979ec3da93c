<script setup lang="ts">
import { computed } from 'vue';
import { usePiece } from '#store/piece/piece.ts';

/** The ways through the station: the whole set, one cup, a race, and what is calibrated. */
const props = defineProps<{ pieceId: string; here: 'set' | 'cup' | 'race' }>();

const store = usePiece();
const links = computed(() => [
  { key: 'set', label: 'The set', to: { name: 'thickness', params: { pieceId: props.pieceId } } },
  {
    key: 'cup',
    label: 'One cup',
    to: {
      name: 'cup-thickness',
      params: { pieceId: props.pieceId, cupId: store.paints[0]?.mix.id ?? 'none' },
    },
  },
  { key: 'race', label: 'Tilt race', to: { name: 'race', params: { pieceId: props.pieceId } } },
  { key: 'calibrate', label: 'Calibrate', to: { name: 'calibrate' } },
]);
</script>

<template>
  <nav class="views" aria-label="Thickness">
    <RouterLink
      v-for="link in links"
      :key="link.key"
      :to="link.to"
      :aria-current="link.key === here ? 'page' : undefined"
    >
      {{ link.label }}
    </RouterLink>
  </nav>
</template>

<style scoped>
nav {
  margin-left: auto;
}
</style>
