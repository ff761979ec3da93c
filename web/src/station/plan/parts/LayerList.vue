<script setup lang="ts">
import { UNKNOWN_PAINT } from '#theme/tokens.ts';
import { pyramid, USUAL_STEP } from '@icy-ribbon/core/piece/plan';
import type { PlanLayer, PlanPath, PlanStack } from '@icy-ribbon/core/piece/plan';
import { Button } from 'ant-design-vue';
import { computed, ref } from 'vue';
import { VueDraggable } from 'vue-draggable-plus';
import BareSelect from '#field/BareSelect.vue';
import NumberField from '#field/NumberField.vue';
import QuantityField from '#field/QuantityField.vue';
import { isAsShown } from './typed.ts';
import { newId, usePlan } from '#store/plan/plan.ts';
import { useUnits } from '#store/units.ts';

/** The layers of a stack or the colors of a path: dragged into order, grams each; the topmost first. */
const props = defineProps<{ item: PlanStack | PlanPath; stacked: boolean }>();
const emit = defineEmits<{ change: [layers: readonly PlanLayer[]]; another: [] }>();

const plan = usePlan();
const units = useUnits();
const step = ref<number | null>(USUAL_STEP);

/** Shown as they lie: a stack from the top down, a path in the order it is laid. */
const shown = computed(() => {
  const layers = props.item.layers.map((layer) => ({ ...layer, paint: plan.paint(layer.cupId) }));
  return props.stacked ? layers.toReversed() : layers;
});
type Shown = (typeof shown.value)[number];

function take(rows: readonly Shown[]): void {
  const layers = rows.map(({ id, cupId, massG }): PlanLayer => ({ id, cupId, massG }));
  emit('change', props.stacked ? layers.toReversed() : layers);
}

const moveRow = (from: number, by: number) => {
  const rows = [...shown.value];
  const to = from + by;
  if (to < 0 || to >= rows.length) return;
  const [row] = rows.splice(from, 1);
  rows.splice(to, 0, row!);
  take(rows);
};

const MOST_MG = 50_000_000;
/** The layer whose typed grams cannot be. */
const wrong = ref<string | null>(null);

const setMass = (id: string, mg: number | null) => {
  const kept = props.item.layers.find((layer) => layer.id === id)?.massG ?? null;
  wrong.value = mg !== null && !(mg > 0 && mg <= MOST_MG) ? id : null;
  const asShown = mg !== null && kept !== null && isAsShown(mg / 1000, kept);
  if (asShown || wrong.value === id) return;
  take(shown.value.map((row) => (row.id === id ? { ...row, massG: mg === null ? null : mg / 1000 } : row)));
};
const canTake = (row: Shown) => props.stacked && ['pillow', 'activator'].includes(row.paint?.role ?? '');
const drop = (id: string) => take(shown.value.filter((row) => row.id !== id));

const ANOTHER = 'another';
const options = computed(() => [
  ...plan.paints.map(({ id, name, role }) => ({
    value: id,
    label: role === 'color' ? name : `${name}, ${role}`,
  })),
  { value: ANOTHER, label: 'Another paint, or a left-over …' },
]);

function add(cupId: unknown): void {
  if (cupId === ANOTHER) {
    emit('another');
    return;
  }
  const paint = plan.paint(String(cupId));
  const takes = props.stacked && ['pillow', 'activator'].includes(paint?.role ?? '');
  const row = { id: newId(), cupId: String(cupId), massG: takes ? null : 10, paint };
  take(props.stacked ? [row, ...shown.value] : [...shown.value, row]);
}

/** The colors as a pyramid of the grams they have together. */
function makePyramid(): void {
  const colors = props.item.layers.filter(
    (layer) => layer.massG !== null && plan.paint(layer.cupId)?.role === 'color',
  );
  const total = colors.reduce((sum, layer) => sum + (layer.massG ?? 0), 0);
  if (colors.length === 0 || total <= 0 || !step.value || step.value <= 0) return;
  const grams = pyramid(total, colors.length, step.value);
  emit(
    'change',
    props.item.layers.map((layer) => {
      const index = colors.indexOf(layer);
      return index < 0 ? layer : { ...layer, massG: Math.round(grams[index]! * 10) / 10 };
    }),
  );
}

const worked = (id: string) => {
  const amount = plan.reckoning.amounts?.layers.find((each) => each.id === `${props.item.id} ${id}`);
  return amount ? units.show('mass', amount.massG * 1000) : '';
};
</script>

<template>
  <div>
    <VueDraggable
      tag="ul"
      :model-value="shown"
      handle=".grip"
      :animation="120"
      @update:model-value="take($event as Shown[])"
    >
      <li v-for="(row, index) in shown" :key="row.id">
        <span
          class="grip"
          title="Drag into order"
          :style="{ background: row.paint?.colorHex ?? UNKNOWN_PAINT }"
        ></span>
        <span class="name">{{ row.paint?.name ?? 'gone' }}</span>
        <button
          v-if="canTake(row) && row.massG === null"
          class="plain-button takes"
          :aria-label="`Grams of ${row.paint?.name} by hand`"
          :title="'As much as it takes; press to say it in grams'"
          @click="setMass(row.id, 10_000)"
        >
          {{ worked(row.id) }}
        </button>
        <QuantityField
          v-else
          class="grams"
          bare
          quantity="mass"
          :label="`Grams of ${row.paint?.name ?? 'this layer'}`"
          :model-value="row.massG === null ? null : row.massG * 1000"
          :error="
            wrong === row.id
              ? `Above 0 and at most ${units.show('mass', MOST_MG)}; × takes it out.`
              : undefined
          "
          @commit="setMass(row.id, $event)"
        />
        <button
          class="plain-button slim"
          :aria-label="`${row.paint?.name} one up`"
          :disabled="index === 0"
          @click="moveRow(index, -1)"
        >
          ↑
        </button>
        <button
          class="plain-button slim"
          :aria-label="`${row.paint?.name} one down`"
          :disabled="index === shown.length - 1"
          @click="moveRow(index, 1)"
        >
          ↓
        </button>
        <button class="plain-button slim" :aria-label="`Take ${row.paint?.name} out`" @click="drop(row.id)">
          ×
        </button>
      </li>
    </VueDraggable>
    <div class="more">
      <BareSelect
        class="add"
        label="Add a paint"
        placeholder="Add a paint"
        :value="undefined"
        :options="options"
        @update:value="add"
      />
      <template v-if="stacked && shown.length > 1">
        <NumberField v-model="step" class="step" bare label="Each puddle of the one below" unit="×" />
        <Button size="small" @click="makePyramid">Pyramid</Button>
      </template>
    </div>
  </div>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 22px minmax(0, 1fr) 86px 22px 22px 22px;
  align-items: center;
  gap: 4px;
  padding: 2px 0;
}

.grip {
  width: 22px;
  height: 22px;
  border: var(--paint-edge) solid var(--ink);
  border-radius: 50%;
  cursor: grab;
  touch-action: none;
}

.name {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.takes {
  padding: 6px 8px;
  text-align: right;
  border-bottom: 1px dotted var(--ink-soft);
}

.slim {
  min-height: 32px;
  text-align: center;
  color: var(--ink-soft);
}

.slim[disabled] {
  visibility: hidden;
}

.more {
  display: flex;
  align-items: center;
  gap: 6px;
  margin-top: 6px;
}

.add {
  flex: 1;
  min-width: 0;
}

.step {
  width: 74px;
}
</style>
