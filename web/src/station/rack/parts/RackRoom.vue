<script setup lang="ts">
import { api } from '@icy-ribbon/contract/addresses';
import { Button } from 'ant-design-vue';
import { onMounted, ref, watch } from 'vue';
import { call } from '#api/client.ts';
import { messageAt } from '#api/problem.ts';
import NumberField from '#field/NumberField.vue';
import QuantityField from '#field/QuantityField.vue';
import { say, sayProblem } from '#notice/notices.ts';
import { attempt } from '#notice/useTask.ts';
import { useDevices } from '#store/devices.ts';
import { usePiece } from '#store/piece/piece.ts';

/** The room a piece dries in: typed, or read from the sensor; the forecast follows at once. */
const store = usePiece();
const devices = useDevices();
onMounted(() => devices.ensure());

const USUAL = { temperatureC: 20, humidityPercent: 50, airMS: 0 } as const;
const draft = ref<{ temperatureC: number | null; humidityPercent: number | null; airMS: number | null }>({
  ...USUAL,
});
const problem = ref<unknown>(null);
watch(
  () => store.care.room,
  (room) => {
    const poured = store.room?.data;
    draft.value = {
      temperatureC: room?.temperatureC ?? poured?.temperatureC ?? USUAL.temperatureC,
      humidityPercent: room?.humidityPercent ?? poured?.humidityPercent ?? USUAL.humidityPercent,
      airMS: room?.airMS ?? USUAL.airMS,
    };
  },
  { immediate: true },
);

async function keep(standIn = false): Promise<void> {
  problem.value = null;
  const { temperatureC, humidityPercent, airMS } = draft.value;
  try {
    const id = await store.noteCare('room', {
      temperatureC: temperatureC ?? Number.NaN,
      humidityPercent,
      airMS: airMS ?? 0,
      ...(standIn && { standIn }),
    });
    say('The room is noted: the forecast follows it.', () => attempt(() => store.takeBackCare(id)));
  } catch (error) {
    problem.value = error;
    if (!messageAt(error, 'data.temperatureC') && !messageAt(error, 'data.humidityPercent'))
      sayProblem(error);
  }
}

const read = () =>
  attempt(async () => {
    const { temperatureC, humidityPercent } = await call(api.climate.now);
    draft.value = { ...draft.value, temperatureC, humidityPercent };
    await keep(true);
  });
</script>

<template>
  <form class="room" @submit.prevent="keep()">
    <QuantityField
      v-model="draft.temperatureC"
      label="Room"
      quantity="temperature"
      :error="messageAt(problem, 'data.temperatureC')"
    />
    <NumberField
      v-model="draft.humidityPercent"
      label="Humidity"
      unit="%"
      :digits="0"
      :error="messageAt(problem, 'data.humidityPercent')"
    />
    <NumberField
      v-model="draft.airMS"
      label="Air over it"
      unit="m/s"
      :digits="1"
      :error="messageAt(problem, 'data.airMS')"
    />
    <Button html-type="submit">Note the room</Button>
    <Button v-if="devices.standIns" type="text" @click="read">Read the sensor</Button>
  </form>
</template>

<style scoped>
.room {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: end;
}

.room > :not(button) {
  width: 112px;
}
</style>
