<script setup lang="ts" generic="Tool extends string">
/** Tools in a column, each drawn as what it does by the slot; the one in hand is marked. */
defineProps<{
  tools: readonly (readonly [tool: Tool, label: string])[];
  inHand: Tool | null;
  label: string;
}>();
const emit = defineEmits<{ take: [tool: Tool] }>();
defineSlots<{ default(props: { tool: Tool }): unknown }>();
</script>

<template>
  <div class="tools" role="group" :aria-label="label">
    <button
      v-for="[tool, name] in tools"
      :key="tool"
      type="button"
      class="plain-button tool"
      :aria-label="name"
      :title="name"
      :aria-pressed="inHand === tool"
      @click="emit('take', tool)"
    >
      <svg width="32" height="32" viewBox="0 0 32 32" aria-hidden="true">
        <slot :tool="tool" />
      </svg>
    </button>
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  flex-direction: column;
}

.tool {
  display: grid;
  place-items: center;
  width: 48px;
  height: 48px;
}

.tool:hover {
  background: var(--ice);
}

.tool[aria-pressed='true'] {
  background: var(--ice);
  box-shadow: inset 4px 0 0 var(--water);
}

svg :deep(path) {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.5;
}

svg :deep(path.solid) {
  fill: var(--ink);
}

svg :deep(path.broad) {
  stroke-width: 4;
  stroke-linecap: round;
}

svg :deep(path.wide) {
  stroke: var(--edge);
  stroke-width: 8;
}
</style>
