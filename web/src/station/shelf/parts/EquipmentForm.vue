<script setup lang="ts">
import { AIR_TOOLS, type AirTool } from '@icy-ribbon/core/flow/air';
import { Checkbox, Input, Select, Textarea } from 'ant-design-vue';
import { messageAt } from '#api/problem.ts';
import FieldRow from '#field/FieldRow.vue';
import NumberField from '#field/NumberField.vue';
import QuantityField from '#field/QuantityField.vue';
import { emptyBlower, type BlowerDraft, type EquipmentDraft, type VesselDraft } from './equipmentDraft.ts';

defineProps<{ problem: unknown }>();
const draft = defineModel<EquipmentDraft>({ required: true });

const change = (changes: Partial<VesselDraft> | Partial<BlowerDraft>) => {
  draft.value = { ...draft.value, ...changes } as EquipmentDraft;
};

/** Another kind of blower brings its typical exit, unless the exit was measured. */
function takeTool(tool: AirTool): void {
  if (draft.value.kind !== 'blower') return;
  const { exitDiameterMm, exitSpeedMS } = emptyBlower(tool);
  change(draft.value.exitTrust === 'measured' ? { tool } : { tool, exitDiameterMm, exitSpeedMS });
}

const toolOptions = AIR_TOOLS.map(({ tool, label }) => ({ value: tool, label }));
</script>

<template>
  <div class="equipment-form stacked gap-12">
    <FieldRow label="Name" for="equipment-name" :error="messageAt(problem, 'name')">
      <Input
        id="equipment-name"
        :value="draft.name"
        autocomplete="off"
        @update:value="change({ name: $event })"
      />
    </FieldRow>
    <template v-if="draft.kind === 'vessel'">
      <QuantityField
        :model-value="draft.capacityMl"
        label="Holds, to the brim"
        quantity="volume"
        :error="messageAt(problem, 'capacityMl')"
        @update:model-value="change({ capacityMl: $event })"
      />
      <QuantityField
        :model-value="draft.tareMg"
        label="Weighs empty, with its lid"
        quantity="mass"
        :error="messageAt(problem, 'tareMg')"
        @update:model-value="change({ tareMg: $event })"
      />
    </template>
    <template v-else>
      <FieldRow label="Kind" for="equipment-tool">
        <Select
          id="equipment-tool"
          :value="draft.tool"
          :options="toolOptions"
          @update:value="takeTool($event as AirTool)"
        />
      </FieldRow>
      <QuantityField
        :model-value="draft.exitDiameterMm"
        label="Exit, across"
        quantity="length"
        :error="messageAt(problem, 'exitDiameterMm')"
        @update:model-value="change({ exitDiameterMm: $event })"
      />
      <NumberField
        :model-value="draft.exitSpeedMS"
        label="Speed of the air at the exit"
        unit="m/s"
        :digits="1"
        :error="messageAt(problem, 'exitSpeedMS')"
        @update:model-value="change({ exitSpeedMS: $event })"
      />
      <Checkbox
        :checked="draft.exitTrust === 'measured'"
        @update:checked="change({ exitTrust: $event ? 'measured' : 'typical' })"
      >
        I measured this
      </Checkbox>
      <Checkbox :checked="draft.baffle" @update:checked="change({ baffle: $event })">
        A cup baffle softens it
      </Checkbox>
      <FieldRow label="Note" for="equipment-note">
        <Textarea
          id="equipment-note"
          :value="draft.note"
          :rows="2"
          @update:value="change({ note: $event })"
        />
      </FieldRow>
    </template>
  </div>
</template>
