<script setup lang="ts">
import type { ReadingInput } from '@icy-ribbon/contract';
import { calibrateConstant } from '@icy-ribbon/core/thickness/reading';
import { Button } from 'ant-design-vue';
import { computed, ref } from 'vue';
import NumberField from '#field/NumberField.vue';
import { useShortcuts } from '#shortcut/shortcuts.ts';
import { useCalibrations } from '#store/calibrations.ts';
import { useStopwatch } from './stopwatch.ts';

/** Seconds until a mound is gone, by stopwatch or typed. */
const emit = defineEmits<{ read: [measure: ReadingInput['measure']] }>();

const calibrations = useCalibrations();
const seconds = ref<number | null>(null);
const watch = useStopwatch((elapsed) => (seconds.value = Math.round(elapsed * 10) / 10));
const calibration = computed(() => calibrations.ofKind('mound')[0]);

function keep(): void {
  if (seconds.value === null) return;
  emit('read', {
    kind: 'mound',
    seconds: seconds.value,
    constant: calibration.value ? calibrateConstant('mound', calibration.value.points) : null,
  });
  seconds.value = null;
}

useShortcuts('Mound seconds', [
  { keys: ['m'], shown: 'M', does: 'Start or stop the mound’s stopwatch', run: watch.toggle },
]);
</script>

<template>
  <form class="watch stacked" @submit.prevent="keep">
    <Button :type="watch.running.value ? 'primary' : 'default'" @click="watch.toggle">
      {{ watch.running.value ? `${watch.elapsed.value.toFixed(1)} s, stop` : 'Mound: start' }}
    </Button>
    <NumberField v-model="seconds" label="Mound seconds" unit="s" :digits="1" bare />
    <Button html-type="submit" :disabled="seconds === null">Keep</Button>
    <span class="soft small">{{ calibration ? calibration.name : 'not calibrated' }}</span>
  </form>
</template>

<style scoped>
.watch {
  grid-template-columns: 132px 92px auto;
  justify-content: start;
  align-items: center;
}

.small {
  grid-column: 1 / -1;
  min-height: 20px;
  font-size: var(--type-note);
}
</style>
