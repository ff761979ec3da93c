<script setup lang="ts">
import { Button } from 'ant-design-vue';
import { computed, ref, watch } from 'vue';
import ColorDot from '../../../drawing/ColorDot.vue';
import { messageAt } from '../../../api/problem.ts';
import QuantityField from '../../../field/QuantityField.vue';
import { sayProblem } from '../../../notice/notices.ts';
import { useShortcuts } from '../../../shortcut/shortcuts.ts';
import { usePiece } from '../../../store/piece/piece.ts';
import { useUnits } from '../../../store/units.ts';
import { ROLE_LABELS } from '../../../words/general.ts';

/** The step of the run sheet that is done otherwise. */
const props = defineProps<{ stepId?: string | undefined }>();
const emit = defineEmits<{ blow: []; laid: [] }>();

const store = usePiece();
const units = useUnits();
const chosenId = ref<string | null>(null);
const mg = ref<number | null>(null);
const problem = ref<unknown>(null);

const withPaint = computed(() => store.paints.filter((cup) => cup.state.leftMg > 0));
const laidIds = computed(() => new Set(store.layers.map((layer) => layer.data.mixId)));
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

function lay(): void {
  const cup = chosen.value;
  if (!cup) return;
  problem.value = null;
  try {
    store.layDown(cup.mix.id, mg.value ?? 0, props.stepId === undefined ? {} : { stepId: props.stepId });
    emit('laid');
    chosenId.value = null;
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
      <div class="row">
        <QuantityField
          v-model="mg"
          class="amount"
          label="How much goes on"
          quantity="mass"
          :error="messageAt(problem, 'data.mg')"
          @keydown.enter.stop.prevent="lay"
        />
        <Button type="primary" size="large" @click="lay">Laid down</Button>
      </div>
    </template>
    <template v-else>
      <p class="step-title">No cup holds paint</p>
      <p class="soft">
        Weigh the cups in at
        <RouterLink :to="{ name: 'mix', params: { pieceId: store.piece?.id } }">Mix</RouterLink>
        first, or go on to blow what lies on the support.
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
  margin-top: 14px;
}

.row {
  display: flex;
  align-items: flex-start;
  gap: 16px;
  margin-top: 8px;
}

.row .ant-btn {
  margin-top: 24px;
  min-width: 160px;
}

.amount {
  width: 170px;
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
  gap: 10px;
  width: 100%;
  min-height: 44px;
  border-top: 1px solid var(--rule);
}

.cups .soft {
  margin-left: auto;
}

.chosen {
  box-shadow: inset 4px 0 0 var(--brass);
  padding-left: 12px !important;
}

.key {
  min-width: 14px;
  color: var(--ink-soft);
}
</style>
