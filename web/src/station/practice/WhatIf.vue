<script setup lang="ts">
import { InputError } from '@icy-ribbon/core/base/error';
import {
  isPlanned,
  sceneOf,
  whatIfCauses,
  whatIfRuns,
  type Scene,
  type WhatIfCause,
  type WhatIfRun,
} from '@icy-ribbon/core/piece/rehearse';
import { Button } from 'ant-design-vue';
import { computed, onMounted, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { say } from '#notice/notices.ts';
import { attempt } from '#notice/useTask.ts';
import { useFilmFit } from '#store/filmFit.ts';
import { useOwnCells } from '#store/ownCells.ts';
import { usePiece } from '#store/piece/piece.ts';
import { usePlan } from '#store/plan/plan.ts';
import { useUnits } from '#store/units.ts';
import { CAUSE_WORDS, causeValueWords } from '#words/whatIf.ts';
import SmallPicture from '#drawing/SmallPicture.vue';
import { useFilmUnknowns } from '#store/useFilmUnknowns.ts';
import { useWhatIf, type WhatIfResult } from './parts/useWhatIf.ts';
import { percent } from '#words/percent.ts';
import { petalsCounted } from '#words/petals.ts';

/** One cause of a plan changed, or two crossed: small runs side by side, the best by the aim first. */
const props = defineProps<{ pieceId: string }>();
const store = usePiece();
const plan = usePlan();
const units = useUnits();
const router = useRouter();
const { results, isRunning, estimateS, share, estimate, start, cancel } = useWhatIf();

const own = useOwnCells();
const fit = useFilmFit();
const unknowns = useFilmUnknowns();
const first = ref<WhatIfCause>('distance');
const second = ref<WhatIfCause | ''>('');
const opened = ref(false);
onMounted(() =>
  attempt(async () => {
    await Promise.all([plan.open(), own.load(), fit.load()]);
    opened.value = true;
    const aims = store.piece?.aims;
    sortBy.value = aims?.negativeSpace ? 'open' : aims?.reach === 'full' ? 'reach' : 'cells';
  }),
);

const causes = computed(() => (opened.value ? whatIfCauses({ plan: plan.body, paints: plan.paints }) : []));
const runs = computed<{ run: WhatIfRun; scene: Scene }[]>(() => {
  const { piece } = store;
  if (!piece || !opened.value) return [];
  const chosen = second.value ? ([first.value, second.value] as const) : ([first.value] as const);
  try {
    return whatIfRuns({ plan: plan.body, paints: plan.paints }, chosen).map((run) => ({
      run,
      scene: sceneOf(piece.support, run.plan, run.paints, plan.blowers, unknowns.value.strength),
    }));
  } catch (error) {
    if (error instanceof InputError) return [];
    throw error;
  }
});
const canRun = computed(() => runs.value.length > 0 && runs.value[0]!.scene.strokes.length > 0);
watch(
  [runs],
  () =>
    canRun.value &&
    !isRunning.value &&
    attempt(() =>
      estimate(
        runs.value.map(({ scene }) => scene),
        unknowns.value,
      ),
    ),
  { immediate: true },
);

/** What it may be sorted by, each with its one number. */
const SORTS = {
  open: { label: 'base left open', of: (r: WhatIfResult) => r.numbers!.negativeSpace },
  reach: { label: 'reach of the petals', of: (r: WhatIfResult) => r.numbers!.petals.reachMm },
  petals: { label: 'number of petals', of: (r: WhatIfResult) => r.numbers!.petals.count ?? -1 },
  cells: { label: 'open cells', of: (r: WhatIfResult) => r.numbers!.cells.open },
  middle: { label: 'least left in the middle', of: (r: WhatIfResult) => -r.numbers!.middleMm },
} as const;
const sortBy = ref<keyof typeof SORTS>('cells');
const sorted = computed(() =>
  [...results.value].sort((a, b) => {
    if (!a.numbers || !b.numbers) return a.numbers ? -1 : b.numbers ? 1 : 0;
    return SORTS[sortBy.value].of(b) - SORTS[sortBy.value].of(a);
  }),
);
function number(result: WhatIfResult): string {
  const now = result.numbers;
  if (!now) return '';
  switch (sortBy.value) {
    case 'open':
      return `${percent(now.negativeSpace)} open`;
    case 'reach':
      return units.show('length', now.petals.reachMm);
    case 'petals':
      return `petals: ${petalsCounted(now.petals.count)}`;
    case 'cells':
      return now.cells.open > 0
        ? `${now.cells.open} cells of ${units.show('depth', now.cells.medianMm)}`
        : 'no cells';
    case 'middle':
      return `${units.show('depth', now.middleMm)} in the middle`;
  }
}
const words = ({ values }: WhatIfRun) =>
  Object.entries(values)
    .map(([cause, value]) => causeValueWords(cause as WhatIfCause, value))
    .join(', ');

const begin = () => attempt(() => start(runs.value, unknowns.value));

/** What the plan can say is taken into it; what a cup must be mixed for is said. */
function take({ run }: WhatIfResult): void {
  const { base, stacks, passes, settings } = run.plan;
  const mixed = (Object.keys(run.values) as WhatIfCause[]).filter(
    (cause) => !isPlanned(cause) && run.values[cause] !== 1,
  );
  plan.edit((now) => ({ ...now, base, stacks, passes, settings }));
  void plan.flush();
  const cup = mixed.map((cause) => causeValueWords(cause, run.values[cause]!)).join(' and ');
  say(cup ? `Taken into the plan. The activator is to be mixed: ${cup}.` : 'Taken into the plan.', plan.undo);
  void router.push(`/practice/piece/${props.pieceId}`);
}
</script>

<template>
  <main v-if="store.piece" class="what-if stacked gap-16">
    <header>
      <h1>What if, with {{ store.piece.name }}</h1>
      <RouterLink :to="`/practice/piece/${pieceId}`">Back</RouterLink>
    </header>
    <p v-if="opened && !canRun">There are no passes to try: plan some air first.</p>
    <div v-else class="ask">
      <label class="pick">
        Change
        <select v-model="first" :disabled="isRunning">
          <option v-for="cause in causes" :key="cause" :value="cause">
            {{ CAUSE_WORDS[cause] }}
          </option>
        </select>
      </label>
      <label class="pick">
        crossed with
        <select v-model="second" :disabled="isRunning">
          <option value="">nothing else</option>
          <option v-for="cause in causes.filter((each) => each !== first)" :key="cause" :value="cause">
            {{ CAUSE_WORDS[cause] }}
          </option>
        </select>
      </label>
      <Button v-if="!isRunning" type="primary" :disabled="!canRun" @click="begin">
        Run {{ runs.length }}
      </Button>
      <Button v-else @click="cancel">Stop</Button>
      <p role="status">
        <template v-if="isRunning">{{ Math.round(100 * share) }}&nbsp;% done.</template>
        <template v-else-if="estimateS !== null"
          >About {{ Math.max(1, Math.round(estimateS)) }}&nbsp;s.</template
        >
      </p>
      <label v-if="results.length > 0" class="pick">
        The best by
        <select v-model="sortBy">
          <option v-for="(sort, key) in SORTS" :key="key" :value="key">{{ sort.label }}</option>
        </select>
      </label>
    </div>
    <p v-if="canRun && results.length === 0" class="soft">
      Each run is the plan with this one thing changed, blown from its first pass to its last. The plan stays
      as it is until you take one.
    </p>
    <ol v-if="results.length > 0" class="sheet stacked gap-16" aria-label="Runs">
      <li v-for="result in sorted" :key="words(result.run)">
        <SmallPicture :picture="result.picture" :share="result.share" :label="words(result.run)" />
        <strong>{{ number(result) }}</strong>
        <span>{{ words(result.run) }}</span>
        <Button v-if="result.picture" @click="take(result)">Take this one</Button>
      </li>
    </ol>
  </main>
</template>

<style scoped>
.what-if {
  align-content: start;
  padding: 16px 24px;
}

header,
.ask {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
  align-items: end;
}

.sheet {
  grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: grid;
  gap: 4px;
  align-content: start;
  justify-items: start;
}
</style>
