<script setup lang="ts">
import { InputError } from '@icy-ribbon/core/base/error';
import type { RehearsalNumbers } from '@icy-ribbon/core/judgement/rehearsal';
import { sceneOf } from '@icy-ribbon/core/piece/rehearse';
import { Button } from 'ant-design-vue';
import { proxy } from 'comlink';
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue';
import SmallPicture from '#drawing/SmallPicture.vue';
import { attempt } from '#notice/useTask.ts';
import { useFilmFit } from '#store/filmFit.ts';
import { usePiece } from '#store/piece/piece.ts';
import { usePlan } from '#store/plan/plan.ts';
import { useFilmUnknowns } from '#store/useFilmUnknowns.ts';
import { newFilmWorker } from '#worker/workers.ts';
import { plain } from '#worker/plain.ts';
import { percent } from '#words/percent.ts';

/** What the film forecasts of the plan's passes, with what the artist's own pours taught it. */
const store = usePiece();
const plan = usePlan();
const fit = useFilmFit();
const unknowns = useFilmUnknowns();

const CELLS = 72;
const PICTURE_PX = 240;

const worker = shallowRef<ReturnType<typeof newFilmWorker> | null>(null);
const share = ref(0);
const wrong = ref('');
const numbers = shallowRef<RehearsalNumbers | null>(null);
const image = shallowRef<ImageData | null>(null);

const canRun = computed(() => plan.body.passes.length > 0);

function stop(): void {
  worker.value?.stop();
  worker.value = null;
}

async function forecast(): Promise<void> {
  const { piece } = store;
  if (!piece) return;
  stop();
  wrong.value = '';
  share.value = 0;
  await fit.load();
  try {
    const scene = plain(
      sceneOf(piece.support, plan.body, plan.paints, plan.blowers, unknowns.value.strength),
    );
    const mine = newFilmWorker();
    worker.value = mine;
    const told = proxy((done: number) => (share.value = done));
    const found = await mine.remote.whole(scene, plain(unknowns.value), CELLS, PICTURE_PX, told);
    numbers.value = found.numbers;
    image.value = found.picture;
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    wrong.value = error.message;
  } finally {
    stop();
  }
}

/** What was changed since is not what was run. */
watch(
  () => plan.body,
  () => {
    numbers.value = null;
    image.value = null;
  },
);
onBeforeUnmount(stop);

const open = computed(() => {
  const now = numbers.value;
  if (!now) return '';
  const off = fit.kept?.helps ? fit.kept.after.negativeSpace : null;
  const range = off === null ? '' : `, on average ${percent(off)} off by your ${fit.kept!.n} pours`;
  const covered = 1 - now.negativeSpace - now.bare;
  return `The design covers ${percent(covered)}, base left open ${percent(now.negativeSpace)}${range}.`;
});
</script>

<template>
  <section class="film stacked" aria-label="In the film">
    <div class="begin flowing centered">
      <Button :disabled="!canRun || worker !== null" @click="attempt(forecast)">Run it in the film</Button>
      <Button v-if="worker" @click="stop">Stop</Button>
      <progress v-if="worker" :value="share" max="1" aria-label="How far it is"></progress>
    </div>
    <p v-if="!canRun" class="soft">There are no passes to run yet.</p>
    <p v-if="wrong" class="alarm" role="alert">{{ wrong }}</p>
    <template v-if="numbers">
      <p role="status">{{ open }}</p>
      <SmallPicture :picture="image" :share="1" label="What the film forecasts" />
      <p v-if="numbers.bare > 0.01" class="look">{{ percent(numbers.bare) }} of the support lies bare.</p>
      <p v-if="!fit.kept?.helps" class="soft">
        How hard you blow is an assumption:
        <RouterLink to="/practice/fit">hold the film against your pours</RouterLink>.
      </p>
    </template>
  </section>
</template>

<style scoped>
.film {
  justify-items: start;
}
</style>
