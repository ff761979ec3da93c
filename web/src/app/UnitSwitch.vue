<script setup lang="ts">
import { Button, Popover, RadioButton, RadioGroup } from 'ant-design-vue';
import { computed } from 'vue';
import BareSelect from '../field/BareSelect.vue';
import { currencyOptions, useMoney } from '../store/money.ts';
import { useUnits } from '../store/units.ts';
import { CHOICES, type SwitchedQuantity } from '../store/unitChoices.ts';

const units = useUnits();
const money = useMoney();
const currencies = currencyOptions();
const quantities = Object.keys(CHOICES) as SwitchedQuantity[];
const summary = computed(() => quantities.map((quantity) => units.unitLabel(quantity)).join(' · '));
</script>

<template>
  <Popover trigger="click" placement="bottomRight" title="Units">
    <template #content>
      <div class="grid">
        <template v-for="quantity in quantities" :key="quantity">
          <span :id="`unit-${quantity}`">{{ CHOICES[quantity].label }}</span>
          <RadioGroup
            v-model:value="units.chosen[quantity]"
            size="small"
            :name="`unit-${quantity}`"
            :aria-labelledby="`unit-${quantity}`"
          >
            <RadioButton v-for="unit in CHOICES[quantity].units" :key="unit" :value="unit">
              {{ quantity === 'temperature' ? `°${unit}` : unit }}
            </RadioButton>
          </RadioGroup>
        </template>
        <span>Money</span>
        <BareSelect
          v-model:value="money.currency"
          label="Currency of prices"
          class="money"
          show-search
          option-filter-prop="label"
          :options="currencies"
        />
      </div>
    </template>
    <Button type="text" aria-label="Units">{{ summary }}</Button>
  </Popover>
</template>

<style scoped>
.grid {
  display: grid;
  grid-template-columns: auto auto;
  align-items: center;
  gap: 8px 24px;
}
.money {
  width: 230px;
}
</style>
