<script setup lang="ts">
import { isPaint } from '@icy-ribbon/core/paint/material';
import { Button } from 'ant-design-vue';
import { computed } from 'vue';
import { useShelf } from '#store/shelf.ts';
import { emptyStart, useStartDraft } from './startDraft.ts';

/** An empty studio leads: paints, a support, and a first small pour to learn from. */
const shelf = useShelf();
const draft = useStartDraft();

const paints = computed(() => shelf.materials.filter(({ kind }) => isPaint(kind)).length);
const smallest = computed(
  () => [...shelf.supports].sort((a, b) => a.widthMm * a.heightMm - b.widthMm * b.heightMm)[0],
);

const TEST_COLORS = 2;
function setUpTest(): void {
  draft.value = {
    ...emptyStart(),
    name: 'First test pour',
    colors: TEST_COLORS,
    supportId: smallest.value?.id ?? '',
  };
  document.getElementById('piece-name')?.focus();
}
</script>

<template>
  <section aria-labelledby="first-steps">
    <h2 id="first-steps">Begin here</h2>
    <ol>
      <li>
        <strong>Your paints.</strong> {{ paints }} usual ones are on the shelf, by their kinds: name them as
        yours are, or read in a table.
        <RouterLink to="/shelf">Look over the shelf</RouterLink>
      </li>
      <li>
        <strong>A support.</strong> {{ shelf.supports.length }} sizes are there; another is typed where you
        start a piece.
      </li>
      <li>
        <strong>A small test pour.</strong> Two colors on the smallest support show more than any number here.
        <Button size="small" @click="setUpTest">Set it up</Button>
      </li>
    </ol>
  </section>
</template>

<style scoped>
ol {
  display: grid;
  gap: 12px;
  max-width: 620px;
  margin: 12px 0 0;
  padding-left: 24px;
  list-style: decimal;
  font-size: var(--type-lead);
  line-height: 1.5;
}
</style>
