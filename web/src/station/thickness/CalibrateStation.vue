<script setup lang="ts">
import type { CalibrationKind } from '@icy-ribbon/contract';
import { referenceProperties } from '@icy-ribbon/core/thickness/reading';
import { Button, Input, RadioButton, RadioGroup } from 'ant-design-vue';
import { computed, onMounted, reactive, ref } from 'vue';
import BareSelect from '#field/BareSelect.vue';
import ComputedFrom from '#field/ComputedFrom.vue';
import FieldRow from '#field/FieldRow.vue';
import NumberField from '#field/NumberField.vue';
import QuantityField from '#field/QuantityField.vue';
import { say, sayProblem } from '#notice/notices.ts';
import { useTask } from '#notice/useTask.ts';
import { useShortcuts } from '#shortcut/shortcuts.ts';
import { useCalibrations } from '#store/calibrations.ts';
import { KINDS, resultWords } from './parts/calibrationWords.ts';
import KnownCalibrations from './parts/KnownCalibrations.vue';
import { emptyPoint, pointOf, type PointDraft } from './parts/liquidDraft.ts';
import type { Lane } from './parts/race.ts';
import RaceCard from './parts/RaceCard.vue';
import { useStopwatch } from './parts/stopwatch.ts';
import { UNKNOWN_PAINT } from '#theme/tokens.ts';
import { paS } from '#words/thickness.ts';
import { useRoom } from './parts/useRoom.ts';

const calibrations = useCalibrations();
const room = useRoom();
const kind = ref<CalibrationKind>('card');
const name = ref('');
const points = reactive<PointDraft[]>([emptyPoint(room.value)]);
const timed = ref(0);
const { busy, run } = useTask();
const watch = useStopwatch((seconds) => {
  const point = points[timed.value];
  if (point) point.seconds = Math.round(seconds * 10) / 10;
});

onMounted(() => calibrations.ensure().catch(sayProblem));

const LIQUIDS = [
  { value: 'glycerine', label: 'glycerine and water' },
  { value: 'known', label: 'another known liquid' },
];

const whole = computed(() => points.map(pointOf));
const ready = computed(() => whole.value.filter((each) => each !== undefined));

const viscosityOf = (draft: PointDraft): string => {
  const point = pointOf({ ...draft, seconds: 1 });
  return point ? paS(referenceProperties(point.liquid).viscosityPaS) : '';
};

/** The card as it runs: the liquid that is timed now, at the line those that were. */
const lanes = computed<Lane[]>(() =>
  points.map((point, index) => {
    const known = pointOf({ ...point, seconds: 1 });
    return {
      key: String(index),
      name: point.kind === 'glycerine' ? 'glycerine' : point.name || 'liquid',
      colorHex: UNKNOWN_PAINT,
      viscosityPaS: known ? referenceProperties(known.liquid).viscosityPaS : 1,
      cupId: null,
      liquid: null,
    };
  }),
);
const results = computed(() =>
  Object.fromEntries(
    points.flatMap(({ seconds }, index) =>
      seconds === null || (watch.running.value && timed.value === index) ? [] : [[String(index), seconds]],
    ),
  ),
);

const keep = () =>
  run(async () => {
    if (ready.value.length < points.length) {
      say('Fill in each liquid and its seconds, or drop the line.');
      return;
    }
    await calibrations.add({ kind: kind.value, name: name.value, points: ready.value });
    say('Kept. Readings from now on can use it.');
    points.splice(0, points.length, emptyPoint(room.value));
    name.value = '';
  });

function clock(index: number): void {
  timed.value = index;
  watch.toggle();
}

useShortcuts('Calibrate', [
  {
    keys: [' '],
    shown: 'Space',
    does: 'Start or stop the clock of the last line',
    run: () => clock(points.length - 1),
  },
]);
</script>

<template>
  <main>
    <header>
      <h1>Calibrate</h1>
      <RadioGroup v-model:value="kind" name="calibration-kind" class="views" aria-label="What is calibrated">
        <RadioButton v-for="each in KINDS" :key="each.value" :value="each.value">{{
          each.label
        }}</RadioButton>
      </RadioGroup>
      <p class="soft">{{ KINDS.find((each) => each.value === kind)?.what }}</p>
    </header>
    <div class="work stacked gap-24">
      <form @submit.prevent="keep">
        <FieldRow label="Name" for="calibration-name">
          <Input id="calibration-name" v-model:value="name" placeholder="blue card, 30 degrees" />
        </FieldRow>
        <div v-for="(point, index) in points" :key="index" class="point">
          <BareSelect v-model:value="point.kind" :label="`Liquid ${index + 1}`" :options="LIQUIDS" />
          <template v-if="point.kind === 'glycerine'">
            <NumberField v-model="point.percent" label="Glycerine, by weight" unit="%" :digits="1" />
            <QuantityField v-model="point.temperatureC" label="Its temperature" quantity="temperature" />
          </template>
          <template v-else>
            <FieldRow label="Liquid" :for="`liquid-${index}`">
              <Input :id="`liquid-${index}`" v-model:value="point.name" />
            </FieldRow>
            <NumberField v-model="point.viscosityPaS" label="Viscosity" unit="Pa·s" :digits="4" />
            <NumberField v-model="point.densityGPerMl" label="Density" unit="g/ml" :digits="3" />
          </template>
          <p class="soft is">
            {{ viscosityOf(point) }}
            <ComputedFrom v-if="point.kind === 'glycerine'" calculation="glycerine" />
          </p>
          <NumberField v-model="point.seconds" label="Seconds" unit="s" :digits="1" />
          <Button
            class="clock"
            :type="watch.running.value && timed === index ? 'primary' : 'default'"
            @click="clock(index)"
          >
            {{
              watch.running.value && timed === index ? `${watch.elapsed.value.toFixed(1)} s, stop` : 'Clock'
            }}
          </Button>
          <Button v-if="points.length > 1" class="clock" type="text" @click="points.splice(index, 1)"
            >Drop</Button
          >
        </div>
        <p>
          <Button @click="points.push(emptyPoint(room))">Another reading</Button>
        </p>
        <p v-if="ready.length > 0" class="result">{{ resultWords(kind, ready) }}</p>
        <Button type="primary" html-type="submit" :disabled="ready.length === 0" :loading="busy"
          >Keep it</Button
        >
      </form>
      <RaceCard
        v-if="kind === 'card'"
        class="card"
        :lanes="lanes"
        by="time"
        :elapsed="watch.elapsed.value"
        :running="watch.running.value"
        :results="results"
        @stop="clock(timed)"
      />
    </div>
    <KnownCalibrations />
  </main>
</template>

<style scoped>
main {
  display: grid;
  align-content: start;
  gap: 16px;
  height: 100%;
  padding: 16px 24px;
  overflow: auto;
}

header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
}

.work {
  grid-template-columns: minmax(0, 1fr) 240px;
  align-items: start;
}

.card {
  height: 340px;
}

form {
  display: grid;
  gap: 12px;
  justify-items: start;
}

.point {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 8px 12px;
}

.point > :deep(*) {
  max-width: 170px;
}

.is {
  min-width: 110px;
  padding-bottom: 6px;
}

.result {
  font-size: var(--type-lead);
  font-weight: var(--weight-strong);
}

@media (width < 1000px) {
  .work {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
