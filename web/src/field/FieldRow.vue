<script setup lang="ts">
defineProps<{ label: string; for: string; error?: string | undefined; hint?: string | undefined }>();
</script>

<template>
  <div class="field stacked gap-4" :class="{ wrong: error }">
    <label :for="$props.for">{{ label }}</label>
    <slot />
    <p v-if="error" :id="`${$props.for}-error`" class="message" role="alert">{{ error }}</p>
    <p v-else-if="hint" class="soft hint">{{ hint }}</p>
  </div>
</template>

<style scoped>
.field {
  align-content: start;
  min-width: 0;
}

label {
  font-size: var(--type-note);
  color: var(--ink-soft);
}

.message {
  font-size: var(--type-note);
  color: var(--alarm);
}

.hint {
  font-size: var(--type-note);
}

.wrong :deep(.ant-input),
.wrong :deep(.ant-input-affix-wrapper),
.wrong :deep(.ant-select-selector) {
  border-color: var(--alarm) !important;
}
</style>
