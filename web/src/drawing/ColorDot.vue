<script setup lang="ts">
/** A color as a dot; a paint that dries to another color shows both halves. */
withDefaults(
  defineProps<{
    color: string;
    dryColor?: string | null;
    sizePx?: number;
    /** It stands in a line of text, before a name. */
    inline?: boolean;
  }>(),
  { dryColor: null, sizePx: 14 },
);
</script>

<template>
  <span
    class="dot"
    :class="{ inline }"
    :style="{
      width: `${sizePx}px`,
      height: `${sizePx}px`,
      background: dryColor ? `linear-gradient(90deg, ${color} 50%, ${dryColor} 50%)` : color,
    }"
    aria-hidden="true"
  ></span>
</template>

<style scoped>
.dot {
  display: inline-block;
  flex: none;
  border: 1px solid var(--ink-soft);
  border-radius: 50%;
  vertical-align: -2px;
}

.inline {
  margin-right: 6px;
}
</style>
