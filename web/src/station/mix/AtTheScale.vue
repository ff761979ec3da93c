<script setup lang="ts">
import { CAUTIONS } from '@icy-ribbon/core/paint/caution';
import { useFullscreen } from '@vueuse/core';
import { Button } from 'ant-design-vue';
import { computed, defineAsyncComponent, onMounted, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { sayProblem } from '#notice/notices.ts';
import { buzz, useAwake } from '#notice/awake.ts';
import { useShortcuts } from '#shortcut/shortcuts.ts';
import { useRecipes } from '#store/recipes.ts';
import { useScale } from '#store/scale.ts';
import LeftForLater from './parts/LeftForLater.vue';
import OrderInCup from './parts/OrderInCup.vue';
import ScaleNumber from './parts/ScaleNumber.vue';
import ScalePanel from '#field/ScalePanel.vue';
import ScaleVessel from './parts/ScaleVessel.vue';
import { useRisingTone, useSpokenSteps } from './parts/scaleSound.ts';
import { useStepWords } from './parts/useStepWords.ts';
import { useWeighing } from './parts/useWeighing.ts';

/** What few cups need is brought when it is needed. */
const RepairPanel = defineAsyncComponent(() => import('./parts/RepairPanel.vue'));
const SpoonHint = defineAsyncComponent(() => import('./parts/SpoonHint.vue'));

const props = defineProps<{ pieceId: string; cupId: string }>();

const recipes = useRecipes();
const router = useRouter();
const scale = useScale();
const page = ref<HTMLElement | null>(null);
const { isFullscreen, toggle: toggleFullscreen } = useFullscreen(page);
const everything = useWeighing(() => props.cupId);
const {
  cup,
  current,
  later,
  toRead,
  over,
  currentIngredient,
  readingMg,
  toGoMg,
  toleranceMg,
  verdict,
  onScale,
  wholeStep,
  keeping,
  typedMg,
  guarded,
  ...weighing
} = everything;
const { nextCup, cautions, sentence, told, doneLabel, then } = useStepWords(everything, () => props.cupId);

const reached = computed(() => (current.value ? readingMg.value / current.value.mg : 0));
const moving = computed(() => Boolean(current.value && scale.reading.value && !scale.reading.value.settled));
const toneOn = useRisingTone(reached, moving);
const speechOn = useSpokenSteps(sentence);

const canLeaveOut = computed(() =>
  Boolean(later.value.length > 0 && cup.value && cup.value.state.actualMg > 0),
);

/** Done, next: keeps what this step weighs; a mixed cup makes room for the next one. */
function doneNext(): void {
  buzz();
  if (current.value) weighing.doneStep();
  else if (later.value.length > 0) weighing.takeUp();
  else goOn();
}

function goOn(): void {
  if (nextCup.value) {
    void router.push({ name: 'scale', params: { pieceId: props.pieceId, cupId: nextCup.value.mix.id } });
  } else {
    void router.push({ name: 'mix', params: { pieceId: props.pieceId } });
  }
}

/** A new cup is put on the scale whenever another mix comes up. */
watch(
  () => props.cupId,
  () => void scale.newCup().catch(sayProblem),
);
onMounted(() => {
  recipes.ensure().catch(sayProblem);
  scale.newCup().catch(sayProblem);
});

useAwake();

useShortcuts('At the scale', [
  {
    keys: [' ', 'PageDown'],
    shown: 'Space, Page Down',
    does: 'Done, next (a foot pedal sends Page Down)',
    run: doneNext,
  },
  { keys: ['Enter'], shown: 'Enter', does: 'Done, next', run: doneNext },
  { keys: ['Backspace'], shown: 'Backspace', does: 'Take the last one back', run: weighing.takeBack },
  { keys: ['p'], shown: 'P', does: 'Let the stand-in pour to the target', run: weighing.pourStep },
  { keys: ['t'], shown: 'T', does: 'Zero the scale', run: () => void guarded(scale.tare) },
  {
    keys: ['s'],
    shown: 'S',
    does: 'Leave this step for later, or say that the thickness is right',
    run: weighing.skip,
  },
  { keys: ['f'], shown: 'F', does: 'Full screen', run: () => void toggleFullscreen() },
]);
</script>

<template>
  <main v-if="cup" ref="page" class="scale" :class="{ full: isFullscreen }">
    <ScaleVessel :cup="cup" :on-scale="onScale" :step="wholeStep" />
    <section class="numbers" aria-live="off">
      <h1>{{ cup.mix.name }}</h1>
      <RepairPanel
        v-if="over"
        :cup="cup"
        :over="over"
        @bring-up="weighing.bringUp"
        @keep="weighing.keepSo"
        @take-out="weighing.takeShareOut"
      />
      <ScaleNumber
        v-else
        :cup="cup"
        :to-go-mg="current ? toGoMg : null"
        :tolerance-mg="toleranceMg"
        :verdict="verdict"
      />
    </section>
    <section class="step">
      <Button v-if="isFullscreen" class="leave" type="text" @click="toggleFullscreen()"
        >Leave full screen</Button
      >
      <p class="now">
        {{ told }}
      </p>
      <SpoonHint
        v-if="current && currentIngredient?.role === 'powder'"
        class="hint"
        :ingredient="currentIngredient"
        :mg="current.mg"
      />
      <p v-for="caution in cautions" :key="caution" class="look hint">
        {{ caution }} {{ CAUTIONS.deferral }}
      </p>
      <Button
        class="done"
        type="primary"
        size="large"
        :loading="keeping && typedMg === null"
        @click="doneNext"
      >
        <span v-if="isFullscreen" class="told">{{ told }}</span>
        {{ doneLabel }}
      </Button>
      <LeftForLater
        v-if="later.length > 0"
        :can-leave-out="canLeaveOut"
        :next-cup="nextCup?.mix.name"
        @leave-out="weighing.leaveOut"
        @go-on="goOn"
      />
      <p v-else-if="!current && toRead" class="soft">
        <RouterLink :to="{ name: 'cup-thickness', params: { pieceId, cupId } }">Read this cup</RouterLink>
      </p>
      <p v-else class="soft">{{ then }}</p>
    </section>
    <ScalePanel
      v-show="!isFullscreen || !scale.info.value"
      v-model:typed="typedMg"
      :reading="scale.reading.value"
      :info="scale.info.value"
      :active="current !== undefined"
      @pour="weighing.pourStep"
      @drops="guarded(() => scale.pour(250))"
      @stop="guarded(scale.stop)"
      @tare="guarded(scale.tare)"
      @done="doneNext"
      @disturb="(kind) => guarded(() => scale.disturb(kind))"
    >
      <Button v-if="current || toRead" type="text" @click="weighing.skip">
        {{ !current || current.portion === 'thin' ? 'It is right' : 'Later' }}
      </Button>
      <Button type="text" :disabled="cup.mix.additions.length === 0" @click="weighing.takeBack"
        >Take back</Button
      >
      <Button type="text" :aria-pressed="toneOn" @click="toneOn = !toneOn">
        {{ toneOn ? 'Tone off' : 'Tone' }}
      </Button>
      <Button type="text" :aria-pressed="speechOn" @click="speechOn = !speechOn">
        {{ speechOn ? 'Quiet' : 'Speak' }}
      </Button>
      <Button type="text" @click="toggleFullscreen()">
        {{ isFullscreen ? 'Leave full screen' : 'Full screen' }}
      </Button>
      <OrderInCup
        v-if="cup.mix.ingredients.some(({ role }) => role === 'medium')"
        :recipe-id="cup.mix.recipe.id"
      />
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

.numbers {
  align-self: center;
  padding: 0 24px;
}

.step {
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  column-gap: 24px;
  padding: 12px 24px;
  border-top: 1px solid var(--rule);
}

.now {
  font-size: var(--type-title);
  font-weight: var(--weight-strong);
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
.leave {
  position: absolute;
  right: 8px;
  top: 8px;
}

/* Full screen: the cup, the number, and one button as wide as a hand. */
.full .step {
  display: block;
  padding: 0;
}

.full .step > :not(.done, .leave, .look) {
  display: none;
}

.full .done {
  width: 100%;
  height: 26vh;
  border-radius: 0;
  font-size: var(--type-step);
  white-space: normal;
}

.full .told {
  display: block;
  margin-bottom: 8px;
  font-size: var(--type-title);
  line-height: 1.3;
}

/* The number and one button under the thumb. */
@media (width < 600px) {
  .scale:not(.full) {
    grid-template-columns: 96px minmax(0, 1fr);
    min-height: 100%;
    height: auto;
  }

  .numbers {
    padding: 16px 16px 16px 8px;
  }

  .step {
    grid-template-columns: minmax(0, 1fr);
    padding: 12px 16px;
  }

  .done {
    grid-column: 1;
    grid-row: auto;
    width: 100%;
    min-height: 72px;
    margin: 8px 0;
    white-space: normal;
  }
}

/* A phone that is turned: the number beside the step and its button. */
@media (height < 480px) and (width >= 600px) {
  .scale:not(.full) {
    grid-template-columns: minmax(220px, 40%) minmax(0, 1fr);
    grid-template-rows: auto auto;
    height: auto;
  }

  .scale:not(.full) > :deep(.vessel) {
    display: none;
  }

  .scale:not(.full) .numbers {
    align-self: start;
    padding: 8px 16px;
  }

  .scale:not(.full) .step {
    grid-column: 2;
    grid-template-columns: minmax(0, 1fr);
    padding: 8px 16px;
    border-top: 0;
  }

  .scale:not(.full) .done {
    grid-column: 1;
    grid-row: auto;
    width: 100%;
    min-height: var(--touch-step);
    margin: 8px 0;
  }
}
</style>
