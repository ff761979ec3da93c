<script setup lang="ts">
import { Button } from 'ant-design-vue';
import { computed, ref, watch, watchEffect } from 'vue';
import { isLaidPath, type LaidShape } from '@icy-ribbon/core/piece/event';
import type { Plan } from '@icy-ribbon/core/piece/plan';
import BareSelect from '#field/BareSelect.vue';
import ColorDot from '#drawing/ColorDot.vue';
import { messageAt } from '#api/problem.ts';
import QuantityField from '#field/QuantityField.vue';
import { sayProblem } from '#notice/notices.ts';
import { useShortcuts } from '#shortcut/shortcuts.ts';
import { usePiece } from '#store/piece/piece.ts';
import { usePourWrites } from '#store/piece/pourWrites.ts';
import { newId } from '#store/plan/plan.ts';
import { useUnits } from '#store/units.ts';
import { LAY_KINDS, shapeOf, usualKind, type LayKind, type Stroke } from './laidShape.ts';
import { LAY_LABELS, ROLE_LABELS } from '#words/general.ts';

/** The step of the run sheet that is done otherwise. */
const props = defineProps<{
  stepId?: string | undefined;
  /** Where the plan has it. */
  planned: LaidShape | null;
}>();
/** What the hand drew on the support for it. */
const stroke = defineModel<Stroke | null>('stroke', { required: true });
/** Where it goes, to be shown before it is there. */
const shape = defineModel<LaidShape | null>('shape', { required: true });
const emit = defineEmits<{ blow: []; laid: [] }>();

const store = usePiece();
const writes = usePourWrites();
const units = useUnits();
const chosenId = ref<string | null>(null);
/** How it lies, where the artist said so. */
const kind = ref<LayKind | null>(null);
const mg = ref<number | null>(null);
const problem = ref<unknown>(null);

const withPaint = computed(() => store.paints.filter((cup) => cup.state.leftMg > 0));
/** Less than this makes no puddle: it stays on the cup's walls. */
const LEAST_PUDDLE_MG = 3000;
const nothingLeft = computed(() => {
  if (withPaint.value.length === 0) return 'No cup is mixed yet';
  return withPaint.value.every(({ state }) => state.leftMg < LEAST_PUDDLE_MG)
    ? 'Every cup is below what a puddle needs'
    : 'Every cup is laid';
});
const laidIds = computed(() => new Set(store.layers.map((layer) => layer.data.cupId)));
const suggested = computed(() => withPaint.value.find((cup) => !laidIds.value.has(cup.mix.id)));
const chosen = computed(
  () => withPaint.value.find((cup) => cup.mix.id === chosenId.value) ?? suggested.value,
);

watch(
  () => chosen.value?.mix.id,
  () => {
    mg.value = chosen.value?.state.leftMg ?? null;
    problem.value = null;
  },
  { immediate: true },
);

/** The pile or line that is begun by the next layer. */
let draftId = newId();

/** As drawn; else as planned; else as one usually lays such a cup. */
const chosenKind = computed<LayKind>(
  () =>
    kind.value ??
    (stroke.value || !props.planned
      ? usualKind(chosen.value?.mix.role ?? 'color', stroke.value)
      : props.planned.kind),
);
watchEffect(() => {
  const support = store.piece?.support;
  const asPlanned = !stroke.value && kind.value === null && props.planned;
  if (!support || !chosen.value) shape.value = null;
  else if (asPlanned) shape.value = asPlanned;
  else shape.value = shapeOf(chosenKind.value, stroke.value, support, lying(), mg.value ?? 0, () => draftId);
});

/** Piles and lines by the ids under which they were logged, so that the next layer finds its own. */
function lying(): Pick<Plan, 'stacks' | 'paths'> {
  const shapes = store.layers.flatMap(({ data }) => data.shape ?? []);
  return {
    stacks: shapes.flatMap((each) =>
      each.kind === 'stack' ? [{ ...each, id: each.itemId, layers: [] }] : [],
    ),
    paths: shapes.flatMap((each) => (isLaidPath(each) ? [{ ...each, id: each.itemId, layers: [] }] : [])),
  };
}

const KIND_OPTIONS = LAY_KINDS.map((value) => ({ value, label: LAY_LABELS[value] }));

