<script setup lang="ts">
import { ref, watchEffect } from 'vue';
import { drawLens, LENS_PX } from '#drawing/magnifier.ts';

/** The magnifier: what lies under a corner. */
const props = defineProps<{
  image: HTMLImageElement | null;
  at: readonly [number, number] | null;
  name: string;
}>();
const canvas = ref<HTMLCanvasElement | null>(null);

watchEffect(
  () => {
    const pen = canvas.value?.getContext('2d');
    if (pen && props.image && props.at) drawLens(pen, props.image, props.at);
  },
  { flush: 'post' },
);
</script>

<template>
  <div class="lens abreast centered">
    <canvas ref="canvas" :width="LENS_PX" :height="LENS_PX" aria-hidden="true"></canvas>
    <p class="soft">{{ name }} corner, five times as large</p>
  </div>
</template>

<style scoped>
.lens canvas {
  flex: none;
  border: 1px solid var(--rule);
}
</style>
