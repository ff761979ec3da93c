<script setup lang="ts">
import { InputError } from '@icy-ribbon/core/base/error';
import { toG } from '@icy-ribbon/core/base/unit';
import { Button, Popover } from 'ant-design-vue';
import { onMounted, ref } from 'vue';
import { sayProblem } from '#notice/notices.ts';
import { useEquipment } from '#store/equipment.ts';
import QuantityField from '#field/QuantityField.vue';
import type { PlannedCup } from './cupPlan.ts';

const props = defineProps<{ plan: PlannedCup | undefined; error?: string | undefined }>();

/** Whole milligrams the new cup shall hold. */
const totalMg = defineModel<number | null>({ required: true });

const open = ref(false);
const vesselMl = ref<number | null>(60);
const paintMg = ref<number | null>(20_000);
const wrong = ref('');

const equipment = useEquipment();
onMounted(() => equipment.ensure().catch(sayProblem));

function take(amount: () => number | undefined): void {
  wrong.value = '';
  try {
    const next = amount();
    if (next === undefined) return;
    totalMg.value = next;
    open.value = false;
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    wrong.value = error.message;
  }
}

const fill = (capacityMl: number | null) =>
  take(() => props.plan?.totalMgFor({ kind: 'vessel', capacityMl: capacityMl ?? 0 }));

const useUp = () =>
  take(() =>
    props.plan?.totalMgFor({
      kind: 'ingredient',
      index: props.plan.paintIndex,
      massG: toG(paintMg.value ?? 0),
    }),
  );
</script>

<template>
  <div class="amount">
    <QuantityField
      v-model="totalMg"
      class="field"
      label="Amount of the new cup"
      quantity="mass"
      bare
      :error="error"
    />
    <Popover v-model:open="open" trigger="click" placement="top" title="How much">
      <template #content>
        <div class="ways stacked">
          <p>Fill a cup or bottle, with room to stir:</p>
          <div class="row flowing">
            <Button v-for="vessel in equipment.vessels" :key="vessel.id" @click="fill(vessel.capacityMl)">
              {{ vessel.name }}
            </Button>
          </div>
          <div class="row flowing">
            <QuantityField v-model="vesselMl" class="field" label="Capacity" quantity="volume" bare />
            <Button @click="fill(vesselMl)">Fill it</Button>
          </div>
          <p>Or use up paint:</p>
          <div class="row flowing">
            <QuantityField v-model="paintMg" class="field" label="Paint that is left" quantity="mass" bare />
            <Button @click="useUp">Use it up</Button>
          </div>
          <p v-if="wrong" class="alarm" role="alert">{{ wrong }}</p>
        </div>
      </template>
      <Button type="link" class="more">Fill a cup</Button>
    </Popover>
  </div>
</template>

<style scoped>
.amount {
  display: flex;
  align-items: center;
}

.field {
  width: 118px;
}

.more {
  padding: 0 8px;
}

.row {
  max-width: 320px;
}
</style>
