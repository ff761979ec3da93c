<script setup lang="ts">
import type { PieceSummary } from '@icy-ribbon/contract';
import { Checkbox } from 'ant-design-vue';
import { usePieces } from '../../../store/pieces.ts';
import { useMeasures } from '../../../words/useMeasures.ts';

/** The pictures alone, as on a wall. */
defineProps<{ pieces: readonly PieceSummary[] }>();
const store = usePieces();
const measures = useMeasures();
const words = ({ outcome, judgement }: PieceSummary): string =>
  [
    judgement?.rating ? `${judgement.rating} of 5` : '',
    outcome && outcome.cellCount > 0 ? `cells ${measures.value.depth(outcome.cellMm)}` : '',
    outcome ? `lacing ${(100 * outcome.lacingShare).toFixed(1)} %` : '',
  ]
    .filter(Boolean)
    .join(', ');
</script>

<template>
  <ul class="wall">
    <li v-for="piece in pieces" :key="piece.id">
      <RouterLink :to="`/results/${piece.id}`">
        <img
          v-if="piece.photoId"
          :src="`/api/photos/${piece.photoId}/thumbnail`"
          :alt="piece.name"
          loading="lazy"
        />
        <span v-else class="bare">no photo</span>
      </RouterLink>
      <p>
        <Checkbox
          :checked="store.marked.includes(piece.id)"
          :aria-label="`Compare ${piece.name}`"
          @change="store.mark(piece.id, $event.target.checked)"
        />
        {{ piece.name }}
      </p>
      <p class="soft">{{ words(piece) }}</p>
    </li>
  </ul>
</template>

<style scoped>
.wall {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
  gap: 18px 14px;
  margin: 14px 0;
  padding: 0;
  list-style: none;
}

img,
.bare {
  display: block;
  width: 100%;
  aspect-ratio: 4 / 3;
  object-fit: cover;
}

.bare {
  display: grid;
  place-items: center;
  color: var(--ink-soft);
  border: 1px dashed var(--ice-deep);
}

p {
  font-weight: 500;
}

p.soft {
  font-size: 13px;
  font-weight: 400;
}
</style>
