<script setup lang="ts">
import { computed } from 'vue';
import RefusedEntry from './RefusedEntry.vue';
import type { TableWrite } from '../store/keptWrites.ts';
import { usePiece } from '../store/piece/piece.ts';
import { useUnits } from '../store/units.ts';
import { eventWords } from '../words/event.ts';

/** What the studio did not take, of all pieces. */
const store = usePiece();
const units = useUnits();

const nameOf = (cupId: string) => store.mixes.find(({ id }) => id === cupId)?.name;
const cupName = (cupId: string): string => nameOf(cupId) ?? 'a cup';

function titleOf(write: TableWrite): string {
  if (write.kind === 'event') {
    // Another piece's cups are not known here.
    const { title, detail } = eventWords(write.event, (id) => nameOf(id) ?? 'A cup', units);
    return [title, detail].filter(Boolean).join(', ');
  }
  if (write.kind === 'addition') return `${units.show('mass', write.addition.mg)} in ${cupName(write.cupId)}`;
  if (write.kind === 'take-back') return `Undoing a weight in ${cupName(write.cupId)}`;
  return 'A reading';
}

const shown = computed(() => store.refused.map((entry) => ({ entry, title: titleOf(entry.write) })));
</script>

<template>
  <div class="entries">
    <RefusedEntry
      v-for="{ entry, title } in shown"
      :key="entry.id"
      class="bar"
      :refused="entry"
      :title="title"
    />
  </div>
</template>

<style scoped>
/* Two are seen and the start of a third: the work goes on below. */
.entries {
  max-height: 120px;
  overflow-y: auto;
}

.entries:has(pre) {
  max-height: 50vh;
}

.bar {
  padding: 8px 24px;
  background: var(--paper);
  border-left: 4px solid var(--alarm);
  border-bottom: 1px solid var(--rule);
}
</style>
