<script setup lang="ts">
import { CAUTIONS } from '@icy-ribbon/core/paint/caution';
import { materialKind } from '@icy-ribbon/core/paint/material';
import { overPour } from '@icy-ribbon/core/paint/mix';
import { stageOf } from '@icy-ribbon/core/paint/stage';
import { toG } from '@icy-ribbon/core/base/unit';
import { useElementSize, useFullscreen } from '@vueuse/core';
import { Button } from 'ant-design-vue';
import { computed, onMounted, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { ApiProblem } from '../../api/problem.ts';
import CupDrawing from '../../drawing/CupDrawing.vue';
import { layersOf, shapeOf } from '../../drawing/cupLayers.ts';
import { sayProblem } from '../../notice/notices.ts';
import { useShortcuts } from '../../shortcut/shortcuts.ts';
import { usePiece } from '../../store/piece/piece.ts';
import { useRecipes } from '../../store/recipes.ts';
import { useScale } from '../../store/scale.ts';
import { useUnits } from '../../store/units.ts';
import { splitBatch } from './parts/batchSteps.ts';
import RepairPanel from './parts/RepairPanel.vue';
import ScalePanel from './parts/ScalePanel.vue';
import SpoonHint from './parts/SpoonHint.vue';
import { useRisingTone, useSpokenSteps } from './parts/scaleSound.ts';
import { useScaleSteps } from './parts/scaleSteps.ts';
import { stepWords } from './parts/stepWords.ts';

const props = defineProps<{ pieceId: string; mixId: string }>();

/** Close enough: half a percent, and never finer than the scale can show. */
const TOLERANCE_SHARE = 0.005;
const FINEST_TOLERANCE_MG = 100;

const store = usePiece();
const units = useUnits();
const recipes = useRecipes();
const router = useRouter();
const scale = useScale();
const page = ref<HTMLElement | null>(null);
const { isFullscreen, toggle: toggleFullscreen } = useFullscreen(page);
const vessel = ref<HTMLElement | null>(null);
const { height, width } = useElementSize(vessel);
/** A weighing is on its way; until it is there and the scale is zeroed, "done" would take it a second time. */
const keeping = ref(false);
const typedMg = ref<number | null>(null);

const cup = computed(() => store.cups.find((each) => each.mix.id === props.mixId));
const { current, following, skip, batch } = useScaleSteps(cup);
const over = computed(() => cup.value && overPour(cup.value.mix, cup.value.state));
const currentIngredient = computed(() =>
  cup.value?.mix.ingredients.find((each) => each.id === current.value?.ingredientId),
);
/** The usual caution for what is in hand at this step. */
const cautions = computed(() => {
  const kind = currentIngredient.value?.material.kind;
  const hazards = kind ? (materialKind(kind).hazards ?? []) : [];
  return hazards.filter((hazard) => hazard !== 'dust').map((hazard) => CAUTIONS[hazard]);
});
const nextCup = computed(() => store.toWeigh.find((each) => each.mix.id !== props.mixId));

const readingMg = computed(() => scale.reading.value?.mg ?? 0);
const toGoMg = computed(() => (current.value ? current.value.mg - readingMg.value : 0));
const toleranceMg = computed(() => Math.max(FINEST_TOLERANCE_MG, TOLERANCE_SHARE * (current.value?.mg ?? 0)));
const verdict = computed(() => {
  if (Math.abs(toGoMg.value) <= toleranceMg.value) return 'on target';
  return toGoMg.value < 0 ? 'over' : 'to go';
});

const shape = computed(() => (cup.value ? shapeOf(cup.value) : undefined));
const pxPerCm = computed(() => {
  if (!shape.value) return 20;
  const byHeight = (height.value - 24) / shape.value.heightCm;
  const byWidth = (width.value - 110) / (2 * shape.value.topRadiusCm);
  return Math.max(10, Math.min(byHeight, byWidth));
});

/** What a weight of this step is, ingredient by ingredient. */
function partOf(step: { ingredientId: string }, mg: number): Record<string, number> {
  if (!cup.value || !batch.value || step.ingredientId !== batch.value.id) return { [step.ingredientId]: mg };
  return Object.fromEntries(
    splitBatch(batch.value, Math.round(mg)).map((part) => [part.ingredientId, part.mg]),
  );
}

/** The cup with what lies on the scale right now drawn in on top. */
const layers = computed(() => {
  if (!cup.value) return [];
  const step = current.value;
  const liveMg = step ? Math.max(0, readingMg.value) : 0;
  if (!step || liveMg === 0) return layersOf(cup.value);
  return layersOf({
    ...cup.value,
    state: {
      ...cup.value.state,
      actualIngredientMg: cup.value.state.actualIngredientMg.map(
        (mg, index) => mg + (partOf(step, liveMg)[cup.value?.mix.ingredients[index]?.id ?? ''] ?? 0),
      ),
    },
  });
});

/** Where the surface should stand when this step is done. */
const targetMl = computed(() => {
  const step = current.value;
  if (!cup.value || !step) return undefined;
  return cup.value.mix.ingredients.reduce((sum, each, index) => {
    const inMg = cup.value?.state.actualIngredientMg[index] ?? 0;
    const stepMg = partOf(step, step.mg)[each.id] ?? 0;
    return sum + toG(inMg + stepMg) / each.material.densityGPerMl;
  }, 0);
});

const sentence = computed(() =>
  cup.value && current.value
    ? stepWords(current.value, cup.value.mix, (mg) => units.show('mass', mg, true), batch.value)
    : '',
);
const nextSentence = computed(() =>
  cup.value && following.value
    ? stepWords(following.value, cup.value.mix, (mg) => units.show('mass', mg, true), batch.value)
    : '',
);

const reached = computed(() => (current.value ? readingMg.value / current.value.mg : 0));
const moving = computed(() => Boolean(current.value && scale.reading.value && !scale.reading.value.settled));
const toneOn = useRisingTone(reached, moving);
const speechOn = useSpokenSteps(sentence);

let last: Promise<unknown> = Promise.resolve();

/** Does one thing after the other, however fast the buttons are pressed, and says what went wrong. */
function guarded(work: () => Promise<unknown>): Promise<void> {
  const run = async () => {
    try {
      await work();
    } catch (error) {
      sayProblem(error);
    }
  };
  const next = last.then(run);
  last = next;
  return next;
}

async function keep(mg: number, source: 'typed' | 'scale'): Promise<void> {
  const step = current.value;
  if (!step || !cup.value) return;
  const { mix } = cup.value;
  const medium = batch.value;
  if (medium && step.ingredientId === medium.id) await store.draw(mix.id, medium.mixId, mg);
  else await store.weighIn(mix.id, step.ingredientId, mg, source);
  await scale.tare();
}

/** Done, next: takes the typed weight if there is one, else what the scale shows once it has settled. */
function doneNext(): void {
  if (!current.value) {
    goOn();
    return;
  }
  if (keeping.value) return;
  keeping.value = true;
  const typed = typedMg.value;
  typedMg.value = null;
  const work = typed === null ? keepReading : () => keepTyped(typed);
  void guarded(work).finally(() => (keeping.value = false));
}

async function keepTyped(mg: number): Promise<void> {
  try {
    await keep(mg, 'typed');
  } catch (error) {
    typedMg.value = mg;
    throw error;
  }
}

async function keepReading(): Promise<void> {
  if (scale.reading.value && !scale.reading.value.settled) {
    throw new ApiProblem(notice('The scale is still moving: wait until it has settled.'));
  }
  if (readingMg.value <= 0) {
    throw new ApiProblem(notice('Nothing is on the scale: pour, or type what your scale shows.'));
  }
  await keep(readingMg.value, 'scale');
}

const notice = (detail: string) => ({ type: 'about:blank', title: '', status: 0, detail });

function bringUp(): void {
  const found = over.value;
  if (cup.value && found) {
    const { mix } = cup.value;
    void guarded(() => store.retarget(mix, found.bringUp.targetsMg));
  }
}

function keepSo(): void {
  const found = over.value;
  if (cup.value && found) {
    const { mix } = cup.value;
    void guarded(() => store.retarget(mix, found.keep.targetsMg));
  }
}

function takeShareOut(): void {
  const found = over.value;
  if (!cup.value || !found) return;
  void guarded(async () => {
    await store.moveOut(props.mixId, 'taken-out', found.takeOut.mg);
    const now = cup.value;
    if (!now) return;
    const targets = found.takeOut.targetsMg.map((target, index) =>
      Math.max(target, now.state.actualIngredientMg[index] ?? 0),
    );
    await store.retarget(now.mix, targets);
  });
}

/** Strikes out the last thing weighed in; a medium goes back to its own cup. */
function takeBack(): void {
  const latest = cup.value?.mix.additions.at(-1);
  if (latest) void guarded(() => store.takeBackAddition(props.mixId, latest));
}

function pourStep(): void {
  const missingMg = Math.round(toGoMg.value);
  if (current.value && missingMg > 0) void guarded(() => scale.pour(missingMg));
}

function goOn(): void {
  if (nextCup.value) {
    void router.push({ name: 'scale', params: { pieceId: props.pieceId, mixId: nextCup.value.mix.id } });
  } else {
    void router.push({ name: 'mix', params: { pieceId: props.pieceId } });
  }
}

/** A new cup is put on the scale whenever another mix comes up. */
watch(
  () => props.mixId,
  () => void scale.newCup().catch(sayProblem),
);
onMounted(() => {
  recipes.ensure().catch(sayProblem);
  scale.newCup().catch(sayProblem);
});

useShortcuts('At the scale', [
  {
    keys: [' ', 'PageDown'],
    shown: 'Space, Page Down',
    does: 'Done, next (a foot pedal sends Page Down)',
    run: doneNext,
  },
  { keys: ['Enter'], shown: 'Enter', does: 'Done, next', run: doneNext },
  { keys: ['Backspace'], shown: 'Backspace', does: 'Take the last one back', run: takeBack },
  { keys: ['p'], shown: 'P', does: 'Let the stand-in pour to the target', run: pourStep },
  { keys: ['t'], shown: 'T', does: 'Zero the scale', run: () => void guarded(scale.tare) },
  { keys: ['s'], shown: 'S', does: 'Skip this step, or say that the thickness is right', run: skip },
  { keys: ['f'], shown: 'F', does: 'Full screen', run: () => void toggleFullscreen() },
]);
</script>

<template>
  <main v-if="cup" ref="page" class="scale">
    <div ref="vessel" class="vessel">
      <CupDrawing
        v-if="shape"
        :shape="shape"
        :layers="layers"
        :px-per-cm="pxPerCm"
        :target-ml="targetMl"
        :title="`The cup ${cup.mix.name} as it fills`"
        :show="(mg) => units.show('mass', mg)"
      />
    </div>
    <section class="numbers" aria-live="off">
      <h1>{{ cup.mix.name }}</h1>
      <RepairPanel
        v-if="over"
        :cup="cup"
        :over="over"
        @bring-up="bringUp"
        @keep="keepSo"
        @take-out="takeShareOut"
      />
      <template v-else-if="current">
        <p class="huge numeral" :class="verdict === 'over' ? 'alarm' : verdict === 'on target' ? 'look' : ''">
          {{ units.showNumber('mass', Math.abs(toGoMg), true) }}
          <span class="unit">{{ units.unitLabel('mass') }}</span>
        </p>
        <p class="verdict">
          {{ verdict === 'on target' ? 'on target, within' : verdict }}
          <template v-if="verdict === 'on target'">
            {{ units.show('mass', toleranceMg, true) }}
          </template>
        </p>
      </template>
      <template v-else>
        <p class="huge numeral">
          {{ units.showNumber('mass', cup.state.actualMg) }}
          <span class="unit">{{ units.unitLabel('mass') }}</span>
        </p>
        <p class="verdict">
          Mixed: {{ stageOf(cup.state.properties.viscosityPaS).name }},
          {{ cup.state.properties.viscosityPaS.toPrecision(2) }} Pa·s,
          {{ Math.round(cup.state.properties.waterFraction * 100) }} % water. Put the lid on.
        </p>
        <p v-if="cup.state.water.level !== 'fine'" class="look">{{ cup.state.water.reason }}</p>
      </template>
    </section>
    <section class="step">
      <p class="now">{{ current ? sentence : 'This cup is done.' }}</p>
      <SpoonHint
        v-if="current && currentIngredient?.role === 'powder'"
        class="hint"
        :ingredient="currentIngredient"
        :mg="current.mg"
      />
      <p v-for="caution in cautions" :key="caution" class="look hint">
        {{ caution }} {{ CAUTIONS.deferral }}
      </p>
      <Button class="done" type="primary" size="large" :loading="keeping" @click="doneNext">
        {{ current ? 'Done, next' : nextCup ? `Next cup: ${nextCup.mix.name}` : 'Back to the cups' }}
      </Button>
      <p class="soft">
        {{
          current
            ? nextSentence || 'Then the cup is mixed.'
            : nextCup
              ? `Next cup: ${nextCup.mix.name}.`
              : 'All cups are mixed.'
        }}
      </p>
    </section>
    <ScalePanel
      v-model:typed="typedMg"
      :reading="scale.reading.value"
      :info="scale.info.value"
      :active="current !== undefined"
      @pour="pourStep"
      @drops="guarded(() => scale.pour(250))"
      @stop="guarded(scale.stop)"
      @tare="guarded(scale.tare)"
      @done="doneNext"
      @disturb="(kind) => guarded(() => scale.disturb(kind))"
    >
      <Button v-if="current" type="text" @click="skip">
        {{ current.portion === 'thin' ? 'It is right' : 'Skip' }}
      </Button>
      <Button type="text" :disabled="cup.mix.additions.length === 0" @click="takeBack">Take back</Button>
      <Button type="text" :aria-pressed="toneOn" @click="toneOn = !toneOn">
        {{ toneOn ? 'Tone off' : 'Tone' }}
      </Button>
      <Button type="text" :aria-pressed="speechOn" @click="speechOn = !speechOn">
        {{ speechOn ? 'Quiet' : 'Speak' }}
      </Button>
      <Button type="text" @click="toggleFullscreen()">
        {{ isFullscreen ? 'Leave full screen' : 'Full screen' }}
      </Button>
      <RouterLink class="to-bench" :to="{ name: 'mix', params: { pieceId } }">Back to the cups</RouterLink>
    </ScalePanel>
  </main>
  <main v-else class="gone">
    <p>This cup is no longer on the bench.</p>
    <RouterLink :to="{ name: 'mix', params: { pieceId } }">Back to the cups</RouterLink>
  </main>
</template>

<style scoped>
.scale {
  display: grid;
  height: 100%;
  grid-template-columns: minmax(280px, 42%) minmax(0, 1fr);
  grid-template-rows: minmax(0, 1fr) auto auto;
  background: var(--bench);
}

.vessel {
  display: grid;
  place-items: end center;
  padding: 16px 16px 0 32px;
  min-height: 0;
  overflow: hidden;
}

.numbers {
  align-self: center;
  padding: 0 24px;
}

.huge {
  font-size: clamp(88px, 15vw, 190px);
  line-height: 1.05;
  letter-spacing: -0.04em;
}

.unit {
  font-size: 0.34em;
  color: var(--ink-soft);
  letter-spacing: 0;
}

.verdict {
  font-size: 22px;
}

.step {
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  padding: 12px 32px;
  border-top: 1px solid var(--rule);
}

.now {
  font-size: 24px;
  font-weight: 500;
}

.hint {
  grid-column: 1;
}

.done {
  grid-column: 2;
  grid-row: 1 / span 4;
  align-self: center;
  min-height: 56px;
}

.to-bench {
  padding: 8px 12px;
}

.gone {
  padding: 48px;
}
</style>
