<script setup lang="ts">
import type { PieceSummary } from '@icy-ribbon/contract';
import { usualDrying } from '@icy-ribbon/core/flow/drying';
import dayjs from 'dayjs';
import { Button } from 'ant-design-vue';
import { computed, defineAsyncComponent, nextTick, onMounted, ref, shallowRef, watch } from 'vue';
import { say, sayProblem } from '#notice/notices.ts';
import { attempt } from '#notice/useTask.ts';
import { useShortcuts } from '#shortcut/shortcuts.ts';
import { usePiece } from '#store/piece/piece.ts';
import { usePieces } from '#store/pieces.ts';
import { usePourNumbers } from '#store/pourNumbers.ts';
import { useSample } from '#store/sample.ts';
import { useShelf } from '#store/shelf.ts';
import { DUE_FOR_DAYS, dueFrom } from './parts/due.ts';
import FirstSteps from './parts/FirstSteps.vue';
import LastResults from './parts/LastResults.vue';
import SamplePiece from './parts/SamplePiece.vue';
import OnTheTable from './parts/OnTheTable.vue';
import PieceInHand from './parts/PieceInHand.vue';
import { useStartDraft } from './parts/startDraft.ts';
import { tableRows } from './parts/tableRows.ts';

/** Its fields are brought when they are needed. */
const StartPiece = defineAsyncComponent(() => import('./parts/StartPiece.vue'));

/** The newest pieces are looked through this far for the last results. */
const RECENT = 30;
const RESULTS_SHOWN = 5;

const pieces = usePieces();
const shelf = useShelf();
const numbers = usePourNumbers();
const sample = useSample();
const store = usePiece();
const recent = shallowRef<PieceSummary[]>([]);
const loaded = ref(false);

async function load(): Promise<void> {
  try {
    const since = dayjs().subtract(DUE_FOR_DAYS, 'day').format('YYYY-MM-DD');
    const [unjudged, poured, newest] = await Promise.all([
      pieces.allHaving('open'),
      pieces.allPouredSince(since),
      pieces.newest(RECENT),
      sample.load(),
      numbers.load(),
    ]);
    recent.value = [
      ...new Map([...unjudged, ...poured, ...newest].map((piece) => [piece.id, piece])).values(),
    ];
    // The first steps tell what is on the shelf.
    if (own.value.length === 0) await shelf.ensure();
    loaded.value = true;
  } catch (error) {
    sayProblem(error);
  }
}
onMounted(load);
// The sample that was put in or taken out belongs to the lists, or no more.
watch(
  () => sample.pieceId,
  () => {
    if (loaded.value) void load();
  },
);

/** Ticks off what was found of a piece or done to it now; what was a slip is undone. */
const tickOff = (piece: PieceSummary, what: 'topCoatedAt' | 'touchDryAt', words: string) =>
  attempt(async () => {
    const { version } = await pieces.noteWhen(piece, what, new Date().toISOString());
    say(`"${piece.name}" ${words}.`, () =>
      attempt(async () => {
        await pieces.noteWhen({ id: piece.id, version }, what, null);
        await load();
      }),
    );
    await load();
  });
const coat = (piece: PieceSummary) => tickOff(piece, 'topCoatedAt', 'has its top coat');
/** Forecasts of drying learn from it. */
const dry = (piece: PieceSummary) => tickOff(piece, 'touchDryAt', 'is touch-dry');

const open = computed(() => recent.value.filter((piece) => piece.phase !== 'judged'));
/** Without the sample that came with the program. */
const own = computed(() => recent.value.filter(({ id }) => id !== sample.pieceId));
const judged = computed(() => recent.value.filter((piece) => piece.phase === 'judged' && piece.photo));
const due = computed(() =>
  dueFrom(own.value, Date.now(), (piece) => numbers.drying(usualDrying(piece), piece.technique)),
);
/** The piece in hand, else the newest that is open: noting something of another does not take that one in hand. */
const current = computed(() => open.value.find(({ id }) => id === store.inHandId) ?? open.value[0]);
const rows = computed(() => tableRows(due.value, open.value, current.value?.id ?? null));
const dueNow = computed(() => due.value.find(({ id }) => id === current.value?.id)?.what);

/** The form stands there from the start where nothing else does, or something was typed. */
const typed = useStartDraft();
const asked = ref(false);
const nothingElse = computed(() => loaded.value && open.value.length === 0);
const starting = computed(() => asked.value || typed.value.name !== '' || nothingElse.value);
async function start(): Promise<void> {
  asked.value = true;
  await nextTick();
  document.getElementById('piece-name')?.focus();
}
function notNow(): void {
  asked.value = false;
  typed.value.name = '';
}
useShortcuts('Today', [{ keys: ['n'], shown: 'N', does: 'Start a piece', run: () => void start() }]);
</script>

<template>
  <main class="today" :class="{ starting }">
    <h1 class="visually-hidden">Today</h1>
    <div class="left stacked gap-16">
      <FirstSteps v-if="loaded && own.length === 0" />
      <div v-else-if="loaded" class="now stacked gap-24">
        <PieceInHand v-if="current" :piece="current" :due="dueNow" />
        <section aria-labelledby="on-the-table">
          <header>
            <h2 id="on-the-table">On the table</h2>
            <Button v-if="!starting" :aria-expanded="starting" @click="start">Start a piece</Button>
          </header>
          <OnTheTable :rows="rows" :loaded="loaded" @coat="coat" @dry="dry" />
        </section>
      </div>
      <SamplePiece v-if="loaded && (own.length === 0 || sample.pieceId !== null)" />
      <LastResults v-if="judged.length > 0" :pieces="judged.slice(0, RESULTS_SHOWN)" />
    </div>
    <StartPiece v-if="starting" class="start" :closable="!nothingElse" :asked="asked" @close="notNow" />
  </main>
</template>

<style scoped>
.today {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  min-height: 100%;
}

.today.starting {
  grid-template-columns: minmax(0, 1fr) 300px;
}

.left {
  align-content: start;
  padding: 16px 24px;
}

.now {
  grid-template-columns: minmax(0, 1.45fr) minmax(300px, 1fr);
  align-items: start;
}

.starting .now {
  grid-template-columns: minmax(0, 1fr);
}

.now header {
  display: flex;
  align-items: center;
  justify-content: space-between;
  min-height: 40px;
  padding-bottom: 8px;
}

.start {
  padding: 16px 24px;
  border-left: 1px solid var(--rule);
  background: var(--paper);
}

@media (width < 1000px) {
  .now,
  .today.starting {
    grid-template-columns: minmax(0, 1fr);
  }

  .start {
    border-left: 0;
    border-top: 1px solid var(--rule);
  }
}

@media (width < 600px) {
  .left {
    padding: 12px 16px;
  }

  .start {
    padding: 12px 16px;
  }
}
</style>
