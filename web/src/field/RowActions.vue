<script setup lang="ts">
import { Button } from 'ant-design-vue';

/** What can be done to a row of the shelf. */
defineProps<{ name: string; takeOff?: string }>();
const emit = defineEmits<{ change: []; remove: [] }>();
</script>

<template>
  <Button type="link" size="small" :aria-label="`Change ${name}`" @click="emit('change')">Change</Button>
  <Button
    type="link"
    size="small"
    :aria-label="takeOff ?? `Take ${name} off the shelf`"
    @click="emit('remove')"
  >
    Take off
  </Button>
</template>
