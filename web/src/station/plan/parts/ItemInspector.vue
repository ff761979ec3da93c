<script setup lang="ts">
import { AIR_TOOLS, airTool, bearingName, type AirTool } from '@icy-ribbon/core/flow/air';
import {
  bentThrough,
  changeItems,
  curveMiddle,
  isPass,
  isPath,
  isStack,
  PATH_KINDS,
  type PathKind,
  type Place,
  type PlanItem,
  type PlanLayer,
  type PlanPass,
} from '@icy-ribbon/core/piece/plan';
import { computed } from 'vue';
import { itemName, PATH_LABELS } from '../../../drawing/plan.ts';
import BareSelect from '../../../field/BareSelect.vue';
import NumberField from '../../../field/NumberField.vue';
import QuantityField from '../../../field/QuantityField.vue';
import { useEquipment } from '../../../store/equipment.ts';
import { usePlan } from '../../../store/plan/plan.ts';
import LayerList from './LayerList.vue';

/** The chosen item in numbers: everything that can be dragged can be typed. */
const props = defineProps<{ item: PlanItem }>();
defineEmits<{ another: [] }>();

const plan = usePlan();
const equipment = useEquipment();

const name = computed(() => itemName(plan.body, props.item.id));

function set(changes: Partial<PlanItem>): void {
  plan.edit((now) => changeItems(now, [props.item.id], (item) => ({ ...item, ...changes })));
}
const setLayers = (layers: readonly PlanLayer[]) => set({ layers } as Partial<PlanItem>);

/** Leaving a field does not round what it shows. */
const asShown = (typed: number, kept: number) => Math.abs(typed - kept) < 0.006;

const setAt = (axis: 'x' | 'y', mm: number | null) => {
  if (mm === null || isPath(props.item) || asShown(mm, props.item.at[axis])) return;
  set({ at: { ...props.item.at, [axis]: mm } } as Partial<PlanItem>);
};

/** A path by its start, the middle it bends through, and its end. */
const ends = computed(() =>
  isPath(props.item)
    ? ([
        ['start', 'From', props.item.start],
        ['middle', 'Through', curveMiddle(props.item)],
        ['end', 'To', props.item.end],
      ] as const)
    : [],
);

function setEnd(which: 'start' | 'middle' | 'end', axis: 'x' | 'y', mm: number | null): void {
  const path = props.item;
  if (mm === null || !isPath(path)) return;
  const now = which === 'middle' ? curveMiddle(path) : path[which];
  if (asShown(mm, now[axis])) return;
  const moved = (place: Place): Place => ({ ...place, [axis]: mm });
  if (which === 'middle') {
    set({ control: bentThrough(path, moved(curveMiddle(path))) } as Partial<PlanItem>);
  } else {
    set({ [which]: moved(path[which]) } as Partial<PlanItem>);
  }
}

const kindOptions = PATH_KINDS.map((kind) => ({ value: kind, label: PATH_LABELS[kind] }));
const toolOptions = AIR_TOOLS.map(({ tool, label }) => ({ value: tool, label }));
const blowerOptions = computed(() => [
  { value: '', label: 'usual one' },
  ...equipment.blowers
    .filter((blower) => isPass(props.item) && blower.tool === props.item.tool)
    .map(({ id, name: label }) => ({ value: id, label })),
]);
const settingOptions = computed(() =>
  isPass(props.item) ? airTool(props.item.tool).settings.map((value) => ({ value, label: value })) : [],
);

const setPass = (changes: Partial<PlanPass>) => set(changes as Partial<PlanItem>);
function setTool(tool: AirTool): void {
  const { settings, distanceMm } = airTool(tool);
  setPass({ tool, setting: settings[0], distanceMm, blowerId: null });
}
const within = (
  value: number | null,
  kept: number,
  low: number,
  high: number,
  take: (value: number) => void,
) => {
  if (value !== null && !asShown(value, kept)) take(Math.min(high, Math.max(low, value)));
};

/** Its place in the order of the work. */
function moveInOrder(by: number): void {
  plan.edit((now) => {
    const from = now.passes.findIndex((pass) => pass.id === props.item.id);
    const to = from + by;
    if (from < 0 || to < 0 || to >= now.passes.length) return now;
    const passes = [...now.passes];
    const [pass] = passes.splice(from, 1);
    passes.splice(to, 0, pass!);
    return { ...now, passes };
  });
}
</script>