function lay(): void {
  const cup = chosen.value;
  if (!cup) return;
  problem.value = null;
  try {
    const lies = { shape: shape.value };
    writes.layDown(
      cup.mix.id,
      mg.value ?? 0,
      props.stepId === undefined ? lies : { ...lies, stepId: props.stepId },
    );
    emit('laid');
    chosenId.value = null;
    kind.value = null;
    draftId = newId();
    // Colors of a ribbon follow along the same stroke; puddles go onto the pile unless another place is tapped.
    if (chosenKind.value === 'face') stroke.value = null;
    if (!suggested.value) emit('blow');
  } catch (error) {
    problem.value = error;
    if (!messageAt(error, 'data.mg')) sayProblem(error);
  }
}

useShortcuts('Lay down', [
  {
    keys: [' ', 'Enter', 'PageDown'],
    shown: 'Space, Enter',
    does: 'The cup is laid down',
    run: lay,
  },
  {
    keys: ['1', '2', '3', '4', '5', '6', '7', '8', '9'],
    shown: '1 to 9',
    does: 'Choose a cup',
    run: (event) => (chosenId.value = withPaint.value[Number(event.key) - 1]?.mix.id ?? null),
  },
]);
</script>

<template>
  <div class="step">
    <template v-if="chosen">
      <p class="step-title">Lay down {{ chosen.mix.name }}</p>
      <p class="soft">
        {{ ROLE_LABELS[chosen.mix.role] }}. {{ units.show('mass', chosen.state.leftMg) }} in the cup.
      </p>
      <div class="row abreast gap-16">
        <QuantityField
          v-model="mg"
          class="amount"
          label="How much goes on"
          quantity="mass"
          :error="messageAt(problem, 'data.mg')"
          @keydown.enter.stop.prevent="lay"
        />
        <div class="kind">
          <span class="label" aria-hidden="true">How it lies</span>
          <BareSelect
            label="How it lies"
            :value="chosenKind"
            :options="KIND_OPTIONS"
            @update:value="kind = $event as LayKind"
          />
        </div>
        <Button type="primary" size="large" @click="lay">Laid down</Button>
      </div>
      <p class="soft small">Tap where it lies on the support, or draw along it.</p>
    </template>
    <template v-else>
      <p class="step-title">{{ nothingLeft }}</p>
      <p class="soft">
        Weigh cups in at
        <RouterLink :to="{ name: 'mix', params: { pieceId: store.piece?.id } }">Mix</RouterLink>
        first, {{ withPaint.length > 0 ? 'choose a cup to lay what is in it,' : '' }} or go on to blow what
        lies on the support.
      </p>
    </template>
    <ol v-if="withPaint.length > 0" class="cups" aria-label="Cups with paint in them">
      <li v-for="(cup, index) in withPaint" :key="cup.mix.id">
        <button
          class="plain-button"
          :class="{ chosen: cup.mix.id === chosen?.mix.id }"
          :aria-pressed="cup.mix.id === chosen?.mix.id"
          @click="chosenId = cup.mix.id"
        >
          <span class="key">{{ index + 1 }}</span>
          <ColorDot :color="cup.colorHex" :size-px="20" />
          <span>{{ cup.mix.name }}</span>
          <span class="soft"
            >{{ laidIds.has(cup.mix.id) ? 'more of it, ' : ''
            }}{{ units.show('mass', cup.state.leftMg) }}</span
          >
        </button>
      </li>
    </ol>
  </div>
</template>

<style scoped>
.step {
  display: grid;
  gap: 6px;
  margin-top: 12px;
}

.row {
  align-items: flex-start;
  margin-top: 8px;
}

.row .ant-btn {
  margin-top: 24px;
  min-width: 180px;
  height: var(--touch-step);
}

.amount {
  width: 140px;
}

.kind {
  width: 150px;
}

.cups {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
  gap: 0 24px;
  margin: 12px 0 0;
  padding: 0;
  list-style: none;
}

.cups button {
  display: flex;
  align-items: center;
  gap: 8px;
  width: 100%;
  min-height: 44px;
  border-top: 1px solid var(--rule);
}

.cups .soft {
  margin-left: auto;
}

.chosen {
  box-shadow: inset 4px 0 0 var(--ink);
  padding-left: 12px !important;
}

.key {
  min-width: 14px;
  color: var(--ink-soft);
}
</style>
