<script setup lang="ts">
import { InputError } from '@icy-ribbon/core/base/error';
import { exitOf } from '@icy-ribbon/core/piece/amount';
import { pourRecordOf } from '@icy-ribbon/core/judgement/outcome';
import { sceneOfPour } from '@icy-ribbon/core/judgement/rehearsal';
import { sceneOf, type Scene } from '@icy-ribbon/core/piece/rehearse';
import { Button } from 'ant-design-vue';
import { computed, onMounted, ref } from 'vue';
import EmptyDrawing from '#drawing/EmptyDrawing.vue';
import { say } from '#notice/notices.ts';
import { attempt } from '#notice/useTask.ts';
import { useFilmFit } from '#store/filmFit.ts';
import { useOwnCells } from '#store/ownCells.ts';
import { usePiece } from '#store/piece/piece.ts';
import { usePlan } from '#store/plan/plan.ts';
import RehearsalRoom from './parts/RehearsalRoom.vue';
import { useFilmUnknowns } from '#store/useFilmUnknowns.ts';
import { keepRehearsal } from './parts/keepRehearsal.ts';
import type { MeasuredRehearsal } from '#worker/film.worker.ts';
import { passesOf } from './parts/intoPlan.ts';
import type { BlownStroke } from './parts/useHand.ts';

/** The plan of a piece, blown before it is poured. */
defineProps<{ pieceId: string }>();

const store = usePiece();
const plan = usePlan();
const opened = ref(false);
const own = useOwnCells();
const fit = useFilmFit();
const unknowns = useFilmUnknowns();
onMounted(() =>
  attempt(async () => {
    await Promise.all([plan.open(), own.load(), fit.load()]);
    opened.value = true;
  }),
);

/** A piece that was poured without a plan is rehearsed as it was recorded. */
const isPlanned = computed(
  () => plan.body.base !== null || plan.body.stacks.length > 0 || plan.body.paths.length > 0,
);

/** The plan on the stage, or what it lacks. */
const staged = computed<{ scene: Scene | null; wrong: string | null }>(() => {
  const { piece } = store;
  if (!piece || !opened.value) return { scene: null, wrong: null };
  const { body, paints, blowers } = plan;
  try {
    if (!isPlanned.value) {
      return {
        scene: store.layers.length > 0 ? sceneOfPour(pourRecordOf(piece), unknowns.value.strength) : null,
        wrong: null,
      };
    }
    return { scene: sceneOf(piece.support, body, paints, blowers, unknowns.value.strength), wrong: null };
  } catch (error) {
    if (error instanceof InputError) return { scene: null, wrong: error.message };
    throw error;
  }
});

const exit = (tool: Parameters<typeof exitOf>[0]['tool']) => exitOf({ tool, blowerId: null }, plan.blowers);

const canCompare = computed(() => {
  const { piece } = store;
  return piece && piece.rehearsals.length > 0 && piece.photos.some(({ measurement }) => measurement);
});

async function keep(result: MeasuredRehearsal): Promise<void> {
  if (!staged.value.scene) return;
  const photo = await keepRehearsal(store, staged.value.scene, result);
  say('Kept with the piece as its rehearsal.', () => store.removePhoto(photo));
}

const take = (strokes: readonly BlownStroke[]) => {
  if (strokes.length === 0) {
    say('Nothing was blown by hand yet.');
    return;
  }
  const passes = passesOf(strokes);
  plan.edit((now) => ({ ...now, passes }));
  void plan.flush();
  say(`${passes.length === 1 ? 'One pass' : `${passes.length} passes`} taken into the plan.`, plan.undo);
};
</script>

<template>
  <RehearsalRoom
    v-if="staged.scene && store.piece"
    :key="store.piece.id"
    :scene="staged.scene"
    :title="store.piece.name"
    :exit="exit"
    :unknowns="unknowns"
    :aims="store.piece.aims"
    :can-take="isPlanned"
    :note="isPlanned ? '' : 'As it was recorded: where the air began is not in the record.'"
    :keep="keep"
    @take="take"
  >
    <RouterLink v-if="isPlanned" :to="`/practice/piece/${pieceId}/what-if`">What if</RouterLink>
    <RouterLink v-if="canCompare" :to="`/practice/piece/${pieceId}/result`">Beside the result</RouterLink>
  </RehearsalRoom>
  <main v-else-if="opened" class="none stacked gap-16">
    <h1>Rehearse</h1>
    <EmptyDrawing kind="support" />
    <p v-if="staged.wrong" class="alarm" role="alert">{{ staged.wrong }}</p>
    <p v-else>There is nothing to blow yet: plan what this piece pours first.</p>
    <RouterLink :to="`/plan/${pieceId}`">
      <Button type="primary">Plan it</Button>
    </RouterLink>
  </main>
</template>

<style scoped>
.none {
  justify-items: start;
  align-content: start;
  padding: 16px 24px;
}
</style>
