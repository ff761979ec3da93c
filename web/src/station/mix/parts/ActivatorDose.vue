<script setup lang="ts">
import { activatorDose } from '@icy-ribbon/core/paint/activator';
import { LIMITS } from '@icy-ribbon/core/paint/stage';
import { InputError } from '@icy-ribbon/core/base/error';
import { toMg } from '@icy-ribbon/core/base/unit';
import { Button, Popover } from 'ant-design-vue';
import { computed, ref } from 'vue';
import NumberField from '#field/NumberField.vue';
import QuantityField from '#field/QuantityField.vue';
import type { Cup } from '#store/piece/piece.ts';
import { useUnits } from '#store/units.ts';
import { useMeasures } from '#words/useMeasures.ts';

const props = defineProps<{ cups: readonly Cup[]; density: number }>();
const emit = defineEmits<{ dose: [mg: number] }>();

const units = useUnits();
const measures = useMeasures();
const open = ref(false);
const footprintMm = ref<number | null>(200);
const sheetMm = ref<number | null>(0.4);
const blooms = ref<number | null>(1);

/** The colors under the activator, shared out over the blooms. */
const puddleG = computed(() => {
  const colors = props.cups.filter((cup) => cup.mix.role === 'color');
  const mg = colors.reduce((sum, cup) => sum + Math.max(cup.state.targetMg, cup.state.actualMg), 0);
  return mg / 1000 / Math.max(1, blooms.value ?? 1);
});

const dose = computed(() => {
  try {
    return activatorDose({
      footprintMm: footprintMm.value ?? 0,
      sheetMm: sheetMm.value ?? 0,
      densityGPerMl: props.density,
      puddleG: puddleG.value || 1,
      blooms: blooms.value ?? 0,
    });
  } catch (error) {
    if (error instanceof InputError) return error.message;
    throw error;
  }
});

function take(): void {
  if (typeof dose.value === 'string') return;
  emit('dose', toMg(dose.value.totalG));
  open.value = false;
}
</script>

<template>
  <Popover v-model:open="open" trigger="click" placement="top" title="Dose of activator">
    <template #content>
      <form class="dose" @submit.prevent="take">
        <QuantityField v-model="footprintMm" label="The sheet spreads to a circle of" quantity="length" />
        <QuantityField
          v-model="sheetMm"
          quantity="depth"
          label="and lies this thick"
          :hint="`Usual: ${measures.film(LIMITS.sheetMm.thin)} to ${measures.film(LIMITS.sheetMm.thick)}`"
        />
        <NumberField v-model="blooms" label="Blooms" unit="" :digits="0" />
        <p v-if="typeof dose === 'string'" class="alarm" role="alert">{{ dose }}</p>
        <template v-else>
          <p class="numeral big">{{ units.show('mass', toMg(dose.totalG)) }}</p>
          <p v-if="puddleG > 0" class="soft">
            {{ Math.round(dose.shareOfPuddle * 100) }} % of the colors below it
          </p>
          <p :class="dose.verdict === 'usual' ? 'soft' : 'look'">{{ dose.expect }}</p>
          <Button type="primary" html-type="submit">Mix that much</Button>
        </template>
      </form>
    </template>
    <Button type="link">Dose</Button>
  </Popover>
</template>

<style scoped>
.dose {
  display: grid;
  gap: 8px;
  width: 250px;
}

.big {
  font-size: var(--type-title);
}
</style>
