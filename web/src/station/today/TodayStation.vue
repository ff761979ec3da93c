<script setup lang="ts">
import type { PieceSummary } from '@icy-ribbon/contract';
import dayjs from 'dayjs';
import { Button } from 'ant-design-vue';
import { computed, onMounted, ref, watch } from 'vue';
import { say, sayProblem } from '../../notice/notices.ts';
import { attempt } from '../../notice/useTask.ts';
import { usePieces } from '../../store/pieces.ts';
import { useSample } from '../../store/sample.ts';
import { useShelf } from '../../store/shelf.ts';
import { DUE_FOR_DAYS, dueFrom } from './parts/due.ts';
import FirstSteps from './parts/FirstSteps.vue';
import LastResults from './parts/LastResults.vue';
import SamplePiece from './parts/SamplePiece.vue';
import PiecesInHand from './parts/PiecesInHand.vue';
import StartPiece from './parts/StartPiece.vue';

/** The newest pieces are looked through this far for the last results. */
const RECENT = 30;
const RESULTS_SHOWN = 6;

const pieces = usePieces();
const shelf = useShelf();
const sample = useSample();
const recent = ref<PieceSummary[]>([]);
const loaded = ref(false);

async function load(): Promise<void> {
  try {
    await Promise.all([shelf.load(), sample.load()]);
    const since = dayjs().subtract(DUE_FOR_DAYS, 'day').format('YYYY-MM-DD');
    const [unjudged, poured, newest] = await Promise.all([
      pieces.allHaving('open'),
      pieces.allPouredSince(since),
      pieces.newest(RECENT),
    ]);
    recent.value = [
      ...new Map([...unjudged, ...poured, ...newest].map((piece) => [piece.id, piece])).values(),
    ];
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

/** Ticks a top coat off; what was a slip is undone. */
const coat = (piece: PieceSummary) =>
  attempt(async () => {
    const { version } = await pieces.topCoat(piece, new Date().toISOString());
    say(`"${piece.name}" has its top coat.`, () =>
      attempt(async () => {
        await pieces.topCoat({ id: piece.id, version }, null);
        await load();
      }),
    );
    await load();
  });

const open = computed(() => recent.value.filter((piece) => piece.phase !== 'judged'));
/** Without the sample that came with the program. */
const own = computed(() => recent.value.filter(({ id }) => id !== sample.pieceId));
const judged = computed(() => recent.value.filter((piece) => piece.phase === 'judged' && piece.photoId));
const due = computed(() => dueFrom(own.value, Date.now()));
</script>

<template>
  <main class="today">
    <h1 class="visually-hidden">Today</h1>
    <div class="left">
      <section v-if="due.length > 0" aria-labelledby="due">
        <h2 id="due">Due</h2>
        <ul class="due">
          <li v-for="item in due" :key="item.id + item.what">
            <RouterLink :to="item.to">{{ item.name }}</RouterLink>
            <span>{{ item.what }}</span>
            <Button
              v-if="item.topCoat"
              size="small"
              :aria-label="`${item.name} has its top coat`"
              @click="coat(item.topCoat)"
            >
              Coated
            </Button>
          </li>
        </ul>
      </section>
      <FirstSteps v-if="loaded && own.length === 0" />
      <PiecesInHand v-else :pieces="open" :loaded="loaded" />
      <SamplePiece v-if="loaded && (own.length === 0 || sample.pieceId !== null)" />
      <LastResults v-if="judged.length > 0" :pieces="judged.slice(0, RESULTS_SHOWN)" />
    </div>
    <StartPiece class="start" />
  </main>
</template>

<style scoped>
.today {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  min-height: 100%;
}

.left {
  display: grid;
  gap: 24px;
  align-content: start;
  padding: 20px 24px;
}

.start {
  padding: 20px 24px;
  border-left: 1px solid var(--rule);
  background: var(--paper);
}

.due {
  margin: 8px 0 0;
  padding: 0;
  list-style: none;
}

.due li {
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 6px 0 6px 12px;
  border-left: 4px solid var(--brass);
}

.due a {
  font-weight: 600;
  color: var(--ink);
}

@media (width < 900px) {
  .today {
    grid-template-columns: 1fr;
  }

  .start {
    border-left: 0;
    border-top: 1px solid var(--rule);
  }
}
</style>
