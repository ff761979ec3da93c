<script setup lang="ts">
import { useTemplateRef, watchEffect } from 'vue';

/** Something flat, straight from above as it was read off a picture; what is drawn over it is in its millimeters. */
const props = defineProps<{
  picture: ImageData;
  widthMm: number;
  heightMm: number;
  label: string;
  /** What was found at each place, laid over it. */
  marks?: ImageData | null;
}>();
const canvas = useTemplateRef<HTMLCanvasElement>('canvas');
const over = useTemplateRef<HTMLCanvasElement>('over');

watchEffect(
  () => {
    if (canvas.value) put(canvas.value, props.picture);
    if (over.value && props.marks) put(over.value, props.marks);
  },
  { flush: 'post' },
);

function put(canvas: HTMLCanvasElement, picture: ImageData): void {
  canvas.width = picture.width;
  canvas.height = picture.height;
  canvas.getContext('2d')?.putImageData(picture, 0, 0);
}
</script>

<template>
  <div class="above" :style="{ maxWidth: `${(62 * widthMm) / heightMm}vh` }">
    <canvas ref="canvas" role="img" :aria-label="label"></canvas>
    <canvas v-if="marks" ref="over" class="over" aria-hidden="true"></canvas>
    <svg :viewBox="`0 0 ${widthMm} ${heightMm}`" aria-hidden="true"><slot></slot></svg>
  </div>
</template>

<style scoped>
/* No higher than its picture, or what is drawn over it slips. */
.above {
  position: relative;
  align-self: start;
}

canvas {
  display: block;
  width: 100%;
}

.over,
svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}
</style>
