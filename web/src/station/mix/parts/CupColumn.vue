<script setup lang="ts">
import { stageOf } from '@icy-ribbon/core/paint/stage';
import { Button } from 'ant-design-vue';
import { computed, ref, watch } from 'vue';
import ColorDot from '#drawing/ColorDot.vue';
import { messageAt } from '#api/problem.ts';
import CupDrawing from '#drawing/CupDrawing.vue';
import { layersOf, shapeOf } from '#drawing/cupLayers.ts';
import ComputedFrom from '#field/ComputedFrom.vue';
import QuantityField from '#field/QuantityField.vue';
import { say, sayProblem } from '#notice/notices.ts';
import { attempt } from '#notice/useTask.ts';
import { useNeeds } from '#store/needs.ts';
import { usePiece, type Cup } from '#store/piece/piece.ts';
import { useMoney } from '#store/money.ts';
import { useShelf } from '#store/shelf.ts';
import { useUnits } from '#store/units.ts';
import { fillWords, stageWords } from '#words/cup.ts';
import { driesTo } from './driesTo.ts';
import { cupCostCents } from '#store/cupCost.ts';
import { partsWords, ROLE_LABELS } from '#words/general.ts';

const props = defineProps<{ cup: Cup; pxPerCm: number; labels: 'beside' | 'over' }>();

const store = usePiece();
const units = useUnits();
const needs = useNeeds();
const totalMg = ref<number | null>(props.cup.state.targetMg);
const problem = ref<unknown>(null);

watch(
  () => props.cup.state.targetMg,
  (next) => (totalMg.value = next),
);

const shape = computed(() => shapeOf(props.cup));
const layers = computed(() => layersOf(props.cup));
const stage = computed(() => stageOf(props.cup.state.properties.viscosityPaS));
const recipeName = computed(() =>
  [props.cup.mix.recipe.name, props.cup.mix.recipe.variant].filter(Boolean).join(', '),
);
const fill = computed(() => fillWords(props.cup, (mg) => units.show('mass', mg)));
const untouched = computed(() => props.cup.state.phase === 'planned');
const shelf = useShelf();
const money = useMoney();
const cost = computed(() => cupCostCents(props.cup.mix, shelf.materials));
const dry = computed(() => driesTo(props.cup.colorHex, props.cup.mix.ingredients, shelf.materials));
const title = computed(
  () =>
    `${props.cup.mix.name}: ${layers.value
      .map(
        (each) =>
          `${each.label} ${units.show('mass', each.mg)}${each.state === 'in' ? ' weighed in' : ' to come'}`,
      )
      .join(', ')}`,
);

async function resize(next: number | null): Promise<void> {
  if (next === null || next === props.cup.state.targetMg) return;
  problem.value = null;
  try {
    await store.changeCup(props.cup.mix, { totalMg: next });
  } catch (error) {
    problem.value = error;
  }
}

async function remove(): Promise<void> {
  await attempt(async () => {
    const removed = await needs.refitting(() => store.removeCup(props.cup.mix));
    say(`The cup "${removed.name}" is off the bench.`, () => store.restoreCup(removed).catch(sayProblem));
  });
}
</script>

<template>
  <article class="cup" :aria-label="`Cup ${cup.mix.name}`">
    <CupDrawing
      :shape="shape"
      :layers="layers"
      :px-per-cm="pxPerCm"
      :labels="labels"
      :title="title"
      :show="(mg) => units.show('mass', mg)"
    />
    <div class="caption">
      <h2>{{ cup.mix.name }}</h2>
      <p class="soft small" :title="recipeName">
        {{ ROLE_LABELS[cup.mix.role] }}, {{ partsWords(cup.state.parts) }}
      </p>
      <p class="small">
        {{ stageWords(cup.state.phase, stage.name) }},
        {{ cup.state.properties.viscosityPaS.toPrecision(2) }} Pa·s
        <ComputedFrom calculation="mix" :trust="cup.state.trust" />
      </p>
      <p
        class="small"
        :class="cup.state.water.level === 'fine' ? 'soft' : 'look'"
        :title="cup.state.water.reason"
      >
        {{ units.show('volume', cup.state.properties.volumeMl) }},
        {{ Math.round(cup.state.properties.waterFraction * 100) }} % water{{
          cup.state.water.level === 'fine' ? '' : ', film gets weak'
        }}{{ cost === undefined ? '' : `, costs ${money.show(cost)}` }}
      </p>
      <p v-if="dry" class="small soft" :title="dry.from">
        <ColorDot :color="dry.hex" :size-px="12" /> {{ dry.words }}
      </p>
      <p v-if="cup.state.film.weak" class="small look" :title="cup.state.film.reason">little binder</p>
      <div class="actions">
        <QuantityField
          v-if="untouched"
          v-model="totalMg"
          class="total"
          :label="`Amount of ${cup.mix.name}`"
          quantity="mass"
          bare
          :error="messageAt(problem, 'totalMg')"
          @commit="resize"
        />
        <p v-else class="numeral in">
          {{ units.show('mass', cup.state.actualMg) }} <span class="soft">in</span>
        </p>
        <span v-if="cup.state.phase === 'weighing'" class="small look fill">{{ fill }}</span>
      </div>
      <div class="actions">
        <RouterLink
          v-if="cup.state.phase !== 'mixed'"
          class="weigh"
          :to="{ name: 'scale', params: { pieceId: cup.mix.pieceId, cupId: cup.mix.id } }"
        >
          {{ untouched ? 'Weigh in' : 'Go on' }}
        </RouterLink>
        <span v-else class="soft small">{{ fill }}</span>
        <Button
          class="remove"
          type="text"
          size="small"
          :aria-label="`Remove ${cup.mix.name}`"
          @click="remove"
        >
          Remove
        </Button>
      </div>
    </div>
  </article>
</template>

<style scoped>
.cup {
  display: grid;
  min-width: 144px;
}

.caption {
  display: grid;
  align-content: start;
  grid-auto-rows: max-content;
  height: 200px;
  gap: 1px;
  padding-top: 8px;
  margin-top: 2px;
  border-top: 2px solid var(--ice-deep);
}

h2 {
  font-size: var(--type-text);
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.actions {
  display: flex;
  align-items: center;
  justify-content: space-between;
  min-height: 40px;
}

.total {
  width: 128px;
}

.in {
  white-space: nowrap;
  font-size: var(--type-lead);
}

.fill {
  max-width: 92px;
  line-height: 1.25;
}

.remove {
  padding-inline: 6px;
  font-size: var(--type-note);
  font-weight: var(--weight-plain);
  color: var(--ink-soft);
}

.weigh {
  padding: 6px 0;
  font-weight: var(--weight-strong);
}
</style>
