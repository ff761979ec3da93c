<script setup lang="ts">
import { useShortcuts } from '#shortcut/shortcuts.ts';
import { FREE_EVENTS, type FreeEvent } from '#words/event.ts';

/** Everything that may happen between the steps, each by one key or one touch. */
defineProps<{ active: FreeEvent | null }>();
const emit = defineEmits<{ pick: [kind: FreeEvent] }>();

useShortcuts(
  'Free events',
  FREE_EVENTS.map(({ kind, key, label }) => ({
    keys: [key],
    shown: key.toUpperCase(),
    does: label,
    run: () => emit('pick', kind),
  })),
);
</script>

<template>
  <ul class="strip" aria-label="Log something else">
    <li v-for="event in FREE_EVENTS" :key="event.kind">
      <button class="plain-button" :aria-pressed="active === event.kind" @click="emit('pick', event.kind)">
        <kbd>{{ event.key.toUpperCase() }}</kbd> {{ event.label }}
      </button>
    </li>
  </ul>
</template>

<style scoped>
.strip {
  display: flex;
  flex-wrap: wrap;
  gap: 0 2px;
}

button {
  min-height: 48px;
  padding: 0 6px;
  font-size: var(--type-text);
  white-space: nowrap;
}

button[aria-pressed='true'] {
  box-shadow: inset 0 -4px 0 var(--ink);
}

kbd {
  display: inline-block;
  min-width: 20px;
  margin-right: 2px;
  padding: 1px 4px;
  border: 1px solid var(--ice-deep);
  font: inherit;
  font-size: var(--type-note);
  text-align: center;
  color: var(--ink-soft);
}
</style>
