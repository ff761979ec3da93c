<script setup lang="ts">
import type { PieceSummary } from '@icy-ribbon/contract';
import { useUnits } from '../../../store/units.ts';
import CupDots from '../../../drawing/CupDots.vue';
import { TECHNIQUE_LABELS, dateWords } from '../../../words/general.ts';

defineProps<{ pieces: readonly PieceSummary[]; loaded: boolean }>();
const units = useUnits();

const target = (piece: PieceSummary) =>
  piece.station === 'results' ? `/results/${piece.id}` : `/${piece.station}/${piece.id}`;
</script>

<template>
  <section aria-labelledby="in-hand">
    <h2 id="in-hand">On the table</h2>
    <p v-if="loaded && pieces.length === 0" class="soft">
      Nothing is on the table. Start a piece: a name, a technique and a support are enough.
    </p>
    <table v-else>
      <thead>
        <tr>
          <th scope="col">Piece</th>
          <th scope="col">Cups</th>
          <th scope="col">Next</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="piece in pieces" :key="piece.id">
          <td>
            <RouterLink :to="target(piece)" class="name">{{ piece.name }}</RouterLink>
            <p class="soft small">
              {{ TECHNIQUE_LABELS[piece.technique] }},
              {{ units.showNumber('length', piece.support.widthMm) }} ×
              {{ units.show('length', piece.support.heightMm) }}, {{ dateWords(piece.createdAt) }}
            </p>
          </td>
          <td><CupDots :cups="piece.mixes" /></td>
          <td>{{ piece.next }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
table {
  width: 100%;
  margin-top: 4px;
  border-collapse: collapse;
}

th {
  padding: 6px 16px 6px 0;
  text-align: left;
  font-weight: 500;
  font-size: 13px;
  color: var(--ink-soft);
}

td {
  padding: 8px 16px 8px 0;
  border-top: 1px solid var(--rule);
  vertical-align: middle;
}

.name {
  font-weight: 600;
  color: var(--ink);
}

.small {
  font-size: 13px;
}
</style>
