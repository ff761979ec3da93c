<script setup lang="ts">
import { disagreement, evidenceOf, type Disagreement } from '@icy-ribbon/core/thickness/learn';
import { Button } from 'ant-design-vue';
import { computed } from 'vue';
import { attempt } from '#notice/useTask.ts';
import { usePiece, type Cup } from '#store/piece/piece.ts';
import { useUnits } from '#store/units.ts';
import { ageWords } from '#words/general.ts';
import { measureWords, paS, spreadWords } from '#words/thickness.ts';

/** Every reading of a cup, what it says by itself, and a way to strike it out. */
const props = defineProps<{ cup: Cup }>();

const store = usePiece();
const units = useUnits();

const rows = computed(() =>
  evidenceOf(props.cup.mix.id, store.mixes, store.readings)
    .map(({ reading, says, because }) => ({
      reading,
      what: measureWords(reading as never),
      says: says
        ? `${says.atMost ? 'below ' : ''}${paS(says.viscosityPaS)} ${spreadWords(says.spreadLn)}`
        : (because ?? 'only against the other lanes'),
      room: temperatureOf(reading.id),
    }))
    .reverse(),
);

/** One of the readings contradicts the others. */
const odd = computed(() => {
  const mixes = store.mixes;
  const found = disagreement(props.cup.mix, mixes, store.readings, props.cup.state.shownIngredientMg);
  return found && { id: found.reading.id, words: oddWords(found) };
});

function oddWords({ reading, without }: Disagreement): string {
  return `The readings contradict one another. "${measureWords(reading as never)}" stands out: without it the cup is at ${paS(without.viscosityPaS)} ${spreadWords(without.spreadLn)}.`;
}

function temperatureOf(id: string): string {
  const celsius = store.readings.find((each) => each.id === id)?.temperatureC ?? null;
  return celsius === null ? '' : units.show('temperature', celsius);
}

async function strike(id: string, struck: boolean): Promise<void> {
  await attempt(async () => {
    await store.strikeReading(id, struck);
  });
}
</script>

<template>
  <section aria-label="Evidence">
    <h2 class="visually-hidden">Evidence</h2>
    <p v-if="rows.length === 0" class="soft">
      No readings yet: the number rests on the mix alone. Choose a mound, time it, or race it.
    </p>
    <p v-if="odd" class="look" role="status">
      {{ odd.words }}
      <Button type="link" size="small" @click="strike(odd.id, true)">Strike it</Button>
    </p>
    <ul v-if="rows.length > 0">
      <li v-for="row in rows" :key="row.reading.id" :class="{ struck: row.reading.struck }">
        <p>
          {{ row.what }}
          <span class="soft">{{ ageWords(row.reading.at) }}{{ row.room ? `, ${row.room}` : '' }}</span>
        </p>
        <p class="numeral">{{ row.says }}</p>
        <Button
          type="link"
          size="small"
          :aria-label="`${row.reading.struck ? 'Count again' : 'Strike out'}: ${row.what}`"
          @click="strike(row.reading.id, !row.reading.struck)"
        >
          {{ row.reading.struck ? 'Count' : 'Strike' }}
        </Button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  align-items: baseline;
  gap: 8px;
  padding: 4px 0;
  border-top: 1px solid var(--rule);
}

.struck p {
  text-decoration: line-through;
  color: var(--ink-soft);
}
</style>
