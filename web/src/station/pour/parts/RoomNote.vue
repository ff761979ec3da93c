<script setup lang="ts">
import { api } from '@icy-ribbon/contract/addresses';
import { Button, Popover } from 'ant-design-vue';
import { onMounted, ref } from 'vue';
import { call } from '#api/client.ts';
import { messageAt } from '#api/problem.ts';
import NumberField from '#field/NumberField.vue';
import QuantityField from '#field/QuantityField.vue';
import { sayProblem } from '#notice/notices.ts';
import { attempt } from '#notice/useTask.ts';
import { useDevices } from '#store/devices.ts';
import { usePiece } from '#store/piece/piece.ts';
import { usePourWrites } from '#store/piece/pourWrites.ts';
import { useUnits } from '#store/units.ts';

const USUAL_C = 21;

const store = usePiece();
const writes = usePourWrites();
const units = useUnits();
const open = ref(false);
const temperatureC = ref<number | null>(store.room?.data.temperatureC ?? USUAL_C);
const humidityPercent = ref<number | null>(store.room?.data.humidityPercent ?? null);
const problem = ref<unknown>(null);
/** What the stand-in said, until it is changed by hand. */
const told = ref<{ temperatureC: number; humidityPercent: number | null } | null>(null);
const devices = useDevices();
onMounted(devices.ensure);

/** Asks the room's sensor; what it shows can still be changed. */
async function readSensor(): Promise<void> {
  await attempt(async () => {
    const climate = await call(api.climate.now);
    temperatureC.value = climate.temperatureC;
    humidityPercent.value = climate.humidityPercent;
    told.value = climate;
  });
}

const isAsTold = () =>
  told.value?.temperatureC === temperatureC.value && told.value?.humidityPercent === humidityPercent.value;

function keep(): void {
  problem.value = null;
  try {
    writes.logRoom({
      temperatureC: temperatureC.value as number,
      humidityPercent: humidityPercent.value,
      ...(isAsTold() && { standIn: true }),
    });
    open.value = false;
  } catch (error) {
    problem.value = error;
    if (!messageAt(error, 'data.temperatureC') && !messageAt(error, 'data.humidityPercent')) {
      sayProblem(error);
    }
  }
}
</script>

<template>
  <Popover v-model:open="open" trigger="click" placement="bottomRight" title="Room">
    <template #content>
      <form class="room stacked gap-12" @submit.prevent="keep">
        <QuantityField
          v-model="temperatureC"
          label="Temperature"
          quantity="temperature"
          :error="messageAt(problem, 'data.temperatureC')"
        />
        <NumberField
          v-model="humidityPercent"
          label="Humidity"
          unit="%"
          :digits="0"
          :error="messageAt(problem, 'data.humidityPercent')"
        />
        <Button v-if="devices.standIns" @click="readSensor">Ask the stand-in sensor</Button>
        <Button type="primary" html-type="submit">Note it</Button>
      </form>
    </template>
    <Button type="text">
      <template v-if="store.room">
        Room {{ units.show('temperature', store.room.data.temperatureC)
        }}<template v-if="store.room.data.humidityPercent !== null"
          >, {{ store.room.data.humidityPercent }} %</template
        ><template v-if="store.room.data.standIn">, by a stand-in</template>
      </template>
      <template v-else>Note the room</template>
    </Button>
  </Popover>
</template>

<style scoped>
.room {
  width: 180px;
}
</style>
