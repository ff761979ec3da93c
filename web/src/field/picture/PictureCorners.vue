<script setup lang="ts">
import { Button } from 'ant-design-vue';
import CornerFrame from '#drawing/CornerFrame.vue';
import type { FrameCorners } from '#drawing/corners.ts';

/** The corners of what a picture shows, to be pulled before it is read. */
defineProps<{
  /** What it is: "card". */
  what: string;
  src: string;
  size: { readonly widthPx: number; readonly heightPx: number };
  isUnsure: boolean;
  busy: boolean;
}>();
const corners = defineModel<FrameCorners | null>('corners', { required: true });
const emit = defineEmits<{ read: [] }>();
</script>

<template>
  <div class="corners stacked">
    <p v-if="isUnsure" role="alert">
      The {{ what }} could not be told from what it lies on. Pull the four corners onto it.
    </p>
    <p v-else class="soft">Pull the corners, or move them with the arrow keys (Shift: ten pixels).</p>
    <CornerFrame
      v-model:corners="corners"
      class="frame"
      :src="src"
      :alt="`The ${what} as it was taken`"
      :width-px="size.widthPx"
      :height-px="size.heightPx"
    />
    <Button type="primary" :loading="busy" @click="emit('read')">Read it</Button>
  </div>
</template>

<style scoped>
.frame {
  height: min(46vh, 420px);
  margin: 0;
}
</style>
