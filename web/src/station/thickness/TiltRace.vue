<script setup lang="ts">
import { Button } from 'ant-design-vue';
import { computed, onMounted, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import ComputedFrom from '#field/ComputedFrom.vue';
import NumberField from '#field/NumberField.vue';
import { say, sayProblem } from '#notice/notices.ts';
import { useTask } from '#notice/useTask.ts';
import { useAwake } from '#notice/awake.ts';
import { useShortcuts } from '#shortcut/shortcuts.ts';
import { useCalibrations } from '#store/calibrations.ts';
import { usePiece } from '#store/piece/piece.ts';
import RaceCard from './parts/RaceCard.vue';
import RaceFromPicture from './parts/RaceFromPicture.vue';
import RaceSetup from './parts/RaceSetup.vue';
import ThicknessTabs from './parts/ThicknessTabs.vue';
import { raceOutcome, raceReadings, useRace } from './parts/race.ts';
import { useLanes } from './parts/useLanes.ts';
import { useRoom } from './parts/useRoom.ts';

const props = defineProps<{ pieceId: string }>();

const store = usePiece();
const calibrations = useCalibrations();
const route = useRoute();
const router = useRouter();
const room = useRoom();
const race = useRace();
const { busy, run } = useTask();
const { by, running, elapsed, results, spreads, finished } = race;

const asked = String(route.query.cups ?? '')
  .split(',')
  .filter(Boolean);
const onCard = useLanes(asked, room, route.query.reference === 'glycerine');
const { lanes, card } = onCard;

onMounted(() => calibrations.ensure().catch(sayProblem));

const outcome = computed(() => raceOutcome(lanes.value, by.value, results.value, finished.value));

function startOrWait(): void {
  if (by.value === 'time' && !running.value && !finished.value) race.start();
}

async function keep(): Promise<void> {
  const input = raceReadings(
    lanes.value,
    { by: by.value, results: results.value, spreads: spreads.value },
    { temperatureC: room.value, card: card.value, makeId: () => crypto.randomUUID() },
  );
  if (running.value || busy.value) return;
  if (input.length < 2 && !card.value) {
    say('A race needs two lanes that ran, or a calibrated card.');
    return;
  }
  await run(async () => {
    await store.addReadings(input);
    say('The race is kept.');
    await router.push({ name: 'thickness', params: { pieceId: props.pieceId } });
  });
}

/** The lanes show what was read; fields stand there only for who reads with a watch of their own. */
const typing = ref(false);

useAwake();

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
    <RaceSetup v-model:room="room" v-model:by="by" :card="onCard" :running="running" @reset="race.reset" />
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
    <section class="clock stacked" aria-label="Clock and results">
      <template v-if="by === 'time'">
        <p class="huge numeral" role="timer">{{ elapsed.toFixed(1) }} <span class="unit">s</span></p>
        <Button v-if="!running && !finished" type="primary" size="large" @click="race.start">
          Tip it: start
        </Button>
        <p v-else-if="running" class="soft">
          {{ Object.keys(results).length }} of {{ lanes.length }} at the line
        </p>
      </template>
      <template v-else>
        <p class="soft">
          Stop all dots at one moment; read them off a picture, drag their ends, or type how far they ran.
        </p>
        <RaceFromPicture :lanes="lanes" @found="race.takeLengths" />
      </template>
      <table class="rows">
        <tbody>
          <tr v-for="({ lane, words }, index) in outcome" :key="lane.key">
            <th scope="row">{{ index + 1 }} {{ lane.name }}</th>
            <td v-if="typing" class="value">
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
      <div class="buttons flowing">
        <Button type="primary" :disabled="running || !finished" :loading="busy" @click="keep">
          Keep the race
        </Button>
        <Button type="text" @click="race.reset">Clear</Button>
        <Button type="text" :aria-pressed="typing" @click="typing = !typing">Type or correct</Button>
      </div>
    </section>
  </main>
</template>

<style scoped>
.race {
  display: grid;
  grid-template-columns: 226px minmax(0, 1fr) minmax(300px, 0.75fr);
  grid-template-rows: auto minmax(0, 1fr);
  gap: 8px 24px;
  height: 100%;
  padding: 12px 24px;
}

header {
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 16px;
}

.clock {
  align-content: start;
  overflow: auto;
}

.card {
  min-height: 260px;
}

.huge {
  font-size: var(--type-numeral);
  line-height: 1;
}

.unit {
  font-size: var(--type-name);
  color: var(--ink-soft);
}

.value {
  width: 110px;
}

@media (width < 1000px) {
  .race {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: none;
    height: auto;
  }
}

/* The lanes first. */
@media (width < 600px) {
  .race {
    gap: 12px;
    padding: 12px 16px;
  }

  .card {
    order: -1;
    min-height: 46vh;
  }

  .clock {
    order: -1;
  }

  .clock > .ant-btn {
    height: var(--touch-step);
  }
}

@media (height < 480px) and (width >= 600px) {
  .race {
    grid-template-columns: minmax(0, 1fr) minmax(240px, 40%);
    padding: 8px 16px;
  }

  header {
    display: none;
  }

  .card {
    order: -2;
    min-height: 240px;
  }

  .clock {
    order: -1;
  }
}
</style>
