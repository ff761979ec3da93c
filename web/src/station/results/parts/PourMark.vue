<script setup lang="ts">
import { computed } from 'vue';
import { useAppearance } from '#store/appearance.ts';
import { MARKS } from './marks.ts';

/** The sign of one of the pours that are compared. */
const props = defineProps<{ index: number }>();
const appearance = useAppearance();
const color = computed(() => appearance.palette[MARKS[props.index]?.color ?? 'ink']);
</script>

<template>
  <span class="mark" :class="MARKS[index]?.shape" :style="{ background: color }"></span>
</template>

<style scoped>
.mark {
  display: inline-block;
  width: 12px;
  height: 12px;
  flex: none;
}

.circle {
  border-radius: 50%;
}

.diamond {
  transform: rotate(45deg) scale(0.85);
}

.triangle {
  clip-path: polygon(50% 0, 100% 100%, 0 100%);
}
</style>
