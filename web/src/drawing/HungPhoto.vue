<script setup lang="ts">
import type { PieceSummary } from '@icy-ribbon/contract';
import type { Corners } from '@icy-ribbon/core/picture';
import { computed } from 'vue';
import { straightenTransform } from './photoOverlay.ts';

/** A piece as it hangs: the support alone, straight from the front, without the table around it. */
const props = defineProps<{
  photo: NonNullable<PieceSummary['photo']>;
  support: { readonly widthMm: number; readonly heightMm: number; readonly shape: string };
  /** Width of the support in pixels of the screen. */
  width: number;
  alt: string;
  /** Shown so large that the small picture would blur: the photo itself. */
  large?: boolean;
}>();

/** Longer side of the small picture that the server keeps, px. */
const SMALL_PX = 480;

const height = computed(() => (props.width * props.support.heightMm) / props.support.widthMm);

const laid = computed(() => {
  const { corners, widthPx, heightPx } = props.photo;
  if (!corners) return undefined;
  const scale = props.large ? 1 : SMALL_PX / Math.max(widthPx, heightPx);
  const small = corners.map(([x, y]) => [x * scale, y * scale] as const) as unknown as Corners;
  return {
    width: `${widthPx * scale}px`,
    height: `${heightPx * scale}px`,
    transform: straightenTransform(small, props.width, height.value),
  };
});
</script>

<template>
  <span
    class="hung"
    :class="{ round: support.shape === 'round' }"
    :style="{ width: `${width}px`, height: `${height}px` }"
  >
    <img
      :class="{ whole: !laid }"
      :src="`/api/photos/${photo.id}/${large ? 'image' : 'thumbnail'}`"
      :alt="alt"
      loading="lazy"
      draggable="false"
      :style="laid"
    />
  </span>
</template>

<style scoped>
.hung {
  position: relative;
  display: block;
  flex: none;
  overflow: hidden;
  background: var(--ice);
}

.round {
  border-radius: 50%;
}

img {
  position: absolute;
  top: 0;
  left: 0;
  max-width: none;
  transform-origin: 0 0;
}

.whole {
  width: 100%;
  height: 100%;
  object-fit: cover;
}
</style>
