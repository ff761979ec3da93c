<script setup lang="ts">
import { SUPPORT_KINDS } from '@icy-ribbon/core/piece/support';
import { Input, RadioButton, RadioGroup, Select } from 'ant-design-vue';
import { computed } from 'vue';
import { messageAt } from '../api/problem.ts';
import FieldRow from './FieldRow.vue';
import QuantityField from './QuantityField.vue';
import { SUPPORT_KIND_LABELS, supportMinds } from '../words/support.ts';
import type { SupportDraft } from './supportDraft.ts';

defineProps<{ problem: unknown }>();
const draft = defineModel<SupportDraft>({ required: true });

function change(changes: Partial<SupportDraft>): void {
  const next = { ...draft.value, ...changes };
  draft.value = next.shape === 'round' ? { ...next, heightMm: next.widthMm } : next;
}

const KIND_OPTIONS = SUPPORT_KINDS.map((value) => ({ value, label: SUPPORT_KIND_LABELS[value] }));
const isRound = computed(() => draft.value.shape === 'round');
</script>

<template>
  <div class="support-form stacked gap-12">
    <FieldRow label="Name of the support" for="support-name" :error="messageAt(problem, 'name')">
      <Input
        id="support-name"
        :value="draft.name"
        placeholder="Canvas 30 x 40"
        autocomplete="off"
        @update:value="change({ name: $event })"
      />
    </FieldRow>
    <FieldRow label="What it is" for="support-kind" :error="messageAt(problem, 'kind')">
      <Select
        id="support-kind"
        :value="draft.kind"
        :options="KIND_OPTIONS"
        @update:value="change({ kind: $event as SupportDraft['kind'] })"
      />
    </FieldRow>
    <p v-if="supportMinds(draft.kind)" class="soft">{{ supportMinds(draft.kind) }}</p>
    <FieldRow label="Shape" for="support-shape">
      <RadioGroup
        id="support-shape"
        :value="draft.shape"
        name="support-shape"
        @update:value="change({ shape: $event as SupportDraft['shape'] })"
      >
        <RadioButton value="rectangle">Rectangle</RadioButton>
        <RadioButton value="round">Round</RadioButton>
      </RadioGroup>
    </FieldRow>
    <div class="row stacked gap-12">
      <QuantityField
        :model-value="draft.widthMm"
        :label="isRound ? 'Diameter' : 'Width'"
        quantity="length"
        :error="messageAt(problem, 'widthMm')"
        @update:model-value="change({ widthMm: $event })"
      />
      <QuantityField
        v-if="!isRound"
        :model-value="draft.heightMm"
        label="Height"
        quantity="length"
        :error="messageAt(problem, 'heightMm')"
        @update:model-value="change({ heightMm: $event })"
      />
    </div>
    <QuantityField
      :model-value="draft.sideDepthMm"
      label="Side depth"
      quantity="length"
      :error="messageAt(problem, 'sideDepthMm')"
      @update:model-value="change({ sideDepthMm: $event })"
    />
  </div>
</template>

<style scoped>
.row {
  grid-template-columns: 1fr 1fr;
}
</style>
