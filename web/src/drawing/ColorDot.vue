<script setup lang="ts">
/** A color as a dot. */
withDefaults(
  defineProps<{
    color: string;
    sizePx?: number;
    /** It stands in a line of text, before a name. */
    inline?: boolean;
  }>(),
  { sizePx: 14 },
);
</script>

<template>
  <span
    class="dot"
    :class="{ inline }"
    :style="{
      width: `${sizePx}px`,
      height: `${sizePx}px`,
      background: color,
    }"
    aria-hidden="true"
  ></span>
</template>

<style scoped>
.dot {
  display: inline-block;
  flex: none;
  border: var(--paint-edge) solid var(--ink-soft);
  border-radius: 50%;
  vertical-align: -2px;
}

.inline {
  margin-right: 6px;
}
</style>
