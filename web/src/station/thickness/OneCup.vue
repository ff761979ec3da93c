<script setup lang="ts">
import type { ReadingInput } from '@icy-ribbon/contract';
import { matchSet } from '@icy-ribbon/core/thickness/match';
import { stageCenter, stageOf } from '@icy-ribbon/core/paint/stage';
import { computed, onMounted } from 'vue';
import { useRouter } from 'vue-router';
import ColorDot from '#drawing/ColorDot.vue';
import QuantityField from '#field/QuantityField.vue';
import { say, sayProblem } from '#notice/notices.ts';
import { attempt } from '#notice/useTask.ts';
import { useShortcuts } from '#shortcut/shortcuts.ts';
import { useDrills } from '#store/drills.ts';
import { useCalibrations } from '#store/calibrations.ts';
import { usePiece } from '#store/piece/piece.ts';
import { ROLE_LABELS } from '#words/general.ts';
import DrainCupForm from './parts/DrainCupForm.vue';
import EvidenceList from './parts/EvidenceList.vue';
import MoundCard from './parts/MoundCard.vue';
import MoundWatch from './parts/MoundWatch.vue';
import ResponseCurve from './parts/ResponseCurve.vue';
import StirIn from './parts/StirIn.vue';
import ThicknessTabs from './parts/ThicknessTabs.vue';
import { matchCupOf } from '#drawing/matchCup.ts';
import { paS, spreadWords } from '#words/thickness.ts';
import { useRoom } from './parts/useRoom.ts';

const props = defineProps<{ pieceId: string; cupId: string }>();

const store = usePiece();
const calibrations = useCalibrations();
const router = useRouter();
const room = useRoom();

const drills = useDrills();
onMounted(() => Promise.all([calibrations.ensure(), drills.ensure()]).catch(sayProblem));

/** How this artist's words lie, where the eye was practiced. */
const eye = computed(
  () => drills.eye && { ln: drills.eye.ln, sdLn: drills.eye.sdLn, spreadLn: drills.eye.spreadLn },
);

const cup = computed(() => store.paints.find((each) => each.mix.id === props.cupId));
const stage = computed(() => cup.value && stageOf(cup.value.state.properties.viscosityPaS).name);

/** Whether the artist said how thick it looks since anything was stirred in: before, a hint would sway the answer. */
const isAnswered = computed(() => {
  const { lastReadAt } = cup.value!.state;
  const changedAt = cup.value!.mix.additions.at(-1)?.at ?? '';
  return lastReadAt !== null && lastReadAt >= changedAt;
});

/** Where the set wants this cup. */
const targetPaS = computed(() => {
  if (!cup.value || !store.piece) return stageCenter('fading');
  const plan = matchSet(store.belief, store.piece.technique, store.paints.map(matchCupOf), store.piece.aims);
  const found = plan.cups.find((each) => each.id === props.cupId);
  return found?.targetPaS ?? cup.value.state.properties.viscosityPaS;
});

async function keep(measure: ReadingInput['measure']): Promise<void> {
  await attempt(async () => {
    await store.addReadings([
      { id: crypto.randomUUID(), cupId: props.cupId, raceId: null, temperatureC: room.value, measure },
    ]);
    say('Kept.');
  });
}

function goTo(step: number): void {
  const at = store.paints.findIndex((each) => each.mix.id === props.cupId);
  const next = store.paints[(at + step + store.paints.length) % store.paints.length];
  if (next)
    void router.replace({ name: 'cup-thickness', params: { pieceId: props.pieceId, cupId: next.mix.id } });
}

useShortcuts('Thickness of a cup', [
  { keys: ['n', 'ArrowRight'], shown: 'N', does: 'The next cup', run: () => goTo(1) },
  { keys: ['p', 'ArrowLeft'], shown: 'P', does: 'The cup before', run: () => goTo(-1) },
]);
</script>

<template>
  <main v-if="cup" class="cup">
    <header>
      <h1>
        <ColorDot :color="cup.colorHex" :size-px="18" inline />
        {{ cup.mix.name }}
      </h1>
      <p>
        <span class="numeral big">{{ paS(cup.state.properties.viscosityPaS) }}</span>
        {{ stage }}, {{ spreadWords(cup.state.spreadLn) }}
        <span class="soft">
          {{ ROLE_LABELS[cup.mix.role] }},
          {{ cup.state.readings > 0 ? `${cup.state.readings} readings` : 'forecast from the mix' }}
        </span>
      </p>
      <ThicknessTabs :piece-id="pieceId" here="cup" />
    </header>
    <section class="part" aria-labelledby="act">
      <h2 id="act">Act</h2>
      <StirIn :cup="cup" :suggested-pa-s="targetPaS" />
    </section>
    <section class="part" aria-label="Read its thickness">
      <h2>Observe</h2>
      <div>
        <MoundCard
          :color-hex="cup.colorHex"
          :expected="isAnswered ? stage! : null"
          @choose="(chosen) => keep({ kind: 'words', stage: chosen, eye })"
        />
        <div class="watches stacked gap-16">
          <MoundWatch @read="keep" />
          <DrainCupForm :density-g-per-ml="cup.state.properties.densityGPerMl" @read="keep" />
          <QuantityField v-model="room" class="room" label="Room" quantity="temperature" />
        </div>
      </div>
    </section>
    <div class="part last">
      <h2 aria-hidden="true">Evidence</h2>
      <div class="evidence stacked gap-24">
        <ResponseCurve :cup="cup" :target-pa-s="targetPaS" />
        <EvidenceList class="list" :cup="cup" />
      </div>
    </div>
  </main>
  <main v-else class="cup">
    <p>This cup is no longer on the bench.</p>
    <RouterLink :to="{ name: 'thickness', params: { pieceId } }">Back to the set</RouterLink>
  </main>
</template>

<style scoped>
.cup {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  grid-template-rows: auto auto auto minmax(200px, 1fr);
  height: 100%;
  padding: 8px 24px;
  overflow: auto;
}

header {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 16px;
  padding-bottom: 6px;
}

.big {
  font-size: var(--type-title);
}

/* What to do, what is seen, what it rests on: three parts, named at the left. */
.part {
  display: grid;
  grid-template-columns: 80px minmax(0, 1fr);
  padding: 6px 0;
  border-top: 1px solid var(--rule);
}

.part h2 {
  font-size: var(--type-text);
}

.watches {
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) 96px;
  align-items: end;
}

.evidence {
  grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr);
  min-height: 0;
}

.list {
  overflow: auto;
}

@media (width < 1000px) {
  .part,
  .evidence,
  .watches {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
