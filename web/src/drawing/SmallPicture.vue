<script setup lang="ts">
import { onMounted, ref, watch } from 'vue';

/** A picture of a run, or how far the run has come. */
const props = defineProps<{ picture: ImageData | null; share: number; label: string }>();
const canvas = ref<HTMLCanvasElement | null>(null);

function draw(): void {
  if (!canvas.value || !props.picture) return;
  canvas.value.width = props.picture.width;
  canvas.value.height = props.picture.height;
  canvas.value.getContext('2d')?.putImageData(props.picture, 0, 0);
}
onMounted(draw);
watch(() => props.picture, draw, { flush: 'post' });
</script>

<template>
  <canvas v-if="picture" ref="canvas" role="img" :aria-label="label"></canvas>
  <span v-else class="waits" role="progressbar" :aria-valuenow="Math.round(100 * share)" :aria-label="label">
    <span :style="{ height: `${100 * share}%` }"></span>
  </span>
</template>

<style scoped>
canvas,
.waits {
  width: 100%;
  max-width: 300px;
}

.waits {
  display: flex;
  align-items: end;
  aspect-ratio: 1;
  background: var(--ice);
}

.waits > span {
  width: 100%;
  background: var(--ice-deep);
}
</style>
