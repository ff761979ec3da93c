<script setup lang="ts">
import type { PieceSummary } from '@icy-ribbon/contract';
import { computed, onMounted, shallowRef } from 'vue';
import { useRouter } from 'vue-router';
import { useShortcuts } from '#shortcut/shortcuts.ts';
import { usePieces } from '#store/pieces.ts';
import { clockWords, leftOf, useWaits } from '#store/waits.ts';

/** The pieces of one sitting: what is ready to be poured or is being poured, with the waits that run. */
const props = defineProps<{ pieceId: string }>();

const READY: ReadonlySet<PieceSummary['phase']> = new Set(['mixed', 'pouring']);
const pieces = usePieces();
const waits = useWaits();
const router = useRouter();
const found = shallowRef<PieceSummary[]>([]);

onMounted(async () => {
  // Without the server the piece in hand goes on alone.
  found.value = await pieces.allHaving('open').catch(() => []);
});

const onTheTable = computed(() =>
  found.value.filter(
    ({ id, phase }) => id === props.pieceId || READY.has(phase) || waits.of(id) !== undefined,
  ),
);

function clockOf(id: string): string | undefined {
  const wait = waits.of(id);
  return wait && clockWords(leftOf(wait, waits.now));
}

function open(id: string | undefined): void {
  if (id && id !== props.pieceId) void router.push({ name: 'pour', params: { pieceId: id } });
}

useShortcuts('Pieces on the table', [
  {
    keys: ['o'],
    shown: 'O',
    does: 'The next piece on the table',
    run: () => {
      const here = onTheTable.value.findIndex(({ id }) => id === props.pieceId);
      open(onTheTable.value[(here + 1) % Math.max(1, onTheTable.value.length)]?.id);
    },
  },
]);
</script>

<template>
  <ul v-if="onTheTable.length > 1" class="table" aria-label="Pieces on the table">
    <li v-for="piece in onTheTable" :key="piece.id">
      <button class="plain-button" :aria-current="piece.id === pieceId" @click="open(piece.id)">
        {{ piece.name }}
        <span v-if="clockOf(piece.id)" class="clock">{{ clockOf(piece.id) }}</span>
      </button>
    </li>
  </ul>
</template>

<style scoped>
.table {
  display: flex;
  flex-wrap: wrap;
  gap: 0 4px;
  margin: 0 0 6px;
  padding: 0;
  list-style: none;
}

button {
  min-height: 40px;
  padding: 0 12px;
}

button[aria-current='true'] {
  font-weight: var(--weight-strong);
  box-shadow: inset 0 -3px 0 var(--ink);
}

.clock {
  margin-left: 6px;
  font-variant-numeric: tabular-nums;
  color: var(--brass-ink);
}

@media (height < 480px) {
  .table {
    margin: 0;
  }
}
</style>
