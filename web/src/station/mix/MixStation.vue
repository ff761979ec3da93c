<script setup lang="ts">
import { Button, RadioButton, RadioGroup } from 'ant-design-vue';
import { useStorage } from '@vueuse/core';
import { computed, onMounted, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { useFirstFrame } from '#field/firstFrame.ts';
import { sayProblem } from '#notice/notices.ts';
import { useShortcuts } from '#shortcut/shortcuts.ts';
import { usePiece } from '#store/piece/piece.ts';
import { useShelf } from '#store/shelf.ts';
import { useUnits } from '#store/units.ts';
import AddCup from './parts/AddCup.vue';
import CupRow from './parts/CupRow.vue';
import CupTable from './parts/CupTable.vue';
import SetNotes from './parts/SetNotes.vue';

defineProps<{ pieceId: string }>();

const store = usePiece();
const shelf = useShelf();
const units = useUnits();
const router = useRouter();
/** The cups come first, then what another is made with. */
const isDrawn = useFirstFrame();
const view = useStorage<'cups' | 'table'>('icy-ribbon.mix-view', 'cups');

// What is left of a paint may have become less since the shelf was read.
onMounted(() => shelf.load().catch(sayProblem));

const totalMg = computed(() => store.cups.reduce((sum, cup) => sum + cup.state.targetMg, 0));
const toWeigh = computed(() => store.toWeigh);
const summary = computed(() => {
  const count = store.cups.length;
  if (count === 0) return 'No cups yet';
  const cups = count === 1 ? '1 cup' : `${count} cups`;
  return `${cups}, ${count - toWeigh.value.length} weighed in, ${units.show('mass', totalMg.value)} in all`;
});

function goOn(): void {
  const next = toWeigh.value[0];
  if (next) {
    void router.push({ name: 'scale', params: { pieceId: next.mix.pieceId, cupId: next.mix.id } });
  } else if (store.cups.length > 0 && store.piece) {
    void router.push({ name: 'thickness', params: { pieceId: store.piece.id } });
  }
}

/** In the table the cups have the room, until another is wanted. */
const adding = ref(false);
watch(view, () => (adding.value = false));

useShortcuts('Mix', [
  {
    keys: ['w'],
    shown: 'W',
    does: 'Weigh in the next cup, or test the thickness when all are mixed',
    run: goOn,
  },
  {
    keys: ['v'],
    shown: 'V',
    does: 'Cups or table',
    run: () => (view.value = view.value === 'cups' ? 'table' : 'cups'),
  },
]);
</script>

<template>
  <main>
    <header>
      <h1>Mix</h1>
      <p class="soft">{{ summary }}</p>
      <RouterLink to="/cups">All cups</RouterLink>
      <RadioGroup v-model:value="view" name="mix-view" class="views" aria-label="Shown as">
        <RadioButton value="cups">Cups</RadioButton>
        <RadioButton value="table">Table</RadioButton>
      </RadioGroup>
      <Button v-if="store.cups.length > 0" type="primary" @click="goOn">
        {{ toWeigh.length > 0 ? `Weigh in ${toWeigh[0]?.mix.name}` : 'Test the thickness' }}
      </Button>
    </header>
    <SetNotes :cups="store.cups" />
    <CupRow v-if="view === 'cups'" class="cups" :cups="store.cups" />
    <CupTable v-else class="cups" :cups="store.cups" />
    <p v-if="view === 'table' && !adding && store.cups.length > 0" class="another">
      <Button size="small" @click="adding = true">Put another cup on the bench</Button>
    </p>
    <div v-else-if="!isDrawn" class="add soon"></div>
    <AddCup
      v-else-if="store.piece"
      :key="store.piece.id"
      class="add"
      :piece-id="store.piece.id"
      :technique="store.piece.technique"
      :cups="store.cups"
    />
  </main>
</template>

<style scoped>
main {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  grid-template-rows: auto auto minmax(0, 1fr) auto;
  height: 100%;
}

.cups {
  grid-row: 3;
}

.another {
  grid-row: 4;
  padding: 6px 24px;
  border-top: 1px solid var(--rule);
}

.add {
  grid-row: 4;
}

/* As high as what follows, so that the cups stay where they are. */
.soon {
  min-height: 180px;
}

header {
  display: flex;
  align-items: center;
  gap: 16px;
  padding: 12px 24px;
}

header p {
  flex: 1;
}

@media (width < 600px) {
  main {
    grid-template-rows: auto auto auto auto;
    height: auto;
  }

  header {
    flex-wrap: wrap;
    gap: 4px 16px;
    padding: 12px 16px;
  }

  header p {
    flex: 1 1 60%;
  }

  header .ant-btn {
    flex: 1 0 100%;
    height: var(--touch-step);
  }

  .cups {
    min-height: 260px;
  }
}
</style>
