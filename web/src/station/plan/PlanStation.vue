<script setup lang="ts">
import {
  align,
  duplicateItems,
  isPath,
  isStack,
  layOut,
  mirror,
  moveItems,
  removeItems,
  type LayoutName,
  type Place,
} from '@icy-ribbon/core/piece/plan';
import { useEventListener } from '@vueuse/core';
import { Button, RadioButton, RadioGroup } from 'ant-design-vue';
import { computed, defineAsyncComponent, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { itemName, type PlanContext } from '../../drawing/plan.ts';
import BareSelect from '../../field/BareSelect.vue';
import { say, sayProblem } from '../../notice/notices.ts';
import { useShortcuts } from '../../shortcut/shortcuts.ts';
import { usePiece } from '../../store/piece/piece.ts';
import { newId, usePlan } from '../../store/plan/plan.ts';
import AmountStrip from './parts/AmountStrip.vue';
import CheckList from './parts/CheckList.vue';
import CoreSample from './parts/CoreSample.vue';
import GroundPanel from './parts/GroundPanel.vue';
import ItemInspector from './parts/ItemInspector.vue';
import OrderPanel from './parts/OrderPanel.vue';
import PlanBar from './parts/PlanBar.vue';
import SupportCanvas from './parts/SupportCanvas.vue';
import { mixMissing } from './parts/mixMissing.ts';
import { savePlanJson, savePlanPng, savePlanSvg } from './parts/planFiles.ts';
import { putDown, type Placing } from './parts/placing.ts';

const AirPanel = defineAsyncComponent(() => import('./parts/AirPanel.vue'));
const PlannedCup = defineAsyncComponent(() => import('./parts/PlannedCup.vue'));
const ScalePlan = defineAsyncComponent(() => import('./parts/ScalePlan.vue'));

const props = defineProps<{ pieceId: string }>();

const plan = usePlan();
const store = usePiece();
const router = useRouter();

const STEP_MM = 5;
const FINE_MM = 1;

const layout = ref<LayoutName>('center-bloom');
const flowers = ref<number | null>(3);
const placing = ref<Placing | null>(null);
const panel = ref<'check' | 'item' | 'ground' | 'order' | 'air'>('check');
const asking = ref(false);
const scaling = ref(false);
const canvas = ref<InstanceType<typeof SupportCanvas> | null>(null);

const opened = ref(false);
onMounted(async () => {
  try {
    await plan.open();
    opened.value = true;
  } catch (error) {
    sayProblem(error);
  }
});
onBeforeUnmount(() => void plan.flush());
/** A closed tab keeps what it can. */
useEventListener(window, 'pagehide', () => void plan.flush());

watch(
  () => store.piece?.technique,
  (technique) => {
    layout.value = technique === 'bloom' ? 'center-bloom' : 'diagonal';
  },
  { immediate: true },
);

/** What is chosen is shown in numbers; when it is let go of, the check is back. */
watch(
  () => plan.selection,
  (ids, before) => {
    if (ids.length > 0 && panel.value === 'check') panel.value = 'item';
    if (ids.length === 0 && before.length > 0 && panel.value === 'item') panel.value = 'check';
  },
);

const support = computed(() => store.piece!.support);
const parts = computed(() => ({
  support: support.value,
  technique: store.piece!.technique,
  paints: plan.paints,
  newId,
}));
const context = computed<PlanContext>(() => ({
  plan: plan.body,
  support: support.value,
  paints: plan.paints,
  blowers: plan.blowers,
}));

const chosen = computed(() => (plan.selected.length === 1 ? plan.selected[0] : undefined));
const sampled = computed(() => (chosen.value && isStack(chosen.value) ? chosen.value : plan.body.stacks[0]));
const ordered = computed(() =>
  chosen.value && (isStack(chosen.value) || isPath(chosen.value))
    ? chosen.value
    : (plan.body.stacks[0] ?? plan.body.paths.find((path) => path.kind !== 'flood')),
);

const items = computed(() =>
  [...plan.body.stacks, ...plan.body.paths, ...plan.body.passes].map(({ id }) => id),
);
const itemOptions = computed(() => items.value.map((id) => ({ value: id, label: itemName(plan.body, id) })));

function lay(): void {
  if (plan.paints.length === 0) {
    asking.value = true;
    return;
  }
  const count = Math.min(9, Math.max(1, Math.round(flowers.value ?? 3)));
  const next = layOut(layout.value, { ...parts.value, count });
  plan.change({ ...plan.body, ...next, settings: plan.body.settings, ticked: [] });
  plan.select([]);
}

function put(at: Place): void {
  if (!placing.value) return;
  const made = putDown(plan.body, placing.value, at, parts.value);
  plan.edit(() => made.plan);
  plan.select([made.id]);
  if (placing.value !== 'pass') placing.value = null;
}

const putInTheMiddle = (kind: Placing) => {
  placing.value = kind;
  put({ x: support.value.widthMm / 2, y: support.value.heightMm / 2 });
  placing.value = null;
};

function act(name: 'duplicate' | 'left-right' | 'top-bottom' | 'row' | 'column' | 'remove'): void {
  const ids = plan.selection;
  if (name === 'left-right' || name === 'top-bottom') {
    plan.change({ ...plan.body, ...mirror(plan.body, ids, support.value, name) });
    return;
  }
  if (ids.length === 0) {
    say('Choose something on the support first.');
    return;
  }
  if (name === 'duplicate') {
    const copied = duplicateItems(plan.body, ids, newId);
    plan.edit(() => copied.plan);
    plan.select(copied.ids);
  } else if (name === 'remove') {
    plan.edit((now) => removeItems(now, ids));
    say(ids.length === 1 ? 'Taken away.' : `${ids.length} taken away.`, plan.undo);
  } else {
    plan.edit((now) => align(now, ids, support.value, name));
  }
}

function nudge(dx: number, dy: number): void {
  if (plan.selection.length === 0) return;
  plan.edit((now) => moveItems(now, plan.selection, dx, dy));
}

function stepThrough(by: number): void {
  if (items.value.length === 0) return;
  const here = items.value.indexOf(plan.selection[0] ?? '');
  const next = here < 0 ? (by > 0 ? 0 : items.value.length - 1) : here + by;
  plan.select([items.value[(next + items.value.length) % items.value.length]!]);
}

async function save(kind: 'svg' | 'png' | 'json' | 'sheet'): Promise<void> {
  const name = store.piece?.name ?? 'plan';
  try {
    if (kind === 'sheet') {
      await plan.flush();
      await router.push({ name: 'run-sheet', params: { pieceId: props.pieceId } });
    } else if (kind === 'svg') savePlanSvg(context.value, name);
    else if (kind === 'json') savePlanJson(context.value, plan.body, name);
    else await savePlanPng(context.value, name);
  } catch (error) {
    sayProblem(error);
  }
}

/** Cups for what is missing come onto the bench with their grams, and the plan goes on pouring them. */
async function mix(paintId: string | null): Promise<void> {
  try {
    await plan.flush();
    const made = await mixMissing(plan, store, paintId);
    if (made > 0) await router.push({ name: 'mix', params: { pieceId: props.pieceId } });
  } catch (error) {
    sayProblem(error);
  }
}

function planned(id: string): void {
  asking.value = false;
  const item = chosen.value;
  if (!item || !('layers' in item)) {
    say(`${plan.paint(id)?.name ?? 'The paint'} is planned: lay it out, or add it to a stack.`);
    return;
  }
  const massG = ['pillow', 'activator'].includes(plan.paint(id)?.role ?? '') && isStack(item) ? null : 10;
  const layer = { id: newId(), paintId: id, massG };
  plan.edit((now) => ({
    ...now,
    stacks: now.stacks.map((each) =>
      each.id === item.id ? { ...each, layers: [...each.layers, layer] } : each,
    ),
    paths: now.paths.map((each) =>
      each.id === item.id ? { ...each, layers: [...each.layers, layer] } : each,
    ),
  }));
}

const goPour = () => void router.push({ name: 'pour', params: { pieceId: props.pieceId } });

/** Undo and redo as everywhere on a computer; the single keys are below. */
useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  const typing = (event.target as HTMLElement | null)?.closest('input, textarea, [role="dialog"]');
  if (typing || !(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return;
  event.preventDefault();
  if (event.shiftKey) plan.redo();
  else plan.undo();
});

const arrow = (key: string, dx: number, dy: number) => ({
  keys: [key],
  shown: key.replace('Arrow', ''),
  does: `Move what is chosen ${STEP_MM} mm (with Shift 1 mm)`,
  run: (event: KeyboardEvent) => {
    const by = event.shiftKey ? FINE_MM : STEP_MM;
    nudge(dx * by, dy * by);
  },
});

useShortcuts('Plan', [
  { keys: ['l'], shown: 'L', does: 'Lay the ready layout out', run: lay },
  { keys: ['s'], shown: 'S', does: 'A stack in the middle', run: () => putInTheMiddle('stack') },
  { keys: ['k'], shown: 'K', does: 'A ribbon in the middle', run: () => putInTheMiddle('ribbon') },
  { keys: ['b'], shown: 'B', does: 'A blowing pass in the middle', run: () => putInTheMiddle('pass') },
  { keys: ['n'], shown: 'N', does: 'Choose the next one', run: () => stepThrough(1) },
  { keys: ['p'], shown: 'P', does: 'Choose the one before', run: () => stepThrough(-1) },
  arrow('ArrowLeft', -1, 0),
  arrow('ArrowRight', 1, 0),
  arrow('ArrowUp', 0, -1),
  arrow('ArrowDown', 0, 1),
  { keys: ['h'], shown: 'H', does: 'Line up in a row', run: () => act('row') },
  { keys: ['v'], shown: 'V', does: 'Line up in a column', run: () => act('column') },
  { keys: ['d'], shown: 'D', does: 'Duplicate what is chosen', run: () => act('duplicate') },
  { keys: ['m'], shown: 'M', does: 'Mirror left to right', run: () => act('left-right') },
  {
    keys: ['Delete', 'Backspace'],
    shown: 'Delete',
    does: 'Take away what is chosen',
    run: () => act('remove'),
  },
  { keys: ['u'], shown: 'U', does: 'Undo', run: plan.undo },
  { keys: ['y'], shown: 'Y', does: 'Redo', run: plan.redo },
  { keys: ['+', '='], shown: '+', does: 'Closer', run: () => canvas.value?.zoomBy(1.4) },
  { keys: ['-'], shown: '−', does: 'Further', run: () => canvas.value?.zoomBy(1 / 1.4) },
  { keys: ['0'], shown: '0', does: 'The whole support', run: () => canvas.value?.fitAll() },
  {
    keys: ['Escape'],
    shown: 'Escape',
    does: 'Let go of what is chosen',
    run: () => {
      placing.value = null;
      plan.select([]);
    },
  },
  { keys: ['c'], shown: 'C', does: 'The check', run: () => (panel.value = 'check') },
  { keys: ['i'], shown: 'I', does: 'What is chosen, in numbers', run: () => (panel.value = 'item') },
  {
    keys: ['e'],
    shown: 'E',
    does: 'The base and what amounts reckon with',
    run: () => (panel.value = 'ground'),
  },
  { keys: ['o'], shown: 'O', does: 'The order', run: () => (panel.value = 'order') },
  { keys: ['a'], shown: 'A', does: 'The air', run: () => (panel.value = 'air') },
  { keys: ['g'], shown: 'G', does: 'Go and pour it', run: goPour },
]);
</script>

<template>
  <main v-if="store.piece && opened" class="plan">
    <header>
      <h1>Plan</h1>
      <PlanBar
        v-model:layout="layout"
        v-model:flowers="flowers"
        v-model:placing="placing"
        @lay-out="lay"
        @act="act"
        @zoom="canvas?.zoomBy($event)"
        @scale="scaling = true"
        @save="save"
      />
      <Button type="primary" @click="goPour">Pour it</Button>
    </header>
    <section class="support" aria-label="The support from above">
      <SupportCanvas ref="canvas" :support="support" :placing="placing !== null" @place="put" />
      <p v-if="placing" class="hint">Press on the support where it shall lie.</p>
    </section>
    <section class="stack">
      <CoreSample :stack="sampled" class="core" />
    </section>
    <section class="panel">
      <RadioGroup v-model:value="panel" name="plan-panel" size="small" aria-label="Beside the plan">
        <RadioButton value="check"
          >Check{{ plan.findings.length > 0 ? ` ${plan.findings.length}` : '' }}</RadioButton
        >
        <RadioButton value="item">Chosen</RadioButton>
        <RadioButton value="ground">Base</RadioButton>
        <RadioButton value="order">Order</RadioButton>
        <RadioButton value="air">Air</RadioButton>
      </RadioGroup>
      <div class="scroll">
        <CheckList v-if="panel === 'check'" :piece-id="pieceId" @mix="mix" />
        <div v-else-if="panel === 'item'" class="inspector">
          <BareSelect
            label="On the support"
            :value="plan.selection[0]"
            placeholder="Choose what lies on the support"
            :options="itemOptions"
            @update:value="plan.select([String($event)])"
          />
          <ItemInspector v-if="chosen" :item="chosen" @another="asking = true" />
          <p v-else-if="plan.selection.length > 1" class="soft">
            {{ plan.selection.length }} are chosen: they move, mirror and line up together.
          </p>
          <p v-else class="soft">
            Choose something here or on the support: it can be dragged, bent, and typed. Hold Shift to choose
            several.
          </p>
        </div>
        <GroundPanel v-else-if="panel === 'ground'" @another="asking = true" />
        <OrderPanel v-else-if="panel === 'order'" :item="ordered" />
        <AirPanel v-else :stack="sampled" />
      </div>
    </section>
    <AmountStrip class="amounts" @mix="mix" />
    <PlannedCup v-if="asking" @close="asking = false" @made="planned" />
    <ScalePlan v-if="scaling" @close="scaling = false" />
  </main>
</template>

<style scoped>
.plan {
  display: grid;
  grid-template-columns: minmax(0, 1.08fr) minmax(0, 1fr) minmax(0, 0.92fr);
  grid-template-rows: auto minmax(0, 1fr) auto;
  height: 100%;
}

header {
  grid-column: 1 / -1;
  display: flex;
  align-items: center;
  gap: 14px;
  padding: 8px 20px 6px;
}

header > :nth-child(2) {
  flex: 1;
}

.support {
  position: relative;
  display: grid;
  min-height: 0;
  padding: 0 0 6px 12px;
}

.hint {
  position: absolute;
  left: 24px;
  bottom: 10px;
  padding: 4px 10px;
  background: var(--bench);
  border: 1px solid var(--brass);
}

.stack {
  display: grid;
  min-height: 0;
  padding: 0 12px 6px;
}

.inspector {
  display: grid;
  gap: 8px;
  align-content: start;
}

.panel {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  gap: 8px;
  min-height: 0;
  padding: 0 16px 6px 4px;
}

.panel :deep(.ant-radio-button-wrapper) {
  padding-inline: 8px;
  font-size: 14px;
}

.scroll {
  overflow: auto;
}

.amounts {
  grid-column: 1 / -1;
}

@media (width < 1000px) {
  .plan {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: none;
    height: auto;
  }

  header {
    flex-wrap: wrap;
  }

  .support {
    height: 60vh;
  }

  .stack,
  .panel {
    padding: 0 16px 12px;
  }

  .core {
    height: 320px;
  }
}
</style>
