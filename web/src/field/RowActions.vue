<script setup lang="ts">
/** What can be done to a row of the shelf. */
defineProps<{ name: string; takeOff?: string }>();
const emit = defineEmits<{ change: []; remove: [] }>();
</script>

<template>
  <button type="button" class="plain-button act" :aria-label="`Change ${name}`" @click="emit('change')">
    Change
  </button>
  <button
    type="button"
    class="plain-button act"
    :aria-label="takeOff ?? `Take ${name} off the shelf`"
    @click="emit('remove')"
  >
    Take off
  </button>
</template>

<style scoped>
/* As many as there are rows: plain ones, so that a long list stands at once. */
.act {
  min-height: var(--touch-field);
  padding: 0 8px;
  color: var(--water);
}

.act:hover {
  text-decoration: underline;
}
</style>
