<script setup lang="ts">
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import RefusedEntry from '../field/RefusedEntry.vue';
import type { TableWrite } from '../store/keptWrites.ts';
import { usePiece } from '../store/piece/piece.ts';
import { useUnits } from '../store/units.ts';
import { eventWords } from '../words/event.ts';

/** What the studio did not take; in Pour, events of the open piece are shown beside its line. */
const store = usePiece();
const units = useUnits();
const route = useRoute();

const nameOf = (mixId: string) => store.mixes.find(({ id }) => id === mixId)?.name;
const cupName = (mixId: string): string => nameOf(mixId) ?? 'a cup';

function titleOf(write: TableWrite): string {
  // Another piece's cups are not known here.
  if (write.kind === 'event') return eventWords(write.event, (id) => nameOf(id) ?? 'A cup', units).title;
  if (write.kind === 'addition') return `${units.show('mass', write.addition.mg)} in ${cupName(write.mixId)}`;
  if (write.kind === 'take-back') return `Undoing a weight in ${cupName(write.mixId)}`;
  return 'A reading';
}

const shown = computed(() =>
  store.refused
    .filter(
      ({ write, pieceId }) => route.name !== 'pour' || write.kind !== 'event' || pieceId !== store.piece?.id,
    )
    .map((entry) => ({ entry, title: titleOf(entry.write) })),
);
</script>

<template>
  <RefusedEntry
    v-for="{ entry, title } in shown"
    :key="entry.id"
    class="bar"
    :refused="entry"
    :title="title"
  />
</template>

<style scoped>
.bar {
  padding: 8px 24px;
  background: var(--paper);
  border-left: 4px solid var(--alarm);
  border-bottom: 1px solid var(--rule);
}
</style>
