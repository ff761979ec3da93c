<script setup lang="ts">
import { calibrateConstant, REFERENCE_SD_LN, referenceProperties } from '@icy-ribbon/core/thickness/reading';
import { useStorage } from '@vueuse/core';
import { Button, Checkbox, RadioButton, RadioGroup } from 'ant-design-vue';
import { computed, onMounted, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import BareSelect from '../../field/BareSelect.vue';
import ComputedFrom from '../../field/ComputedFrom.vue';
import NumberField from '../../field/NumberField.vue';
import QuantityField from '../../field/QuantityField.vue';
import { say, sayProblem } from '../../notice/notices.ts';
import { useShortcuts } from '../../shortcut/shortcuts.ts';
import { useCalibrations } from '../../store/calibrations.ts';
import { usePiece } from '../../store/piece/piece.ts';
import RaceCard from './parts/RaceCard.vue';
import ThicknessTabs from './parts/ThicknessTabs.vue';
import { laneRatio, raceReadings, useRace, type Lane } from './parts/race.ts';
import { paS } from '../../words/thickness.ts';
import { useRoom } from './parts/useRoom.ts';

const props = defineProps<{ pieceId: string }>();

const MOST_LANES = 6;
const REFERENCE_COLOR = '#dfe9ec';

const store = usePiece();
const calibrations = useCalibrations();
const route = useRoute();
const router = useRouter();
const room = useRoom();
const race = useRace();
const { by, running, elapsed, results, finished } = race;

const asked = String(route.query.cups ?? '')
  .split(',')
  .filter(Boolean);
const chosen = ref<string[]>(
  (asked.length > 1 ? asked : store.paints.map((cup) => cup.mix.id)).slice(0, MOST_LANES),
);
const withGlycerine = useStorage('icy-ribbon.race-glycerine', false);
const glycerinePercent = useStorage<number>('icy-ribbon.race-glycerine-percent', 100);
const cardId = ref<string>('none');
const busy = ref(false);

onMounted(() => calibrations.ensure().catch(sayProblem));

const liquid = computed(() => {
  if (!withGlycerine.value || room.value === null) return null;
  const share = Math.min(1, Math.max(0, glycerinePercent.value / 100));
  const temperatureC = Math.min(100, Math.max(0, room.value));
  return referenceProperties({ kind: 'glycerine', massFraction: share, temperatureC });
});

const lanes = computed<Lane[]>(() => {
  const cups = store.paints
    .filter((cup) => chosen.value.includes(cup.mix.id))
    .map((cup): Lane => ({
      key: cup.mix.id,
      name: cup.mix.name,
      colorHex: cup.colorHex,
      viscosityPaS: cup.state.properties.viscosityPaS,
      mixId: cup.mix.id,
      liquid: null,
    }));
  const found = liquid.value;
  const reference: Lane[] = found
    ? [
        {
          key: 'reference',
          name: found.name,
          colorHex: REFERENCE_COLOR,
          viscosityPaS: found.viscosityPaS,
          mixId: null,
          liquid: { name: found.name, viscosityPaS: found.viscosityPaS, sdLn: REFERENCE_SD_LN },
        },
      ]
    : [];
  return [...cups, ...reference].slice(0, MOST_LANES);
});

const cardOptions = computed(() => [
  { value: 'none', label: 'not calibrated' },
  ...calibrations.ofKind('card').map(({ id, name }) => ({ value: id, label: name })),
]);
const card = computed(() => {
  const found = calibrations.items.find((each) => each.id === cardId.value);
  return found ? calibrateConstant('card', found.points) : null;
});

/** The reference where there is one, else the thinnest lane, against which the others are told. */
const against = computed(() => {
  const done = lanes.value.filter((lane) => results.value[lane.key] !== undefined);
  const sign = by.value === 'time' ? 1 : -1;
  const sorted = [...done].sort((a, b) => sign * (results.value[a.key]! - results.value[b.key]!));
  return done.find((lane) => lane.liquid) ?? sorted[0];
});

const outcome = computed(() =>
  lanes.value.map((lane) => {
    const value = results.value[lane.key];
    const base = against.value && results.value[against.value.key];
    if (value === undefined || base === undefined) return { lane, words: '' };
    if (lane.key === against.value?.key)
      return {
        lane,
        words: lane.liquid ? paS(lane.liquid.viscosityPaS) : finished.value ? 'the thinnest' : '',
      };
    const ratio = laneRatio(by.value, value, base);
    const tied = against.value?.liquid?.viscosityPaS;
    return {
      lane,
      words: tied ? paS(tied * ratio) : `${ratio.toFixed(2)} × as thick as ${against.value?.name}`,
    };
  }),
);

function toggle(mixId: string, on: boolean): void {
  chosen.value = on ? [...chosen.value, mixId] : chosen.value.filter((id) => id !== mixId);
  race.reset();
}

function startOrWait(): void {
  if (by.value === 'time' && !running.value && !finished.value) race.start();
}

async function keep(): Promise<void> {
  const input = raceReadings(
    lanes.value,
    { by: by.value, results: results.value },
    { temperatureC: room.value, card: card.value, makeId: () => crypto.randomUUID() },
  );
  if (running.value || busy.value) return;
  if (input.length < 2 && !card.value) {
    say('A race needs two lanes that ran, or a calibrated card.');
    return;
  }
  busy.value = true;
  try {
    await store.addReadings(input);
    say('The race is kept.');
    await router.push({ name: 'thickness', params: { pieceId: props.pieceId } });
  } catch (error) {
    sayProblem(error);
  } finally {
    busy.value = false;
  }
}

useShortcuts('Tilt race', [
  { keys: [' '], shown: 'Space', does: 'Tip the card: start', run: startOrWait },
  ...[1, 2, 3, 4, 5, 6].map((number) => ({
    keys: [String(number)],
    shown: String(number),
    does: `Lane ${number} is at the line`,
    run: () => {
      const lane = lanes.value[number - 1];
      if (lane) race.stop(lane.key, lanes.value);
    },
  })),
  { keys: ['Backspace'], shown: 'Backspace', does: 'The last one was not there yet', run: race.undo },
  { keys: ['Enter'], shown: 'Enter', does: 'Keep the race', run: () => void keep() },
  { keys: ['c'], shown: 'C', does: 'Clear the card', run: race.reset },
]);
</script>

<template>
  <main class="race">
    <header>
      <h1>Tilt race</h1>
      <p class="soft">
        Equal dots on a coated card. Tip it; a lane’s key as its dot crosses the line.
        <ComputedFrom calculation="tilt-race" />
      </p>
      <ThicknessTabs :piece-id="pieceId" here="race" />
    </header>
    <section class="setup" aria-label="On the card">
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
      <RadioGroup v-model:value="by" name="race-by" size="small" aria-label="Read by" @change="race.reset">
        <RadioButton value="time">Time to a line</RadioButton>
        <RadioButton value="length">Run lengths</RadioButton>
      </RadioGroup>
    </section>
    <div class="card">
      <RaceCard
        v-if="lanes.length > 0"
        :lanes="lanes"
        :by="by"
        :elapsed="elapsed"
        :running="running"
        :results="results"
        @stop="(key) => race.stop(key, lanes)"
        @drag="(key, mm) => race.setResult(key, mm)"
      />
    </div>
    <section class="clock" aria-label="Clock and results">
      <template v-if="by === 'time'">
        <p class="huge numeral" role="timer">{{ elapsed.toFixed(1) }} <span class="unit">s</span></p>
        <Button v-if="!running && !finished" type="primary" size="large" @click="race.start">
          Tip it: start
        </Button>
        <p v-else-if="running" class="soft">
          {{ Object.keys(results).length }} of {{ lanes.length }} at the line
        </p>
      </template>
      <p v-else class="soft">Stop all dots at one moment; drag their ends, or type how far they ran.</p>
      <table class="rows">
        <tbody>
          <tr v-for="({ lane, words }, index) in outcome" :key="lane.key">
            <th scope="row">{{ index + 1 }} {{ lane.name }}</th>
            <td class="value">
              <NumberField
                :model-value="results[lane.key] ?? null"
                :label="`${by === 'time' ? 'Seconds' : 'Run length'} of ${lane.name}`"
                :unit="by === 'time' ? 's' : 'mm'"
                :digits="1"
                :disabled="running"
                bare
                @update:model-value="race.setResult(lane.key, $event)"
              />
            </td>
            <td>{{ words }}</td>
          </tr>
        </tbody>
      </table>
      <div class="buttons">
        <Button type="primary" :disabled="running || !finished" :loading="busy" @click="keep">
          Keep the race
        </Button>
        <Button type="text" @click="race.reset">Clear</Button>
      </div>
    </section>
  </main>
</template>

<style scoped>
.race {
  display: grid;
  grid-template-columns: 226px minmax(0, 1fr) minmax(300px, 0.75fr);
  grid-template-rows: auto minmax(0, 1fr);
  gap: 10px 24px;
  height: 100%;
  padding: 12px 24px;
}

header {
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 20px;
}

.setup,
.clock {
  display: grid;
  align-content: start;
  gap: 8px;
  overflow: auto;
}

.setup :deep(.ant-checkbox-wrapper) {
  margin: 0;
}

.card {
  min-height: 260px;
}

.huge {
  font-size: 72px;
  line-height: 1;
}

.unit {
  font-size: 0.4em;
  color: var(--ink-soft);
}

.value {
  width: 110px;
}

.buttons {
  display: flex;
  gap: 8px;
}

@media (width < 1000px) {
  .race {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: none;
    height: auto;
  }
}
</style>
