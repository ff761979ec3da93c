<script setup lang="ts">
import type { PieceSummary } from '@icy-ribbon/contract';
import { degreeWord } from '../../../words/general.ts';

defineProps<{ pieces: readonly PieceSummary[] }>();
</script>

<template>
  <section aria-labelledby="last-results">
    <h2 id="last-results">Last results</h2>
    <ul>
      <li v-for="piece in pieces" :key="piece.id">
        <RouterLink :to="`/results/${piece.id}`">
          <img
            :src="`/api/photos/${piece.photoId}/thumbnail`"
            :alt="`Photo of ${piece.name}`"
            loading="lazy"
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
  display: grid;
  grid-template-columns: repeat(6, minmax(0, 1fr));
  gap: 16px;
  margin: 8px 0 0;
  padding: 0;
  list-style: none;
}

img {
  display: block;
  width: 100%;
  aspect-ratio: 1;
  object-fit: cover;
}

a {
  color: var(--ink);
  text-decoration: none;
}

.name {
  display: block;
  margin-top: 6px;
  font-weight: 500;
}

p {
  font-size: 13px;
}

@media (width < 1100px) {
  ul {
    grid-template-columns: repeat(3, minmax(0, 1fr));
  }
}
</style>
