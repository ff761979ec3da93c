<script setup lang="ts">
import {
  AIR_TOOLS,
  AIR_WAYS,
  airTool,
  settingsOf,
  bearingName,
  type AirTool,
  type AirWay,
} from '@icy-ribbon/core/flow/air';
import type { PlanPass } from '@icy-ribbon/core/piece/plan';
import { computed } from 'vue';
import BareSelect from '#field/BareSelect.vue';
import NumberField from '#field/NumberField.vue';
import QuantityField from '#field/QuantityField.vue';
import { useEquipment } from '#store/equipment.ts';
import PlaceFields from './PlaceFields.vue';
import { typedWithin } from './typed.ts';

/** A pass of air in numbers: the tool, where it stands and blows, and its turn among the passes. */
const props = defineProps<{ item: PlanPass }>();
const emit = defineEmits<{ change: [changes: Partial<PlanPass>]; move: [by: number] }>();

const equipment = useEquipment();
const toolOptions = AIR_TOOLS.map(({ tool, label }) => ({ value: tool, label }));
const blowerOptions = computed(() => [
  { value: '', label: 'usual one' },
  ...equipment.blowers
    .filter((blower) => blower.tool === props.item.tool)
    .map(({ id, name: label }) => ({ value: id, label })),
]);
const settingOptions = computed(() => settingsOf(props.item.tool).map((value) => ({ value, label: value })));

function setTool(tool: AirTool): void {
  const { distanceMm } = airTool(tool);
  emit('change', { tool, setting: settingsOf(tool)[0]!, distanceMm, blowerId: null, end: null });
}

const WAY_OPTIONS = AIR_WAYS.map((value) => ({ value, label: value }));

/** Where it ends farther off or harder than it begins; none where it does not. */
function setEnd(changes: Partial<NonNullable<PlanPass['end']>>): void {
  const { distanceMm, setting } = props.item;
  const end = { distanceMm, setting, ...props.item.end, ...changes };
  if (end.distanceMm < 5 || end.distanceMm > 3000) return;
  emit('change', { end: end.distanceMm === distanceMm && end.setting === setting ? null : end });
}

function setNumber(
  key: 'distanceMm' | 'slantDeg' | 'seconds' | 'directionDeg',
  typed: number | null,
  limits: readonly [number, number],
): void {
  const value = typedWithin(typed, props.item[key], limits);
  if (value !== null) emit('change', { [key]: value });
}
</script>

<template>
  <div class="fields stacked">
    <div class="grid two stacked">
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
        @update:value="emit('change', { setting: String($event) })"
      />
      <BareSelect
        v-if="blowerOptions.length > 1"
        label="Which blower"
        :value="item.blowerId ?? ''"
        :options="blowerOptions"
        @update:value="emit('change', { blowerId: $event ? String($event) : null })"
      />
    </div>
    <div class="grid stacked">
      <QuantityField
        label="Distance"
        quantity="length"
        :model-value="item.distanceMm"
        @commit="setNumber('distanceMm', $event, [5, 3000])"
      />
      <NumberField
        label="Slant, 90 straight"
        unit="°"
        :model-value="item.slantDeg"
        @commit="setNumber('slantDeg', $event, [5, 90])"
      />
      <NumberField
        label="Seconds"
        unit="s"
        :model-value="item.seconds"
        @commit="setNumber('seconds', $event, [0.1, 600])"
      />
      <NumberField
        :label="`Blows ${bearingName(item.directionDeg)}`"
        unit="°"
        :model-value="item.directionDeg"
        @commit="setNumber('directionDeg', $event, [0, 359])"
      />
      <PlaceFields :at="item.at" @change="emit('change', { at: $event })" />
    </div>
    <div class="grid stacked">
      <BareSelect
        label="How the air goes"
        :value="item.way ?? 'straight'"
        :options="WAY_OPTIONS"
        @update:value="emit('change', { way: $event as AirWay })"
      />
      <QuantityField
        label="Ends at"
        quantity="length"
        :model-value="item.end?.distanceMm ?? item.distanceMm"
        @commit="setEnd({ distanceMm: $event ?? item.distanceMm })"
      />
      <BareSelect
        label="Setting at its end"
        :value="item.end?.setting ?? item.setting"
        :options="settingOptions"
        @update:value="setEnd({ setting: String($event) })"
      />
    </div>
    <p class="order abreast gap-16">
      <button class="plain-button link" @click="emit('move', -1)">Earlier</button>
      <button class="plain-button link" @click="emit('move', 1)">Later</button>
    </p>
  </div>
</template>

<style scoped>
.grid {
  grid-template-columns: repeat(3, minmax(0, 1fr));
}

.grid.two {
  grid-template-columns: repeat(2, minmax(0, 1fr));
}

.link {
  padding: 6px 0;
  color: var(--water);
  text-decoration: underline;
}
</style>
