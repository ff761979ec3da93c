<script setup lang="ts">
import {
  FINISHES,
  MATERIAL_KINDS,
  OPACITIES,
  PIGMENTS,
  isPaint,
  materialKind,
  substitutesFor,
  type MaterialKind,
  type Substitute,
} from '@icy-ribbon/core/paint/material';
import { CAUTIONS } from '@icy-ribbon/core/paint/caution';
import { stageOf } from '@icy-ribbon/core/paint/stage';
import { Checkbox, Input, Select, Textarea } from 'ant-design-vue';
import { computed } from 'vue';
import { messageAt } from '#api/problem.ts';
import ColorField from '#field/ColorField.vue';
import FieldRow from '#field/FieldRow.vue';
import NumberField from '#field/NumberField.vue';
import QuantityField from '#field/QuantityField.vue';
import PackField from './PackField.vue';
import DensityByCup from './DensityByCup.vue';
import { typicalOf, type MaterialDraft } from './materialDraft.ts';

defineProps<{ problem: unknown; kindFixed: boolean }>();
const draft = defineModel<MaterialDraft>({ required: true });

const change = (changes: Partial<MaterialDraft>) => {
  draft.value = { ...draft.value, ...changes };
};

const kindOptions = MATERIAL_KINDS.map(({ kind, label }) => ({ value: kind, label }));
const asOptions = (values: readonly string[]) => values.map((value) => ({ value, label: value }));
const pigmentOptions = [
  { value: '', label: 'not known' },
  ...PIGMENTS.map(({ pigment, label }) => ({ value: pigment, label })),
];

const percentOf = (share: number | null) => (share === null ? null : share * 100);
const shareOf = (percent: number | null) => (percent === null ? null : percent / 100);
const stands = computed(() => substitutesFor(draft.value.kind));
const standWords = (stand: Substitute) =>
  stand.parts.map((part) => `${part.parts} ${materialKind(part.kind).label.toLowerCase()}`).join(' and ');
const hazards = computed(() => materialKind(draft.value.kind).hazards ?? []);
const paint = computed(() => isPaint(draft.value.kind));
const typical = computed(() => typicalOf(draft.value));
</script>

