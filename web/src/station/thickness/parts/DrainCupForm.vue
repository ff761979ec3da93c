<script setup lang="ts">
import type { ReadingInput } from '@icy-ribbon/contract';
import { InputError } from '@icy-ribbon/core/base/error';
import {
  calibrateDrainCup,
  DRAIN_CUP_NAMES,
  DRAIN_CUPS,
  drained,
  type DrainCupName,
} from '@icy-ribbon/core/thickness/reading';
import { Button } from 'ant-design-vue';
import { useStorage } from '@vueuse/core';
import { computed, ref } from 'vue';
import BareSelect from '#field/BareSelect.vue';
import ComputedFrom from '#field/ComputedFrom.vue';
import NumberField from '#field/NumberField.vue';
import { useCalibrations } from '#store/calibrations.ts';
import { paS } from '#words/thickness.ts';

/** A cup with a hole: seconds until the stream breaks. */
const props = defineProps<{ densityGPerMl: number }>();
const emit = defineEmits<{ read: [measure: ReadingInput['measure']] }>();

const calibrations = useCalibrations();
const chosen = useStorage('icy-ribbon.drain-cup', 'iso-6');
const seconds = ref<number | null>(null);

const options = computed(() => [
  ...calibrations.ofKind('drain-cup').map(({ id, name }) => ({ value: id, label: name })),
  ...DRAIN_CUP_NAMES.map((name) => ({ value: name as string, label: DRAIN_CUPS[name].label })),
]);
const own = computed(() => {
  const found = calibrations.ofKind('drain-cup').find((each) => each.id === chosen.value);
  return found && { name: found.name, ...calibrateDrainCup(found.points) };
});
const standard = computed(() => DRAIN_CUP_NAMES.find((name) => name === chosen.value));

const answer = computed(() => {
  if (seconds.value === null) return { words: '', outside: false, says: false };
  const cup = own.value
    ? { ...own.value, fromS: 0, toS: Infinity, label: own.value.name }
    : standard.value && DRAIN_CUPS[standard.value];
  if (!cup) return { words: 'Choose the cup.', outside: true, says: false };
  try {
    const { viscosityPaS, inRange } = drained(cup, seconds.value, props.densityGPerMl);
    return {
      words: inRange
        ? paS(viscosityPaS)
        : `${paS(viscosityPaS)}, outside the ${cup.fromS} to ${cup.toS} s this cup is meant for: take another hole`,
      outside: !inRange,
      says: true,
    };
  } catch (error) {
    if (error instanceof InputError) return { words: error.message, outside: true, says: false };
    throw error;
  }
});

function keep(): void {
  if (seconds.value === null || !answer.value.says) return;
  emit('read', {
    kind: 'drain-cup',
    cup: own.value ? 'own' : (standard.value as DrainCupName),
    own: own.value ?? null,
    seconds: seconds.value,
    densityGPerMl: props.densityGPerMl,
  });
  seconds.value = null;
}
</script>

<template>
  <form class="drain stacked" @submit.prevent="keep">
    <BareSelect v-model:value="chosen" label="Cup with a hole" :options="options" />
    <NumberField v-model="seconds" label="Seconds to the break of the stream" unit="s" :digits="1" bare />
    <Button html-type="submit" :disabled="!answer.says">Keep</Button>
    <span class="small" :class="answer.outside ? 'look' : 'soft'">
      {{ answer.words }} <ComputedFrom v-if="answer.words" calculation="drain-cup" />
    </span>
  </form>
</template>

<style scoped>
.drain {
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
