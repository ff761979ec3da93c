<script setup lang="ts">
import { bearingName } from '@icy-ribbon/core/flow/air';
import type { FacePlace, Mark } from '@icy-ribbon/core/piece/event';
import { patchContrast, planRepair } from '@icy-ribbon/core/piece/repair';
import { Button, Input } from 'ant-design-vue';
import { computed, ref, watchEffect } from 'vue';
import ColorDot from '#drawing/ColorDot.vue';
import FieldRow from '#field/FieldRow.vue';
import { messageAt } from '#api/problem.ts';
import QuantityField from '#field/QuantityField.vue';
import { sayProblem } from '#notice/notices.ts';
import { useShortcuts } from '#shortcut/shortcuts.ts';
import { usePiece } from '#store/piece/piece.ts';
import { usePourWrites } from '#store/piece/pourWrites.ts';
import { useUnits } from '#store/units.ts';
import { patchWords } from '#words/pouring.ts';
import type { Stroke } from './laidShape.ts';
import { markOf } from './mark.ts';

/** A bad place that is done again: where it is, what it takes, and whether the patch will show. */
const props = defineProps<{
  /** Where a fault was pinned on a photo. */
  at: FacePlace | null;
}>();
const stroke = defineModel<Stroke | null>('stroke', { required: true });
const mark = defineModel<Mark | null>('mark', { required: true });
const emit = defineEmits<{ begun: []; none: [] }>();

const USUAL_MM = 25;
const store = usePiece();
const writes = usePourWrites();
const units = useUnits();
const radiusMm = ref<number | null>(USUAL_MM);
const note = ref('');
const problem = ref<unknown>(null);

const spot = computed(() => {
  const support = store.piece?.support;
  if (!support || radiusMm.value === null || radiusMm.value <= 0) return null;
  const { start } = stroke.value ?? {};
  const drawn = start && markOf({ start, end: start }, support, radiusMm.value);
  if (drawn?.kind === 'spot') return drawn;
  return props.at && { kind: 'spot' as const, at: props.at, radiusMm: radiusMm.value };
});
watchEffect(() => (mark.value = spot.value));

const laidMg = (cupId: string) =>
  store.layers.filter(({ data }) => data.cupId === cupId).reduce((sum, { data }) => sum + data.mg, 0);
const cups = computed(() =>
  store.paints.map(({ mix, state, colorHex }) => ({
    ...{ id: mix.id, name: mix.name, role: mix.role, colorHex },
    ...{ leftMg: state.leftMg, laidMg: laidMg(mix.id) },
  })),
);
const plan = computed(() =>
  spot.value && store.piece ? planRepair(spot.value, store.log, cups.value, store.piece.support) : null,
);
const contrast = computed(() => patchContrast(cups.value));
const cup = (cupId: string) => cups.value.find(({ id }) => id === cupId);

function begin(): void {
  if (!spot.value || !plan.value) return;
  problem.value = null;
  const { layers, directionDeg } = plan.value;
  try {
    writes.record('repair', { mark: spot.value, layers: [...layers], directionDeg, note: note.value });
    stroke.value = null;
    emit('begun');
  } catch (error) {
    problem.value = error;
    if (!messageAt(error, 'data.mark.radiusMm')) sayProblem(error);
  }
}

useShortcuts('Repair', [
  { keys: [' ', 'Enter', 'PageDown'], shown: 'Space, Enter', does: 'Begin the repair', run: begin },
  { keys: ['Escape'], shown: 'Escape', does: 'Repair nothing', run: () => emit('none') },
]);
</script>

<template>
  <form class="repair stacked" @submit.prevent="begin">
    <p class="step-title">Repair a place</p>
    <p v-if="!spot" class="soft">Tap the place on the support.</p>
    <template v-else-if="plan">
      <ol v-if="plan.layers.length > 0" class="layers" aria-label="What is laid there again">
        <li v-for="layer in plan.layers" :key="layer.cupId">
          <ColorDot :color="cup(layer.cupId)?.colorHex ?? ''" :size-px="18" />
          <span>{{ cup(layer.cupId)?.name }}</span>
          <span class="grams">{{ units.show('mass', layer.mg) }}</span>
        </li>
      </ol>
      <p v-else class="warn">No cup holds paint for it: mix a little of each first.</p>
      <p v-for="each in plan.short" :key="each.cupId" class="warn">
        {{ cup(each.cupId)?.name }} is short: {{ units.show('mass', each.wantedMg) }} wanted,
        {{ units.show('mass', each.leftMg) }} left.
      </p>
      <p class="soft">
        Then torch it, and blow it {{ bearingName(plan.directionDeg) }}, where no air came from yet.{{
          plan.atEdge ? ' It reaches the edge: wipe the sides too.' : ''
        }}
      </p>
      <p v-if="contrast" :class="contrast.verdict === 'hides' ? 'soft' : 'warn'" role="status">
        {{ patchWords(contrast) }}
      </p>
    </template>
    <div class="row">
      <QuantityField
        :model-value="radiusMm === null ? null : 2 * radiusMm"
        class="width"
        label="How wide"
        quantity="length"
        :error="messageAt(problem, 'data.mark.radiusMm')"
        @update:model-value="radiusMm = $event === null ? null : $event / 2"
      />
      <FieldRow label="What is wrong with it" for="repair-note">
        <Input id="repair-note" v-model:value="note" />
      </FieldRow>
    </div>
    <div class="row">
      <Button type="primary" size="large" html-type="submit" :disabled="!spot">Begin the repair</Button>
      <Button size="large" @click="emit('none')">Repair nothing</Button>
    </div>
  </form>
</template>

<style scoped>
.repair {
  margin-top: 12px;
}

.layers {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
  gap: 2px 16px;
  margin: 0;
  padding: 0;
  list-style: none;
}

.layers li {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 32px;
}

.grams {
  margin-left: auto;
  font-weight: var(--weight-strong);
}

.row {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: 12px 16px;
}

.width {
  width: 130px;
}

.warn {
  font-weight: var(--weight-strong);
}
</style>
