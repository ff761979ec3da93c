<script setup lang="ts">
import { openSecondsLeft, RESIN_MINUTES, sharesOfPot } from '@icy-ribbon/core/piece/finish';
import { useNow } from '@vueuse/core';
import { Button } from 'ant-design-vue';
import { computed, onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import ToleranceBand from '#drawing/ToleranceBand.vue';
import ScalePanel from '#field/ScalePanel.vue';
import { say, sayProblem } from '#notice/notices.ts';
import { attempt } from '#notice/useTask.ts';
import { useShortcuts } from '#shortcut/shortcuts.ts';
import { useCoatKit, type Pot } from '#store/coatKit.ts';
import { sendCare } from '#store/piece/care.ts';
import { usePiece } from '#store/piece/piece.ts';
import { useScale } from '#store/scale.ts';
import { useUnits } from '#store/units.ts';
import { clockWords, useWaits } from '#store/waits.ts';
import { withWeight } from './parts/weighPot.ts';
import { partToWeigh, potCaution, potSentence, stepsOf } from './parts/potWords.ts';

/** A coat at the scale: one step at a time, the number or the clock huge. */
const props = defineProps<{ pieceId: string }>();

const store = usePiece();
const kit = useCoatKit();
const units = useUnits();
const waits = useWaits();
const router = useRouter();
const scale = useScale();
const now = useNow({ interval: 250 });

onMounted(() => scale.newCup().catch(sayProblem));

const pot = computed(() => kit.pot);
const steps = computed(() => stepsOf(pot.value?.kind ?? 'resin'));
const following = computed(() => {
  const here = pot.value;
  if (!here) return undefined;
  return steps.value[steps.value.indexOf(here.step) + 1];
});
const weighing = computed(() => (pot.value?.step === 'weigh' ? partToWeigh(pot.value) : undefined));
const grams = (mg: number) => units.show('mass', mg, true);
const sentence = computed(() => (pot.value ? potSentence(pot.value, pot.value.step, grams) : ''));
const nextSentence = computed(() => {
  const here = pot.value;
  if (!here) return '';
  const next = weighing.value === undefined ? undefined : here.parts[weighing.value + 1];
  if (next) return `Then ${grams(next.mg)} of ${next.name}.`;
  return following.value ? potSentence(here, following.value, grams) : '';
});

/** Half a percent, and never finer than the scale shows: a wrong ratio stays sticky. */
const TOLERANCE_SHARE = 0.005;
const FINEST_MG = 100;
const targetMg = computed(() =>
  weighing.value === undefined ? 0 : (pot.value?.parts[weighing.value]?.mg ?? 0),
);
const toleranceMg = computed(() => Math.max(FINEST_MG, TOLERANCE_SHARE * targetMg.value));
const readingMg = computed(() => scale.reading.value?.mg ?? 0);
const toGoMg = computed(() => targetMg.value - readingMg.value);
const typedMg = ref<number | null>(null);

/** The clock of the step: how long it is stirred, how long it may still be poured, how long it is left. */
const clock = computed(() => {
  const here = pot.value;
  if (!here || here.kind !== 'resin') return null;
  const nowMs = now.value.getTime();
  if (here.step === 'stir') {
    return { words: clockWords(60 * RESIN_MINUTES.stir - (nowMs - here.sinceMs) / 1000), of: 'to stir' };
  }
  if (here.step === 'wait') {
    return { words: clockWords(60 * RESIN_MINUTES.bubbles - (nowMs - here.sinceMs) / 1000), of: 'to wait' };
  }
  if (here.stirredAtMs !== null && here.step !== 'cover') {
    const left = openSecondsLeft(
      { stirredAtMs: here.stirredAtMs, openMinutes: kit.resin.openMinutes ?? RESIN_MINUTES.open },
      nowMs,
    );
    return { words: clockWords(left), of: left < 0 ? 'over its open time' : 'of its open time left' };
  }
  return null;
});

function change(changes: Partial<Pot>): void {
  if (pot.value) kit.pot = { ...pot.value, ...changes };
}

/** A second press while a weighing is on its way changes nothing. */
let busy = false;
async function keepWeight(): Promise<void> {
  const here = pot.value;
  const index = weighing.value;
  if (!here || index === undefined || busy) return;
  const mg = typedMg.value ?? (scale.reading.value?.settled ? readingMg.value : 0);
  if (mg <= 0) {
    say(
      scale.info.value ? 'Pour first, and wait until the scale has settled.' : 'Type what your scale shows.',
    );
    return;
  }
  busy = true;
  typedMg.value = null;
  const next = withWeight(here, index, mg, toleranceMg.value);
  const isDone = partToWeigh(next) === undefined;
  kit.pot = isDone ? { ...next, step: steps.value[1]!, sinceMs: Date.now() } : next;
  await scale.tare().catch(sayProblem);
  busy = false;
}

function doneNext(): void {
  const here = pot.value;
  if (!here) return;
  if (here.step === 'weigh') {
    void keepWeight();
    return;
  }
  const sinceMs = Date.now();
  if (here.step === 'cover') {
    void finish();
    return;
  }
  const step = following.value!;
  if (step === 'wait') {
    waits.start(props.pieceId, {
      pieceName: store.piece?.name ?? '',
      seconds: 60 * RESIN_MINUTES.bubbles,
      forWhat: 'bubbles',
      stepId: null,
    });
  }
  if (here.step === 'wait') waits.end(props.pieceId);
  change({ step, sinceMs, ...(here.step === 'stir' ? { stirredAtMs: sinceMs } : {}) });
}

/** Each piece gets its part of the pot into its record. */
const finish = () =>
  attempt(async () => {
    const here = pot.value;
    if (!here) return;
    const total = here.weighed.reduce((sum, mg) => sum + mg, 0);
    const shares = sharesOfPot(
      total,
      here.pieces.map(({ areaMm2 }) => areaMm2),
    );
    for (const [index, { id, lineId }] of here.pieces.entries()) {
      const coat = { kind: here.kind, mg: shares[index]!, potId: here.id, note: here.note };
      await sendCare(id, 'coat', coat, lineId);
    }
    kit.takeOut(here);
    kit.pot = null;
    await store.reload();
    say(here.pieces.length > 1 ? `${here.pieces.length} pieces are coated.` : 'It is coated.');
    await router.push(`/rack/${props.pieceId}?view=finish`);
  });

async function giveUp(): Promise<void> {
  const was = pot.value;
  kit.pot = null;
  waits.end(props.pieceId);
  await router.push(`/rack/${props.pieceId}?view=finish`);
  if (was) say('The pot is put away.', () => (kit.pot = was));
}

useShortcuts('At the scale', [
  { keys: [' ', 'PageDown'], shown: 'Space', does: 'Done, next', run: doneNext },
]);
</script>

<template>
  <main class="scale">
    <template v-if="pot">
      <header>
        <p class="soft">
          {{ pot.pieces.map(({ name }) => name).join(', ') }}{{ pot.note && `, ${pot.note}` }}
        </p>
        <Button type="link" size="small" @click="giveUp">Put the pot away</Button>
      </header>
      <div class="middle stacked">
        <template v-if="weighing !== undefined">
          <p class="huge numeral" :class="{ alarm: toGoMg < -toleranceMg }">
            {{ units.showNumber('mass', Math.abs(toGoMg), true) }}
            <span class="unit">{{ units.unitLabel('mass') }}</span>
          </p>
          <ToleranceBand :to-go-mg="toGoMg" :tolerance-mg="toleranceMg" />
          <p class="verdict">
            {{ Math.abs(toGoMg) <= toleranceMg ? 'On target' : toGoMg < 0 ? 'Over' : 'To go' }}
          </p>
        </template>
        <template v-else-if="clock">
          <p class="huge numeral">{{ clock.words }}</p>
          <p class="verdict">{{ clock.of }}</p>
        </template>
        <p class="step-title">{{ sentence }}</p>
        <p v-if="nextSentence" class="soft next">{{ nextSentence }}</p>
        <p class="soft">{{ potCaution(pot.kind, pot.step) }}</p>
      </div>
      <ScalePanel
        v-model:typed="typedMg"
        :reading="scale.reading.value"
        :info="scale.info.value"
        :active="weighing !== undefined"
        @pour="scale.pour(Math.max(0, Math.round(toGoMg))).catch(sayProblem)"
        @drops="scale.pour(200).catch(sayProblem)"
        @stop="scale.stop().catch(sayProblem)"
        @tare="scale.tare().catch(sayProblem)"
        @disturb="scale.disturb($event).catch(sayProblem)"
        @done="doneNext"
      >
        <Button type="primary" size="large" class="done" @click="doneNext">
          {{ pot.step === 'cover' ? 'It is coated' : 'Done, next' }}
        </Button>
      </ScalePanel>
    </template>
    <div v-else class="none stacked gap-12">
      <p>No pot is on its way. Choose the coat and its pieces first.</p>
      <Button type="primary" @click="router.push(`/rack/${pieceId}?view=finish`)">To the finish</Button>
    </div>
  </main>
</template>

<style scoped>
.scale {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto;
  min-height: 100%;
}

header {
  display: flex;
  justify-content: space-between;
  padding: 8px 24px;
}

.middle {
  align-content: center;
  padding: 16px 24px;
}

.huge {
  font-size: var(--type-numeral);
  line-height: 1.05;
}

.unit {
  font-size: var(--type-name);
  color: var(--ink-soft);
}

.verdict,
.next {
  font-size: var(--type-title);
}

.done {
  height: var(--touch-step);
}

.none {
  align-content: start;
  justify-items: start;
  padding: 16px 24px;
}
</style>
