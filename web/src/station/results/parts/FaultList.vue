<script setup lang="ts">
import type { FaultPin } from '@icy-ribbon/contract';
import { pourRecordOf } from '@icy-ribbon/core/judgement/outcome';
import { why } from '@icy-ribbon/core/judgement/diagnose';
import { fault, FAULTS, type FaultKind } from '@icy-ribbon/core/judgement/outcome';
import { Button, Select } from 'ant-design-vue';
import { computed, ref } from 'vue';
import { say, sayProblem } from '#notice/notices.ts';
import { attempt } from '#notice/useTask.ts';
import { usePiece } from '#store/piece/piece.ts';
import { useUnits } from '#store/units.ts';
import { causeWords, missingWords } from '#words/cause.ts';

/** What went wrong, each pinned to its place on the photo, and why. */
const placing = defineModel<boolean>('placing', { default: false });
const chosenId = defineModel<string | null>('chosen', { default: null });

const store = usePiece();
const units = useUnits();
const kind = ref<FaultKind | null>(null);
const cupId = ref<string | null>(null);

const FAULT_OPTIONS = FAULTS.map((each) => ({ value: each.kind, label: each.label }));
const faults = computed(() => store.piece?.judgement?.faults ?? []);
/** While it is wet it can be scraped off and laid again. */
const canRepair = computed(
  () => !store.piece?.photos.some(({ state }) => state === 'dry') && store.layers.length > 0,
);
const cups = computed(() => store.paints.map(({ mix }) => ({ value: mix.id, label: mix.name })));
const record = computed(() => (store.piece ? pourRecordOf({ ...store.piece, events: store.log }) : null));
const answer = computed(() => {
  const pinned = faults.value.find((each) => each.id === chosenId.value);
  if (!pinned || !record.value) return null;
  const { causes, cannotTell } = why(record.value, pinned);
  return {
    pinned,
    causes: causes.map((cause) => ({ cause, words: causeWords(cause, units.chosen) })),
    cannotTell,
  };
});

async function keep(next: FaultPin[]): Promise<void> {
  const judgement = store.piece?.judgement;
  const { version, createdAt, updatedAt, ...judged } = judgement ?? {
    ...NOTHING,
    version: 0,
    createdAt: '',
    updatedAt: '',
  };
  void [version, createdAt, updatedAt];
  await store.judge({ ...judged, faults: next });
}

const NOTHING = {
  rating: null,
  faults: [],
  hangingDeg: null,
  verdict: null,
  cells: null,
  lacing: null,
  petals: null,
  mud: null,
  cellSizeMm: null,
  tryNext: '',
  note: '',
};

/** Keeps the fault that was chosen, at the place that was clicked or without one. */
async function pinAt(at: { x: number; y: number } | null): Promise<void> {
  if (!kind.value) return;
  const pin: FaultPin = { id: crypto.randomUUID(), kind: kind.value, at, cupId: cupId.value, note: '' };
  try {
    await keep([...faults.value, pin]);
    chosenId.value = pin.id;
    kind.value = null;
    cupId.value = null;
  } catch (error) {
    sayProblem(error);
  } finally {
    placing.value = false;
  }
}

async function remove(pin: FaultPin): Promise<void> {
  const before = [...faults.value];
  await attempt(async () => {
    await keep(before.filter((each) => each.id !== pin.id));
    if (chosenId.value === pin.id) chosenId.value = null;
    say(`"${fault(pin.kind).label}" is taken off.`, () => keep(before).catch(sayProblem));
  });
}

defineExpose({ pinAt });
</script>

<template>
  <section class="faults stacked" aria-label="What went wrong">
    <h2>What went wrong</h2>
    <ol v-if="faults.length > 0">
      <li v-for="(pin, index) in faults" :key="pin.id">
        <button
          class="plain-button"
          :aria-pressed="pin.id === chosenId"
          @click="chosenId = pin.id === chosenId ? null : pin.id"
        >
          <span class="number">{{ index + 1 }}</span> {{ fault(pin.kind).label }}
          <span class="soft why">Why?</span>
        </button>
        <RouterLink
          v-if="pin.at && canRepair"
          class="repair"
          :to="{
            name: 'pour',
            params: { pieceId: store.piece?.id },
            query: { repair: `${pin.at.x.toFixed(3)},${pin.at.y.toFixed(3)}` },
          }"
          >Repair it</RouterLink
        >
        <Button
          type="text"
          size="small"
          :aria-label="`Take off ${fault(pin.kind).label}`"
          @click="remove(pin)"
        >
          Take off
        </Button>
      </li>
    </ol>
    <div
      v-if="answer"
      class="answer stacked"
      role="region"
      :aria-label="`Why: ${fault(answer.pinned.kind).label}`"
    >
      <article
        v-for="({ cause, words }, index) in answer.causes"
        :key="cause.code"
        :class="{ against: !cause.isLikely }"
      >
        <h3>
          <span class="weight" aria-hidden="true"
            ><span :style="{ width: `${100 * cause.weight}%` }"></span
          ></span>
          {{ words.name }}<span class="visually-hidden">, cause {{ index + 1 }}</span>
        </h3>
        <p v-if="cause.isLikely">For it: {{ words.evidence }}</p>
        <p v-else class="soft">Against it: {{ words.evidence }}</p>
        <p v-if="cause.isLikely" class="next">Next time: {{ words.nextTime }}</p>
      </article>
      <p v-for="missing in answer.cannotTell" :key="missing" class="soft">
        The record cannot tell: {{ missingWords(missing) }}
      </p>
    </div>
    <div class="add flowing">
      <Select
        :value="kind ?? undefined"
        :options="FAULT_OPTIONS"
        placeholder="Pin a fault"
        aria-label="Which fault"
        @update:value="kind = $event as FaultKind"
      />
      <Select
        v-if="kind === 'sunk' || kind === 'takes-over'"
        :value="cupId ?? undefined"
        :options="cups"
        placeholder="which color"
        aria-label="Which color"
        @update:value="cupId = $event as string"
      />
      <Button v-if="kind" type="primary" :aria-pressed="placing" @click="placing = !placing">
        {{ placing ? 'Click its place' : 'Pin it on the photo' }}
      </Button>
      <Button v-if="kind" @click="pinAt(null)">It has no place</Button>
    </div>
    <p v-if="kind" class="soft">{{ fault(kind).seen }}</p>
  </section>
</template>

<style scoped>
li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  border-top: 1px solid var(--rule);
}

li > button:first-child {
  flex: 1;
  min-height: 40px;
  text-align: left;
}

[aria-pressed='true'].plain-button {
  box-shadow: inset 4px 0 0 var(--ink);
  padding-left: 8px;
}

.repair {
  font-size: var(--type-text);
}

.number {
  display: inline-block;
  width: 22px;
  font-weight: var(--weight-strong);
}

.why {
  margin-left: 8px;
  text-decoration: underline;
}

.answer {
  padding: 4px 0 8px 12px;
  border-left: 4px solid var(--ice-deep);
  font-size: var(--type-text);
}

h3 {
  display: flex;
  align-items: center;
  gap: 8px;
  font-size: var(--type-text);
}

.weight {
  flex: none;
  width: 46px;
  height: 8px;
  border: 1px solid var(--ink-soft);
}

.weight span {
  display: block;
  height: 100%;
  background: var(--ink);
}

.against h3 {
  font-weight: var(--weight-plain);
  color: var(--ink-soft);
}

.next {
  font-weight: var(--weight-strong);
}

.add .ant-select {
  min-width: 190px;
}
</style>
