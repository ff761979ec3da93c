<script setup lang="ts">
import { Checkbox, RadioButton, RadioGroup } from 'ant-design-vue';
import { computed } from 'vue';
import BareSelect from '#field/BareSelect.vue';
import ComputedFrom from '#field/ComputedFrom.vue';
import NumberField from '#field/NumberField.vue';
import QuantityField from '#field/QuantityField.vue';
import { useCalibrations } from '#store/calibrations.ts';
import { usePiece } from '#store/piece/piece.ts';
import { paS } from '#words/thickness.ts';
import type { RaceBy } from './race.ts';
import { MOST_LANES, type useLanes } from './useLanes.ts';

/** What runs on the card, in which room, and how it is read. */
const props = defineProps<{ card: ReturnType<typeof useLanes>; running: boolean }>();
const emit = defineEmits<{ reset: [] }>();
const room = defineModel<number | null>('room', { required: true });
const by = defineModel<RaceBy>('by', { required: true });

const store = usePiece();
const calibrations = useCalibrations();
const { chosen, withGlycerine, glycerinePercent, cardId, liquid, lanes } = props.card;

const cardOptions = computed(() => [
  { value: 'none', label: 'not calibrated' },
  ...calibrations.ofKind('card').map(({ id, name }) => ({ value: id, label: name })),
]);
function toggle(cupId: string, on: boolean): void {
  props.card.toggle(cupId, on);
  emit('reset');
}
</script>

<template>
  <section class="setup stacked" aria-label="On the card">
    <h2>On the card</h2>
    <Checkbox
      v-for="cup in store.paints"
      :key="cup.mix.id"
      :checked="chosen.includes(cup.mix.id)"
      :disabled="running || (!chosen.includes(cup.mix.id) && lanes.length >= MOST_LANES)"
      @change="toggle(cup.mix.id, $event.target.checked)"
    >
      {{ cup.mix.name }}
    </Checkbox>
    <Checkbox v-model:checked="withGlycerine" :disabled="running">Glycerine as reference</Checkbox>
    <template v-if="withGlycerine">
      <NumberField
        :model-value="glycerinePercent"
        label="Glycerine, by weight"
        unit="%"
        :digits="1"
        @update:model-value="glycerinePercent = $event ?? 100"
      />
      <p v-if="room === null" class="look">Give the room temperature: glycerine changes with it.</p>
      <p v-else-if="liquid" class="soft">
        {{ paS(liquid.viscosityPaS) }} <ComputedFrom calculation="glycerine" />
      </p>
    </template>
    <QuantityField v-model="room" label="Room" quantity="temperature" />
    <div>
      <span class="label">Card</span>
      <BareSelect v-model:value="cardId" label="Card" :options="cardOptions" />
    </div>
    <RadioGroup v-model:value="by" name="race-by" size="small" aria-label="Read by" @change="emit('reset')">
      <RadioButton value="time">Time to a line</RadioButton>
      <RadioButton value="length">Run lengths</RadioButton>
    </RadioGroup>
  </section>
</template>

<style scoped>
.setup {
  align-content: start;
  overflow: auto;
}

.setup :deep(.ant-checkbox-wrapper) {
  margin: 0;
}
</style>