<template>
  <div class="material-form stacked gap-12">
    <FieldRow label="Name" for="material-name" :error="messageAt(problem, 'name')">
      <Input
        id="material-name"
        :value="draft.name"
        placeholder="Slate ink"
        autocomplete="off"
        @update:value="change({ name: $event })"
      />
    </FieldRow>
    <FieldRow
      label="Kind"
      for="material-kind"
      :error="messageAt(problem, 'kind')"
      :hint="materialKind(draft.kind).note"
    >
      <Select
        id="material-kind"
        :value="draft.kind"
        :options="kindOptions"
        :disabled="kindFixed"
        show-search
        option-filter-prop="label"
        @update:value="change({ kind: $event as MaterialKind })"
      />
    </FieldRow>
    <ColorField
      :model-value="draft.colorHex"
      label="Color when wet"
      :error="messageAt(problem, 'colorHex')"
      @update:model-value="change({ colorHex: $event ?? '' })"
    />
    <template v-if="paint">
      <ColorField
        :model-value="draft.dryColorHex"
        label="Color when dry, once you have seen it"
        placeholder="not seen yet"
        :fallback="draft.colorHex"
        :error="messageAt(problem, 'dryColorHex')"
        @update:model-value="change({ dryColorHex: $event })"
      />
      <div class="row stacked gap-12">
        <FieldRow label="Finish" for="material-finish">
          <Select
            id="material-finish"
            :value="draft.finish"
            :options="asOptions(FINISHES)"
            @update:value="change({ finish: $event as MaterialDraft['finish'] })"
          />
        </FieldRow>
        <FieldRow label="Opacity" for="material-opacity">
          <Select
            id="material-opacity"
            :value="draft.opacity"
            :options="asOptions(OPACITIES)"
            @update:value="change({ opacity: $event as MaterialDraft['opacity'] })"
          />
        </FieldRow>
      </div>
      <FieldRow label="Pigment" for="material-pigment" hint="Sets the typical density.">
        <Select
          id="material-pigment"
          :value="draft.pigment ?? ''"
          :options="pigmentOptions"
          @update:value="change({ pigment: ($event || null) as MaterialDraft['pigment'] })"
        />
      </FieldRow>
    </template>
    <NumberField
      :model-value="draft.densityGPerMl"
      label="Density, if you measured it"
      unit="g/ml"
      :digits="3"
      :error="messageAt(problem, 'densityGPerMl')"
      :hint="`Left empty: ${typical.densityGPerMl} g/ml, typical of the kind.`"
      @update:model-value="change({ densityGPerMl: $event })"
    />
    <NumberField
      :model-value="draft.viscosityPaS"
      label="Thickness, if you measured it"
      unit="Pa·s"
      :digits="4"
      :error="messageAt(problem, 'viscosityPaS')"
      :hint="`Left empty: ${typical.viscosityPaS} Pa·s, typical (${stageOf(typical.viscosityPaS).name}).`"
      @update:model-value="change({ viscosityPaS: $event })"
    />
    <DensityByCup @measured="change({ densityGPerMl: $event })" />
    <div class="row stacked gap-12">
      <NumberField
        :model-value="draft.price"
        label="Price of a pack"
        unit=""
        :error="messageAt(problem, 'priceCents')"
        @update:model-value="change({ price: $event })"
      />
      <PackField
        :model-value="draft.packMg"
        :density-g-per-ml="draft.densityGPerMl ?? typical.densityGPerMl"
        :error="messageAt(problem, 'packMg')"
        @update:model-value="change({ packMg: $event })"
      />
    </div>
    <div class="row stacked gap-12">
      <QuantityField
        :model-value="draft.stockMg"
        label="In stock now"
        quantity="mass"
        :error="messageAt(problem, 'stockMg')"
        @update:model-value="change({ stockMg: $event })"
      />
      <FieldRow label="Opened on" for="material-opened" :error="messageAt(problem, 'openedOn')">
        <Input
          id="material-opened"
          type="date"
          :value="draft.openedOn ?? ''"
          @update:value="change({ openedOn: $event || null })"
        />
      </FieldRow>
    </div>
    <div class="row stacked gap-12">
      <NumberField
        :model-value="percentOf(draft.solids)"
        label="Solids"
        unit="%"
        :digits="1"
        :error="messageAt(problem, 'solids')"
        :hint="`Usual: ${Math.round(materialKind(draft.kind).solids * 100)} %`"
        @update:model-value="change({ solids: shareOf($event) })"
      />
      <NumberField
        v-if="paint"
        :model-value="percentOf(draft.waterLimit)"
        label="Bears water up to"
        unit="%"
        :digits="1"
        :error="messageAt(problem, 'waterLimit')"
        :hint="`Usual: ${Math.round((materialKind(draft.kind).waterLimit?.caution ?? 0.3) * 100)} % of the mix`"
        @update:model-value="change({ waterLimit: shareOf($event) })"
      />
    </div>
    <NumberField
      v-if="paint"
      :model-value="draft.tintingStrength"
      label="Tinting strength"
      unit="×"
      :digits="2"
      :error="messageAt(problem, 'tintingStrength')"
      hint="1 is as strong as most; a phthalo type about 3, a pale earth 0.5. Mixes and matches use it."
      @update:model-value="change({ tintingStrength: $event })"
    />
    <Checkbox :checked="draft.canBuy" @update:checked="change({ canBuy: $event })"
      >I can buy more of it</Checkbox
    >
    <p v-if="stands.length > 0" class="soft small">
      <template v-for="stand in stands" :key="stand.expect">
        Instead of 1 part: {{ standWords(stand) }}. {{ stand.expect }}<br />
      </template>
    </p>
    <p v-for="hazard in hazards" :key="hazard" class="look small">
      {{ CAUTIONS[hazard] }} {{ CAUTIONS.deferral }}
    </p>
    <FieldRow label="Note" for="material-note" :error="messageAt(problem, 'note')">
      <Textarea id="material-note" :value="draft.note" :rows="2" @update:value="change({ note: $event })" />
    </FieldRow>
  </div>
</template>

<style scoped>
.row {
  grid-template-columns: 1fr 1fr;
}
</style>
