<script setup lang="ts">
import type { PieceSummary } from '@icy-ribbon/contract';
import HungPhoto from '#drawing/HungPhoto.vue';
import { degreeWord } from '#words/general.ts';

defineProps<{ pieces: readonly PieceSummary[] }>();

/** All hang as high; a wide piece is wider. */
const HIGH_PX = 200;
const widthOf = ({ support }: PieceSummary) => Math.min(1.5, support.widthMm / support.heightMm) * HIGH_PX;
</script>

<template>
  <section aria-labelledby="last-results">
    <h2 id="last-results">Last results</h2>
    <ul>
      <li v-for="piece in pieces" :key="piece.id">
        <RouterLink :to="`/results/${piece.id}`">
          <HungPhoto
            v-if="piece.photo"
            :photo="piece.photo"
            :support="piece.support"
            :width="widthOf(piece)"
            :alt="`Photo of ${piece.name}`"
          />
          <span class="name">{{ piece.name }}</span>
        </RouterLink>
        <p class="soft">
          cells {{ degreeWord(piece.judgement?.cells) }}, mud {{ degreeWord(piece.judgement?.mud) }}
        </p>
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: 16px 24px;
  height: 248px;
  overflow: hidden;
  margin: 8px 0 0;
}

a {
  color: var(--ink);
  text-decoration: none;
}

.name {
  display: block;
  margin-top: 4px;
  font-weight: var(--weight-strong);
}

p {
  font-size: var(--type-note);
}
</style>
