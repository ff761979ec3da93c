<script setup lang="ts">
import type { PhotoDetail } from '@icy-ribbon/contract';
import type { Corners } from '@icy-ribbon/core/picture';
import { ref, watch } from 'vue';
import { PHOTO_AREAS } from '#theme/tokens.ts';
import { overlayTransform, maskPicture } from '#drawing/photoOverlay.ts';

/** Areas that were found in a photo, laid over it: the lacing's net, mud, glare. */
const props = defineProps<{
  masks: PhotoDetail['masks'];
  corners: Corners;
  /** Pixels of the screen to one of the photo. */
  scale: number;
  shown: readonly (keyof typeof PHOTO_AREAS)[];
}>();

const holder = ref<HTMLElement | null>(null);

watch(
  [() => props.masks, () => props.corners, () => props.scale, () => props.shown, holder],
  () => {
    holder.value?.replaceChildren(
      ...props.shown.map((name) => {
        const picture = maskPicture(props.masks[name], props.masks, PHOTO_AREAS[name]);
        picture.style.transform = overlayTransform(
          props.corners,
          props.masks.widthPx,
          props.masks.heightPx,
          props.scale,
        );
        return picture;
      }),
    );
  },
  { immediate: true, flush: 'post' },
);
</script>

<template>
  <div ref="holder" class="masks" aria-hidden="true"></div>
</template>

<style scoped>
.masks {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  pointer-events: none;
}

.masks :deep(canvas) {
  position: absolute;
  top: 0;
  left: 0;
  transform-origin: 0 0;
}
</style>
