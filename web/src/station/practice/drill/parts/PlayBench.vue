<script setup lang="ts">
/** A play: what is looked at, and beside it what is done; below it where there is little room. */
defineProps<{ label: string; looks: 'figure' | 'board' | 'film' }>();
</script>

<template>
  <section class="play stacked gap-24" :class="looks" :aria-label="label">
    <div class="seen"><slot name="seen"></slot></div>
    <div class="act stacked gap-12"><slot></slot></div>
  </section>
</template>

<style scoped>
.figure {
  grid-template-columns: minmax(0, 420px) minmax(0, 1fr);
}

.board {
  grid-template-columns: minmax(0, 600px) minmax(0, 1fr);
}

.film {
  grid-template-columns: minmax(0, 1fr) 380px;
  gap: 16px;
}

.seen {
  align-self: start;
  min-width: 0;
}

.figure .seen {
  padding: 12px;
  background: var(--ice);
}

.film .seen :deep(.room) {
  height: min(620px, calc(100vh - 190px));
}

.act {
  align-content: start;
  justify-items: start;
  min-width: 0;
}

.act :deep(p) {
  margin: 0;
}

@media (width < 900px) {
  .play {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
