<script setup lang="ts">
import { InputError } from '@icy-ribbon/core/base/error';
import { topUpG } from '@icy-ribbon/core/paint/mix';
import { toG, toMg } from '@icy-ribbon/core/base/unit';
import { Button, Popover } from 'ant-design-vue';
import { computed, ref } from 'vue';
import QuantityField from '#field/QuantityField.vue';
import { useUnits } from '#store/units.ts';

/** Weighs a lidded cup again: what is missing is water. */
const props = defineProps<{ name: string; expectedMg: number }>();
const emit = defineEmits<{ lost: [mg: number] }>();

const units = useUnits();
const open = ref(false);
const weighedMg = ref<number | null>(null);

const lost = computed(() => {
  if (weighedMg.value === null) return null;
  try {
    return toMg(topUpG(toG(props.expectedMg), toG(weighedMg.value)));
  } catch (error) {
    if (error instanceof InputError) return error.message;
    throw error;
  }
});

function note(): void {
  if (typeof lost.value === 'number' && lost.value > 0) emit('lost', lost.value);
  open.value = false;
}
</script>

<template>
  <Popover v-model:open="open" trigger="click" placement="left" :title="`${name}, weighed again`">
    <template #content>
      <form class="again stacked" @submit.prevent="note">
        <QuantityField
          v-model="weighedMg"
          label="Paint in the cup now, without the cup"
          quantity="mass"
          :hint="`It should be ${units.show('mass', expectedMg, true)}.`"
          :error="typeof lost === 'string' ? lost : undefined"
        />
        <p v-if="typeof lost === 'number'">
          <template v-if="lost > 0">
            {{ units.show('mass', lost, true) }} of water dried away: stir that much in again.
          </template>
          <template v-else>Nothing was lost.</template>
        </p>
        <Button type="primary" html-type="submit" :disabled="typeof lost !== 'number'">Note it</Button>
      </form>
    </template>
    <Button type="link" size="small" :aria-label="`Weigh ${name} again`">Weigh again</Button>
  </Popover>
</template>

<style scoped>
.again {
  width: 240px;
}
</style>
