<script setup lang="ts">
import { DECISIONS, type Decision } from '@icy-ribbon/core/piece/care';
import { TECHNIQUES, type Technique } from '@icy-ribbon/core/paint/stage';
import type { Origin } from '@icy-ribbon/contract';
import { Button, Input, Select } from 'ant-design-vue';
import { computed, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { say } from '#notice/notices.ts';
import { attempt } from '#notice/useTask.ts';
import { usePiece } from '#store/piece/piece.ts';
import { useRack } from '#store/rack.ts';
import { DECISION_LABELS, spanWords } from '#words/care.ts';
import { TECHNIQUE_LABELS } from '#words/general.ts';
import EdgeUp from './EdgeUp.vue';
import { useNewFrom } from './useNewFrom.ts';
import type { useOnRack } from './useOnRack.ts';

/** What becomes of a piece; each decision leads on. */
const props = defineProps<{ on: ReturnType<typeof useOnRack> }>();

const store = usePiece();
const rack = useRack();
const router = useRouter();
const newFrom = useNewFrom();

const decision = computed(() => store.care.decision?.data.what ?? null);
/** Until something is decided, the verdict of the judgement leads. */
const BY_VERDICT: Readonly<Record<string, Decision>> = {
  finish: 'finish',
  rework: 'alter',
  scrape: 'scrape',
};
const proposed = computed(() => BY_VERDICT[store.piece?.judgement?.verdict ?? ''] ?? null);

const decide = (what: Decision) =>
  attempt(async () => {
    const id = await store.noteCare('decide', { what, note: '' });
    await rack.load();
    say(`${DECISION_LABELS[what].label}.`, () => attempt(() => store.takeBackCare(id)));
  });

/** What speaks against doing it now. */
const warning = computed(() => {
  const stage = props.on.life.value?.stage;
  const dates = props.on.dates.value;
  if (!stage || !dates) return '';
  const isWet = stage === 'wet';
  switch (decision.value) {
    case 'scrape':
      return isWet ? '' : 'It has a skin: it comes off in shreds. Sand it and pour over it instead.';
    case 'alter':
    case 'pour-over':
      return ['wet', 'skin', 'touch-dry'].includes(stage)
        ? `Nothing is laid over it before it has dried through: ${spanWords(dates.alterable)}.`
        : '';
    case 'hang':
      return isWet || stage === 'skin' ? 'It is still wet: leave it lying until it is dry.' : '';
    default:
      return '';
  }
});

const HOW: Partial<Readonly<Record<Decision, Origin['how']>>> = {
  alter: 'alter',
  'pour-over': 'pour-over',
  scrape: 'scrape',
  'wash-off': 'scrape',
  ground: 'ground',
};
const how = computed(() => (decision.value ? HOW[decision.value] : undefined));
const name = ref('');
const technique = ref<Technique>('dutch');
const NAME_ENDS: Readonly<Record<Origin['how'], string>> = {
  alter: 'altered',
  'pour-over': 'poured over',
  ground: 'on its ground',
  scrape: 'again',
  crop: 'part',
};
watch(
  [() => store.piece?.id, how],
  () => {
    if (!store.piece || !how.value) return;
    name.value = `${store.piece.name}, ${NAME_ENDS[how.value]}`;
    technique.value = store.piece.technique;
  },
  { immediate: true },
);
const TECHNIQUE_OPTIONS = TECHNIQUES.map((value) => ({ value, label: TECHNIQUE_LABELS[value] }));

const start = () =>
  attempt(async () => {
    const { piece } = store;
    if (!piece || !how.value) return;
    const child = await newFrom.start(piece, {
      name: name.value,
      technique: technique.value,
      how: how.value,
    });
    await router.push(`/mix/${child.id}`);
  });
</script>

<template>
  <div v-if="store.piece" class="decide stacked gap-16">
    <fieldset aria-label="What becomes of it">
      <button
        v-for="what in DECISIONS"
        :key="what"
        type="button"
        class="plain-button"
        :aria-pressed="decision === what"
        :class="{ proposed: decision === null && proposed === what }"
        @click="decide(what)"
      >
        <strong>{{ DECISION_LABELS[what].label }}</strong>
        <span class="soft">{{ DECISION_LABELS[what].does }}</span>
      </button>
    </fieldset>
    <p v-if="decision === null && proposed" class="soft">
      Judged: the verdict points to "{{ DECISION_LABELS[proposed].label }}".
    </p>
    <p v-if="warning" class="look" role="status">{{ warning }}</p>
    <Button
      v-if="decision === 'finish'"
      type="primary"
      class="on"
      @click="router.push({ query: { view: 'finish' } })"
    >
      To its top coat
    </Button>
    <Button
      v-if="decision === 'crop'"
      type="primary"
      class="on"
      @click="router.push(`/rack/${store.piece.id}/crop`)"
    >
      Find the best parts
    </Button>
    <Button
      v-if="decision === 'alter'"
      type="primary"
      class="on"
      @click="router.push(`/rack/${store.piece.id}/sketch`)"
    >
      Sketch the change on its photo
    </Button>
    <form v-if="how && decision !== 'alter'" class="start stacked gap-12" @submit.prevent="start">
      <label>
        <span class="label">Name of the piece that comes next</span>
        <Input v-model:value="name" aria-label="Name of the piece that comes next" autocomplete="off" />
      </label>
      <label>
        <span class="label">Technique</span>
        <Select v-model:value="technique" :options="TECHNIQUE_OPTIONS" aria-label="Technique" />
      </label>
      <Button type="primary" html-type="submit" :disabled="name.trim() === ''">Start it</Button>
    </form>
    <EdgeUp v-if="decision === 'hang' || decision === 'finish'" />
  </div>
</template>

<style scoped>
fieldset {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 4px;
}

fieldset button {
  display: grid;
  align-content: start;
  min-height: 96px;
  padding: 8px;
  border-bottom: 4px solid var(--rule);
}

fieldset button:hover,
.proposed {
  border-bottom-color: var(--edge);
}

fieldset button[aria-pressed='true'] {
  background: var(--ice);
  border-bottom-color: var(--water);
}

fieldset .soft {
  font-size: var(--type-note);
}

.on {
  justify-self: start;
}

.start {
  grid-template-columns: minmax(0, 1fr) 180px auto;
  align-items: end;
}

label {
  display: grid;
  gap: 4px;
}

@media (width < 700px) {
  fieldset {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
}
</style>
