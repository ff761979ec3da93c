<script setup lang="ts">
import type { Place } from '@icy-ribbon/core/piece/plan';
import { Group } from 'vue-konva';
import type { KonvaDrag } from './konvaDrag.ts';

/** Something on the support that can be chosen and dragged; what it looks like is its slot. */
defineProps<{ /** It stays where it is while something is put down. */ fixed: boolean }>();
const emit = defineEmits<{
  choose: [how: { /** Shift is held. */ withOthers: boolean }];
  /** How far it was dragged, in millimeters. */
  drop: [by: Place];
}>();

function pressed(event: KonvaDrag): void {
  event.cancelBubble = true;
  emit('choose', { withOthers: event.evt.shiftKey ?? false });
}

/** It goes back to where it was; the plan moves it. */
function dropped(event: KonvaDrag): void {
  if (event.target.name() !== 'item') return;
  const by = event.target.position();
  event.target.position({ x: 0, y: 0 });
  emit('drop', by);
}
</script>

<template>
  <Group
    :config="{ name: 'item', draggable: !fixed }"
    @mousedown="pressed"
    @touchstart="pressed"
    @click="$event.cancelBubble = !fixed"
    @tap="$event.cancelBubble = !fixed"
    @dragend="dropped"
  >
    <slot />
  </Group>
</template>
