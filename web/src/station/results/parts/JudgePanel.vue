<script setup lang="ts">
import equal from 'fast-deep-equal';
import {
  DEGREE_WORDS,
  RATED,
  VERDICTS,
  VERDICT_WORDS,
  type Judgement,
  type Rated,
  type Verdict,
} from '@icy-ribbon/contract';
import { Button, Select, Textarea } from 'ant-design-vue';
import { computed, ref, watch } from 'vue';
import { messageAt } from '#api/problem.ts';
import FieldRow from '#field/FieldRow.vue';
import QuantityField from '#field/QuantityField.vue';
import { say, sayProblem } from '#notice/notices.ts';
import { usePiece } from '#store/piece/piece.ts';

const store = usePiece();

interface Draft extends Record<Rated, number | null> {
  rating: number | null;
  verdict: Verdict | null;
  hangingDeg: Judgement['hangingDeg'];
  cellSizeMm: number | null;
  tryNext: string;
}

const judgedNow = (): Draft => ({
  rating: store.piece?.judgement?.rating ?? null,
  verdict: store.piece?.judgement?.verdict ?? null,
  hangingDeg: store.piece?.judgement?.hangingDeg ?? null,
  cells: store.piece?.judgement?.cells ?? null,
  lacing: store.piece?.judgement?.lacing ?? null,
  petals: store.piece?.judgement?.petals ?? null,
  mud: store.piece?.judgement?.mud ?? null,
  cellSizeMm: store.piece?.judgement?.cellSizeMm ?? null,
  tryNext: store.piece?.judgement?.tryNext ?? '',
});

const draft = ref<Draft>(judgedNow());
const problem = ref<unknown>(null);
const busy = ref(false);

const versionNow = () => store.piece?.judgement?.version ?? 0;
/** What the draft was begun from: another device may judge meanwhile, and nothing that is typed here goes with that. */
const basis = ref({ judged: judgedNow(), version: versionNow() });

function beginAnew(): void {
  draft.value = judgedNow();
  basis.value = { judged: judgedNow(), version: versionNow() };
}
watch(versionNow, () => {
  if (equal(draft.value, basis.value.judged)) beginAnew();
  // A fault was pinned: nothing of this form is newer.
  else if (equal(judgedNow(), basis.value.judged)) basis.value.version = versionNow();
});

const VERDICT_OPTIONS = VERDICTS.map((value) => ({ value, label: VERDICT_WORDS[value] }));
const HANGS = [
  { value: 0, label: 'as poured' },
  { value: 90, label: 'right edge up' },
  { value: 180, label: 'bottom edge up' },
  { value: 270, label: 'left edge up' },
];

/** A verdict that is kept leads on to the rack. */
const leadsOn = computed(() => store.progress.station === 'rack');
const changed = computed(() => !equal(draft.value, basis.value.judged));

async function keep(): Promise<void> {
  busy.value = true;
  problem.value = null;
  try {
    const { faults = [], note = '' } = store.piece?.judgement ?? {};
    await store.judge({ ...draft.value, faults, note }, basis.value.version);
    beginAnew();
    say('Judged.');
  } catch (error) {
    problem.value = error;
    if (!messageAt(error, 'cellSizeMm') && !messageAt(error, 'tryNext')) sayProblem(error);
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <form class="judge stacked" @submit.prevent="keep">
    <h2>Outcome</h2>
    <fieldset class="choice">
      <legend>rating</legend>
      <label v-for="value in 5" :key="value" :class="{ on: draft.rating === value }">
        <input v-model="draft.rating" type="radio" name="judge-rating" :value="value" />
        {{ value }}
      </label>
    </fieldset>
    <fieldset v-for="rated in RATED" :key="rated" class="choice">
      <legend>{{ rated }}</legend>
      <label v-for="(word, degree) in DEGREE_WORDS" :key="word" :class="{ on: draft[rated] === degree }">
        <input v-model="draft[rated]" type="radio" :name="`judge-${rated}`" :value="degree" />
        {{ word }}
      </label>
    </fieldset>
    <div class="row even stacked gap-16">
      <FieldRow label="Verdict" for="verdict">
        <Select
          id="verdict"
          :value="draft.verdict ?? undefined"
          allow-clear
          :options="VERDICT_OPTIONS"
          placeholder="not yet"
          @update:value="draft.verdict = ($event as Verdict | undefined) ?? null"
        />
      </FieldRow>
      <FieldRow label="It hangs" for="hangs">
        <Select
          id="hangs"
          :value="draft.hangingDeg ?? undefined"
          allow-clear
          :options="HANGS"
          placeholder="not yet"
          @update:value="draft.hangingDeg = ($event as Judgement['hangingDeg'] | undefined) ?? null"
        />
      </FieldRow>
    </div>
    <div class="row stacked gap-16">
      <QuantityField
        v-model="draft.cellSizeMm"
        quantity="depth"
        label="A usual cell is wide"
        :error="messageAt(problem, 'cellSizeMm')"
      />
      <FieldRow label="What to try next" for="try-next" :error="messageAt(problem, 'tryNext')">
        <Textarea id="try-next" v-model:value="draft.tryNext" :rows="2" />
      </FieldRow>
    </div>
    <p v-if="leadsOn">
      <RouterLink :to="`/rack/${store.piece?.id}?view=decide`">{{ store.progress.next }}</RouterLink>
    </p>
    <Button :type="changed ? 'primary' : 'default'" html-type="submit" :loading="busy" :disabled="!changed">
      {{ changed ? 'Keep the judgement' : store.piece?.judgement ? 'Kept' : 'Not judged yet' }}
    </Button>
  </form>
</template>

<style scoped>
fieldset.choice {
  display: grid;
  grid-template-columns: 58px repeat(5, auto);
}

fieldset.choice > label {
  padding: 0 4px;
  line-height: 1.15;
}

legend {
  float: left;
  align-self: center;
  padding: 0;
  color: var(--ink-soft);
}

.row {
  grid-template-columns: 140px minmax(0, 1fr);
}
.even {
  grid-template-columns: 1fr 1fr;
}
</style>
