<script setup lang="ts">
import { toMg } from '@icy-ribbon/core/base/unit';
import { materialKind } from '@icy-ribbon/core/paint/material';
import { prepare, prepareStepId, type PrepareItem } from '@icy-ribbon/core/piece/prepare';
import { Button, Checkbox } from 'ant-design-vue';
import dayjs from 'dayjs';
import { computed } from 'vue';
import { sayProblem } from '#notice/notices.ts';
import { usePiece } from '#store/piece/piece.ts';
import { usePourWrites } from '#store/piece/pourWrites.ts';
import { usePlan } from '#store/plan/plan.ts';
import { useShelf } from '#store/shelf.ts';
import { PREPARE_REASONS, prepareWords } from '#words/prepare.ts';
import { useMeasures } from '#words/useMeasures.ts';

/** What is seen to before the first cup is poured; each tick stays with the piece. */
const store = usePiece();
const writes = usePourWrites();
const plan = usePlan();
const shelf = useShelf();
const measures = useMeasures();

/** What is laid and does not stay: by the plan's own reckoning. */
const spillG = computed(() => {
  const laid = (store.piece?.plan && plan.reckoning.amounts?.paints) || [];
  const grams = laid.reduce((sum, { laidG }) => sum + laidG, 0);
  return grams > 0 ? grams * plan.body.settings.dripShare : null;
});
const items = computed(() =>
  store.piece
    ? prepare({
        support: store.piece.support,
        cups: store.paints.map(({ mix }) => ({
          name: mix.name,
          isLidded: mix.lid,
          media: mix.ingredients.map(({ material: { materialId, name, kind } }) => ({
            name,
            openedOn: shelf.materials.find(({ id }) => id === materialId)?.openedOn ?? null,
            spoils: materialKind(kind).group === 'medium',
          })),
        })),
        today: dayjs().format('YYYY-MM-DD'),
        spillG: spillG.value === null ? null : toMg(spillG.value) / 1000,
      })
    : [],
);
const tickedBy = (item: PrepareItem) =>
  store.events.find((event) => event.kind === 'step' && event.data.stepId === prepareStepId(item.code));
const open = computed(() => items.value.filter((item) => !tickedBy(item)).length);

function tick(item: PrepareItem): void {
  const was = tickedBy(item);
  const note = prepareWords(item, measures.value);
  try {
    if (was) writes.takeBackEvent(was.id);
    else writes.record('step', { stepId: prepareStepId(item.code), outcome: 'done', note });
  } catch (error) {
    sayProblem(error);
  }
}

function tickAll(): void {
  for (const item of items.value) if (!tickedBy(item)) tick(item);
}
</script>

<template>
  <details v-if="items.length > 0" class="prepare" :open="open > 0">
    <summary>{{ open > 0 ? `Get ready: ${open} of ${items.length} to do` : 'All is ready' }}</summary>
    <ul>
      <li v-for="item in items" :key="item.code">
        <Checkbox
          :title="PREPARE_REASONS[item.code]"
          :checked="tickedBy(item) !== undefined"
          @change="tick(item)"
          >{{ prepareWords(item, measures) }}</Checkbox
        >
      </li>
    </ul>
    <Button v-if="open > 1" size="small" @click="tickAll">All of it is done</Button>
  </details>
</template>

<style scoped>
.prepare {
  margin-top: 12px;
}

summary {
  min-height: 32px;
  font-weight: var(--weight-strong);
  cursor: pointer;
}

ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(215px, 1fr));
  gap: 0 16px;
}

li :deep(.ant-checkbox-wrapper) {
  min-height: 36px;
  align-items: center;
  line-height: 1.25;
}
</style>
