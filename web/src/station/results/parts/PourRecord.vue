<script setup lang="ts">
import type { Mix, PourEvent, PourEventKind } from '@icy-ribbon/contract';
import { airTool, bearingName } from '@icy-ribbon/core/flow/air';
import { colorShift, shiftWords } from '@icy-ribbon/core/paint/color';
import { stageOf } from '@icy-ribbon/core/paint/stage';
import { computed } from 'vue';
import ColorDot from '#drawing/ColorDot.vue';
import { attempt } from '#notice/useTask.ts';
import ComputedFrom from '#field/ComputedFrom.vue';
import { usePiece } from '#store/piece/piece.ts';
import { useUnits } from '#store/units.ts';
import { eventWords, HIDDEN_KINDS } from '#words/event.ts';
import { partsWords, timeWords } from '#words/general.ts';

const store = usePiece();
const units = useUnits();

/** How the cup's color moved while it dried, once its dry color was noted. */
function driedWords(wetHex: string, dryHex: string | null): string {
  if (!dryHex) return 'Note its dry color';
  const shift = colorShift(wetHex, dryHex);
  return `${shiftWords(shift)}, dL ${shift.dL.toFixed(1)}, dC ${shift.dC.toFixed(1)}`;
}

async function noteDry(mix: Mix, dryColorHex: string): Promise<void> {
  await attempt(async () => {
    await store.changeCup(mix, { dryColorHex });
  });
}

/** Each cup with the order in which it went on and how much of it. */
const cups = computed(() =>
  store.cups.map((cup) => {
    const own = store.layers.filter((layer) => layer.data.cupId === cup.mix.id);
    const order = store.layers.findIndex((layer) => layer.data.cupId === cup.mix.id);
    return {
      ...cup,
      order: order < 0 ? null : order + 1,
      laidMg: own.reduce((sum, layer) => sum + layer.data.mg, 0),
    };
  }),
);

const TOLD_ELSEWHERE: readonly PourEventKind[] = ['layer', 'pass', 'room', 'step', ...HIDDEN_KINDS];
/** Torching, waits, spins, repairs and notes, in the order they were logged. */
const beside = computed(() => store.events.filter((event) => !TOLD_ELSEWHERE.includes(event.kind)));
const words = (event: PourEvent) => eventWords(event, () => '', units);
</script>

<template>
  <section aria-labelledby="mixes">
    <h2 id="mixes">Mixes</h2>
    <table class="rows">
      <thead>
        <tr>
          <th scope="col">On as</th>
          <th scope="col">Cup</th>
          <th scope="col">Parts</th>
          <th scope="col">Thickness <ComputedFrom calculation="mix" /></th>
          <th scope="col" class="number">Laid</th>
          <th scope="col">Dry</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="cup in cups" :key="cup.mix.id">
          <td class="soft">{{ cup.order ?? '' }}</td>
          <th scope="row"><ColorDot :color="cup.colorHex" :size-px="16" inline />{{ cup.mix.name }}</th>
          <td>{{ partsWords(cup.state.parts) }}</td>
          <td>
            {{ stageOf(cup.state.properties.viscosityPaS).name }},
            {{ cup.state.properties.viscosityPaS.toPrecision(2) }}
          </td>
          <td class="number">{{ cup.laidMg > 0 ? units.show('mass', cup.laidMg) : '' }}</td>
          <td>
            <input
              type="color"
              :value="cup.mix.dryColorHex ?? cup.colorHex"
              :aria-label="`Dry color of ${cup.mix.name}`"
              :title="driedWords(cup.colorHex, cup.mix.dryColorHex)"
              @change="noteDry(cup.mix, ($event.target as HTMLInputElement).value)"
            />
            <span v-if="cup.mix.dryColorHex" class="soft dried">
              {{ driedWords(cup.colorHex, cup.mix.dryColorHex) }}
            </span>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="cups.length === 0" class="soft">No cups.</p>
  </section>
  <section aria-labelledby="passes">
    <h2 id="passes">Air</h2>
    <ol>
      <li v-for="pass in store.passes" :key="pass.id">
        <strong>{{ airTool(pass.data.tool).label }}</strong>, {{ pass.data.setting }},
        {{ units.show('length', pass.data.distanceMm) }}, {{ pass.data.slantDeg }}°,
        {{ bearingName(pass.data.directionDeg) }}, {{ pass.data.seconds }} s
      </li>
    </ol>
    <p v-if="store.passes.length === 0" class="soft">Not blown yet.</p>
    <p v-if="store.room" class="soft">
      Room {{ units.show('temperature', store.room.data.temperatureC)
      }}<template v-if="store.room.data.humidityPercent !== null"
        >, {{ store.room.data.humidityPercent }} % humidity</template
      >
    </p>
    <ul v-if="beside.length > 0" class="beside" aria-label="What was done beside the air">
      <li v-for="event in beside" :key="event.id">
        <span class="soft">{{ timeWords(event.at) }}</span> {{ words(event).title }}
        <span class="soft">{{ words(event).detail }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.beside {
  margin: 6px 0 0;
  padding: 0;
  list-style: none;
}

input[type='color'] {
  width: 34px;
  height: 24px;
  padding: 0;
  background: transparent;
  border: 1px solid var(--ice-deep);
}

.dried {
  display: block;
  font-size: var(--type-note);
}

ol {
  margin: 4px 0 0;
  padding: 0 0 0 24px;
  list-style: decimal;
  font-size: var(--type-text);
}

li {
  padding: 2px 0;
}
</style>
