<script setup lang="ts">
import { AIR_TOOLS, type AirTool } from '@icy-ribbon/core/flow/air';
import { computed } from 'vue';
import { Button } from 'ant-design-vue';
import NumberField from '#field/NumberField.vue';
import { useUnits } from '#store/units.ts';
import { useDeviceTilt } from './useDeviceTilt.ts';
import { HAND_TOOLS, type Hand, type HandTool } from './useHand.ts';

/** What the hand holds, and how. */
const props = defineProps<{
  hand: Hand;
  /** What the hand may hold; left out: everything. */
  only?: readonly HandTool[];
}>();
const units = useUnits();
const tools = computed(() => HAND_TOOLS.filter(({ name }) => props.only?.includes(name) ?? true));

const { hold, tilt, hand: held } = props.hand;
const device = useDeviceTilt(props.hand);
const { follows } = device;
const distance = computed({
  get: () => Number(units.fromBase('length', hold.distanceMm).toFixed(1)),
  set: (shown: number | null) => {
    if (shown === null) return;
    hold.distanceMm = Math.min(900, Math.max(20, units.toBase('length', shown)));
    props.hand.apply();
  },
});
const slant = computed({
  get: () => hold.slantDeg,
  set: (deg: number | null) => {
    if (deg !== null) hold.slantDeg = Math.min(90, Math.max(10, deg));
  },
});
const toward = computed({
  get: () => Math.round(hold.directionDeg),
  set: (deg: number | null) => {
    if (deg !== null) hold.directionDeg = ((deg % 360) + 360) % 360;
  },
});
const SWELLS = 'swells';
/** A breath may begin soft and near and end hard and far. */
const swelling = computed(() => {
  const settings = props.hand.setting.value;
  return settings.length > 1 ? `${settings[0]}, then ${settings.at(-1)}` : '';
});
const hard = computed({
  get: () => (hold.swells ? SWELLS : hold.setting),
  set: (chosen: string) => {
    hold.swells = chosen === SWELLS;
    if (!hold.swells) hold.setting = chosen;
  },
});
const take = (event: Event) => props.hand.take((event.target as HTMLSelectElement).value as AirTool);
</script>

<template>
  <section class="tools stacked" aria-label="In the hand">
    <fieldset class="choice" aria-label="Tool">
      <label v-for="each in tools" :key="each.name" :class="{ on: held === each.name }">
        <input v-model="held" type="radio" name="hand" :value="each.name" />{{ each.label }}
      </label>
    </fieldset>
    <template v-if="held === 'blow'">
      <div class="pair stacked">
        <label class="pick">
          Blown with
          <select :value="hold.tool" @change="take">
            <option v-for="each in AIR_TOOLS" :key="each.tool" :value="each.tool">{{ each.label }}</option>
          </select>
        </label>
        <label class="pick">
          How hard
          <select v-model="hard">
            <option v-if="swelling" :value="SWELLS">{{ swelling }}</option>
            <option v-for="each in hand.setting.value" :key="each" :value="each">{{ each }}</option>
          </select>
        </label>
      </div>
      <div class="three stacked">
        <NumberField v-model="distance" label="Distance" :unit="units.unitLabel('length')" :digits="1" />
        <NumberField v-model="slant" label="Slant" unit="°" :digits="0" />
        <NumberField v-model="toward" label="Toward" unit="°" :digits="0" />
      </div>
    </template>
    <template v-else-if="held === 'tilt'">
      <p class="soft">
        Arrow keys tilt the support, Home levels it: <strong>{{ tilt.deg }}°</strong>
        <template v-if="tilt.deg > 0"> toward {{ tilt.directionDeg }}°</template>.
      </p>
      <Button v-if="device.isThere && !follows" @click="device.follow">Tilt it with this device</Button>
      <Button v-else-if="follows" @click="device.letGo">Level it and hold the device as you like</Button>
    </template>
    <p v-else-if="held === 'torch'" class="soft">
      A flame opens what is about to open. On a real piece: no solvents near it, hair tied back, water at
      hand.
    </p>
  </section>
</template>

<style scoped>
fieldset {
  flex-wrap: wrap;
}

.pair {
  grid-template-columns: 1fr 1fr;
}

.three {
  grid-template-columns: repeat(3, minmax(0, 1fr));
}
</style>
