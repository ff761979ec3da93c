<script setup lang="ts">
import { toG, toMg } from '@icy-ribbon/core/base/unit';
import { SPREADERS, type PlanSettings, type Spreader } from '@icy-ribbon/core/piece/plan';
import { Checkbox } from 'ant-design-vue';
import BareSelect from '#field/BareSelect.vue';
import { SPREADER_LABELS } from '#words/step.ts';
import NumberField from '#field/NumberField.vue';
import QuantityField from '#field/QuantityField.vue';
import PieceAims from '#field/PieceAims.vue';
import { usePlan } from '#store/plan/plan.ts';

/** What the amounts, the dent and the spin of a plan reckon with. */
const plan = usePlan();

const FIELDS = [
  ['marginMm', 'Film that stays under the dent', 'mm', 1, 0, 20],
  ['sheetMm', 'Activator, blown out', 'mm', 1, 0.05, 5],
  ['dripShare', 'Runs off the edges', '%', 100, 0, 100],
  ['reserveShare', 'Kept back for repairs', '%', 100, 0, 100],
  ['cupLossG', 'Stays in each cup', 'g', 1, 0, 200],
  ['copies', 'Pieces or tiles alike', '×', 1, 1, 200],
  ['standSeconds', 'Stands before the air', 's', 1, 1, 36000],
  ['waitSeconds', 'Waits for the cells', 's', 1, 0, 36000],
  ['spinRpm', 'Spun, turns a minute', '×', 1, 0, 600],
  ['spinSeconds', 'Spun for, in all', 's', 1, 0, 3600],
  ['spinTimes', 'In so many spins', '×', 1, 1, 20],
] as const;

const STEPS = [
  ['blowTest', 'Blow the base alone first'],
  ['card', 'Drawn with a card, not blown'],
  ['straw', 'Straw in the middle'],
  ['skewer', 'Skewer at the end'],
] as const;
const spreaderOptions = SPREADERS.map((value) => ({ value, label: SPREADER_LABELS[value] }));
const setting = (changes: Partial<PlanSettings>) =>
  plan.edit((now) => ({ ...now, settings: { ...now.settings, ...changes } }));

function setField(
  key: keyof PlanSettings,
  factor: number,
  low: number,
  high: number,
  shown: number | null,
): void {
  if (shown === null) return;
  const kept = Math.min(high, Math.max(low, shown)) / factor;
  const value = key === 'copies' || key === 'spinTimes' ? Math.round(kept) : kept;
  setting({ [key]: value });
}
</script>

<template>
  <PieceAims class="aims" />
  <div class="steps">
    <Checkbox
      v-for="[key, label] in STEPS"
      :key="key"
      :checked="plan.body.settings[key]"
      @update:checked="setting({ [key]: $event })"
    >
      {{ label }}
    </Checkbox>
    <BareSelect
      v-if="plan.body.base"
      label="What spreads the base, corners first"
      :value="plan.body.settings.spreadBy"
      :options="spreaderOptions"
      @update:value="setting({ spreadBy: $event as Spreader })"
    />
  </div>
  <div class="grid stacked">
    <template v-for="[key, label, unit, factor, low, high] in FIELDS" :key="key">
      <QuantityField
        v-if="unit === 'mm'"
        quantity="depth"
        :label="label"
        :model-value="plan.body.settings[key]"
        @commit="setField(key, factor, low, high, $event)"
      />
      <QuantityField
        v-else-if="unit === 'g'"
        :label="label"
        quantity="mass"
        :model-value="toMg(plan.body.settings[key])"
        @commit="setField(key, factor, low, high, $event === null ? null : toG($event))"
      />
      <NumberField
        v-else
        :label="label"
        :unit="unit"
        :model-value="plan.body.settings[key] * factor"
        @commit="setField(key, factor, low, high, $event)"
      />
    </template>
  </div>
</template>

<style scoped>
.aims {
  margin-bottom: 12px;
}

.steps {
  display: grid;
  gap: 2px;
  margin-bottom: 12px;
}

.steps .ant-checkbox-wrapper {
  min-height: 32px;
  align-items: center;
}

.grid {
  grid-template-columns: repeat(2, minmax(0, 1fr));
}
</style>