<template>
  <section class="item" :aria-label="name">
    <h2>{{ name }}</h2>
    <template v-if="isStack(item)">
      <LayerList :item="item" stacked @change="setLayers" @another="$emit('another')" />
      <div class="grid">
        <QuantityField
          label="From the left"
          quantity="length"
          :model-value="item.at.x"
          @commit="setAt('x', $event)"
        />
        <QuantityField
          label="From the top"
          quantity="length"
          :model-value="item.at.y"
          @commit="setAt('y', $event)"
        />
        <QuantityField
          label="Flower, across"
          quantity="length"
          :model-value="item.footprintMm"
          @commit="
            within($event, item.footprintMm, 5, 5000, (footprintMm) =>
              set({ footprintMm } as Partial<PlanItem>),
            )
          "
        />
      </div>
    </template>
    <template v-else-if="isPath(item)">
      <BareSelect
        label="What it is"
        :value="item.kind"
        :options="kindOptions"
        @update:value="set({ kind: $event as PathKind } as Partial<PlanItem>)"
      />
      <LayerList :item="item" :stacked="false" @change="setLayers" @another="$emit('another')" />
      <div v-for="[which, label, place] in ends" :key="which" class="row">
        <span class="label">{{ label }}</span>
        <QuantityField
          bare
          :label="`${label}, from the left`"
          quantity="length"
          :model-value="place.x"
          @commit="setEnd(which, 'x', $event)"
        />
        <QuantityField
          bare
          :label="`${label}, from the top`"
          quantity="length"
          :model-value="place.y"
          @commit="setEnd(which, 'y', $event)"
        />
      </div>
    </template>
    <template v-else-if="isPass(item)">
      <div class="grid two">
        <BareSelect
          label="Tool"
          :value="item.tool"
          :options="toolOptions"
          @update:value="setTool($event as AirTool)"
        />
        <BareSelect
          label="Setting"
          :value="item.setting"
          :options="settingOptions"
          @update:value="setPass({ setting: String($event) })"
        />
        <BareSelect
          v-if="blowerOptions.length > 1"
          label="Which blower"
          :value="item.blowerId ?? ''"
          :options="blowerOptions"
          @update:value="setPass({ blowerId: $event ? String($event) : null })"
        />
      </div>
      <div class="grid">
        <QuantityField
          label="Distance"
          quantity="length"
          :model-value="item.distanceMm"
          @commit="within($event, item.distanceMm, 5, 3000, (distanceMm) => setPass({ distanceMm }))"
        />
        <NumberField
          label="Slant, 90 straight"
          unit="°"
          :model-value="item.slantDeg"
          @commit="within($event, item.slantDeg, 5, 90, (slantDeg) => setPass({ slantDeg }))"
        />
        <NumberField
          label="Seconds"
          unit="s"
          :model-value="item.seconds"
          @commit="within($event, item.seconds, 0.1, 600, (seconds) => setPass({ seconds }))"
        />
        <NumberField
          :label="`Blows ${bearingName(item.directionDeg)}`"
          unit="°"
          :model-value="item.directionDeg"
          @commit="within($event, item.directionDeg, 0, 359, (directionDeg) => setPass({ directionDeg }))"
        />
        <QuantityField
          label="From the left"
          quantity="length"
          :model-value="item.at.x"
          @commit="setAt('x', $event)"
        />
        <QuantityField
          label="From the top"
          quantity="length"
          :model-value="item.at.y"
          @commit="setAt('y', $event)"
        />
      </div>
      <p class="order">
        <button class="plain-button link" @click="moveInOrder(-1)">Earlier</button>
        <button class="plain-button link" @click="moveInOrder(1)">Later</button>
      </p>
    </template>
  </section>
</template>

<style scoped>
.item {
  display: grid;
  gap: 8px;
  align-content: start;
}

.grid {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 8px;
}

.grid.two {
  grid-template-columns: repeat(2, minmax(0, 1fr));
}

.row {
  display: grid;
  grid-template-columns: 64px minmax(0, 1fr) minmax(0, 1fr);
  align-items: center;
  gap: 8px;
}

.order {
  display: flex;
  gap: 16px;
}

.link {
  padding: 6px 0;
  color: var(--water);
  text-decoration: underline;
}
</style>
