<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { Button } from 'ant-design-vue';
import { useShortcuts } from '#shortcut/shortcuts.ts';
import { useHoldTimer } from './holdTimer.ts';

/** Measures seconds by being held, with the pointer, or with the key D wherever the hand is. */
defineProps<{ running: string }>();
const emit = defineEmits<{ measured: [seconds: number] }>();
const hold = useHoldTimer((seconds) => emit('measured', seconds));
const KEY = 'd';

useShortcuts('Seconds', [
  { keys: [KEY], shown: 'D, held down', does: 'Seconds, as long as it is held', run: hold.press },
]);
useEventListener(window, 'keyup', (event: KeyboardEvent) => {
  if (event.key.toLowerCase() === KEY) hold.release();
});
// A key that is let go of in another window is never told.
useEventListener(window, 'blur', hold.release);
</script>

<template>
  <Button
    :type="hold.running.value ? 'primary' : 'default'"
    @pointerdown="hold.press"
    @pointerup="hold.release"
    @pointercancel="hold.release"
    @keydown.space.prevent.stop="hold.press"
    @keyup.space.prevent.stop="hold.release"
  >
    {{ hold.running.value ? running : 'Hold (D)' }}
  </Button>
</template>
