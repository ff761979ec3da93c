<script setup lang="ts">
import { AIR_TOOLS, AIR_WAYS, settingsOf, type AirTool, type AirWay } from '@icy-ribbon/core/flow/air';
import { AutoComplete } from 'ant-design-vue';
import { computed, onMounted } from 'vue';
import { messageAt } from '#api/problem.ts';
import BareSelect from '#field/BareSelect.vue';
import NumberField from '#field/NumberField.vue';
import QuantityField from '#field/QuantityField.vue';
import { attempt } from '#notice/useTask.ts';
import { useEquipment } from '#store/equipment.ts';
import { blowerNow, withTool, type PassDraft } from './passDraft.ts';

/** A pass as one sentence, each word of which can be changed. */
defineProps<{ problem: unknown }>();
const draft = defineModel<PassDraft>({ required: true });

const equipment = useEquipment();
onMounted(() => attempt(equipment.ensure));

const change = (changes: Partial<PassDraft>) => {
  draft.value = { ...draft.value, ...changes };
};

const toolOptions = AIR_TOOLS.map(({ tool, label }) => ({ value: tool, label }));
/** The shelf's blowers of this kind. */
const blowerOptions = computed(() => [
  { value: '', label: 'usual one' },
  ...equipment.blowers
    .filter(({ tool }) => tool === draft.value.tool)
    .map(({ id, name: label }) => ({ value: id, label })),
]);
function setBlower(id: unknown): void {
  const chosen = equipment.blowers.find((each) => each.id === id);
  change({ blower: chosen ? blowerNow(chosen) : null });
}
const settingOptions = computed(() => settingsOf(draft.value.tool).map((value) => ({ value })));

const WAY_OPTIONS = AIR_WAYS.map((value) => ({ value, label: value }));
/** A breath that draws back ends harder. */
function setEnd(distanceMm: number | null): void {
  const isSame = distanceMm === null || distanceMm === draft.value.distanceMm;
  const hardest = settingsOf(draft.value.tool).at(-1)!;
  change({ end: isSame ? null : { distanceMm, setting: draft.value.end?.setting ?? hardest } });
}
</script>

<template>
  <div class="sentence">
    <span>With</span>
    <BareSelect
      label="Tool"
      class="list"
      :value="draft.tool"
      :options="toolOptions"
      @update:value="change(withTool($event as AirTool, equipment.blowers))"
    />
    <BareSelect
      v-if="blowerOptions.length > 1"
      label="Which blower"
      class="list"
      :value="draft.blower?.id ?? ''"
      :options="blowerOptions"
      @update:value="setBlower"
    />
    <span>on</span>
    <AutoComplete
      class="word"
      aria-label="Setting"
      :value="draft.setting"
      :options="settingOptions"
      @update:value="change({ setting: String($event ?? '') })"
    />
    <span>from</span>
    <QuantityField
      class="number"
      bare
      :model-value="draft.distanceMm"
      label="Distance"
      quantity="length"
      :error="messageAt(problem, 'data.distanceMm')"
      @update:model-value="change({ distanceMm: $event })"
    />
    <span>to</span>
    <QuantityField
      class="number"
      bare
      :model-value="draft.end?.distanceMm ?? draft.distanceMm"
      label="Ends at"
      quantity="length"
      :error="messageAt(problem, 'data.end.distanceMm')"
      @update:model-value="setEnd($event)"
    />
    <span>away, slanted</span>
    <NumberField
      class="number"
      bare
      :model-value="draft.slantDeg"
      label="Slant, 90 is straight down"
      unit="°"
      :digits="0"
      :error="messageAt(problem, 'data.slantDeg')"
      @update:model-value="change({ slantDeg: $event })"
    />
    <span>toward</span>
    <NumberField
      class="number"
      bare
      :model-value="draft.directionDeg"
      label="Direction, 0 is to the top"
      unit="°"
      :digits="0"
      :error="messageAt(problem, 'data.directionDeg')"
      @update:model-value="change({ directionDeg: $event })"
    />
    <BareSelect
      label="How the air goes"
      class="list"
      :value="draft.way ?? 'straight'"
      :options="WAY_OPTIONS"
      @update:value="change({ way: $event as AirWay })"
    />
    <span>for</span>
    <NumberField
      class="number"
      bare
      :model-value="draft.seconds"
      label="Seconds"
      unit="s"
      :digits="1"
      :error="messageAt(problem, 'data.seconds')"
      @update:model-value="change({ seconds: $event })"
    />
    <p v-if="messageAt(problem, 'data.setting')" class="alarm" role="alert">
      {{ messageAt(problem, 'data.setting') }}
    </p>
  </div>
</template>

<style scoped>
/* Everything but direction and seconds is as the pass before: one sentence, each word of it can be changed. */
.sentence {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 8px;
}

.list {
  width: 170px;
}

.word {
  width: 110px;
}

.number {
  width: 84px;
}
</style>
