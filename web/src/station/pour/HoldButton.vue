<script setup lang="ts">
import { Button } from 'ant-design-vue';
import { useHoldTimer } from './holdTimer.ts';

/** Measures seconds by being held, with the pointer or the space bar. */
defineProps<{ running: string }>();
const emit = defineEmits<{ measured: [seconds: number] }>();
const hold = useHoldTimer((seconds) => emit('measured', seconds));
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
    {{ hold.running.value ? running : 'Hold' }}
  </Button>
</template>
