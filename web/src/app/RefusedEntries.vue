<script setup lang="ts">
import { computed } from 'vue';
import RefusedEntry from '../field/RefusedEntry.vue';
import type { TableWrite } from '../store/keptWrites.ts';
import { usePiece } from '../store/piece/piece.ts';
import { useUnits } from '../store/units.ts';
import { eventWords } from '../words/event.ts';

/** What the studio did not take; events of the open piece are shown beside the line of the pour. */
const store = usePiece();
const units = useUnits();

const cupName = (mixId: string): string => store.mixes.find(({ id }) => id === mixId)?.name ?? 'a cup';

function titleOf(write: TableWrite): string {
  if (write.kind === 'event') return eventWords(write.event, cupName, units).title;
  if (write.kind === 'addition') return `${units.show('mass', write.addition.mg)} in ${cupName(write.mixId)}`;
  if (write.kind === 'take-back') return `Undoing a weight in ${cupName(write.mixId)}`;
  return 'A reading';
}

const shown = computed(() =>
  store.refused
    .filter(({ write, pieceId }) => write.kind !== 'event' || pieceId !== store.piece?.id)
    .map((entry) => ({ entry, title: titleOf(entry.write) })),
);
</script>

<template>
  <div v-for="{ entry, title } in shown" :key="entry.id" class="alarm-bar">
    <RefusedEntry :refused="entry" :title="title" />
  </div>
</template>
