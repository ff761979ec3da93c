<script setup lang="ts">
import { Button } from 'ant-design-vue';
import { onMounted } from 'vue';
import { useRouter } from 'vue-router';
import ColorDot from '#drawing/ColorDot.vue';
import PieceAims from '#field/PieceAims.vue';
import ComputedFrom from '#field/ComputedFrom.vue';
import { say, sayProblem } from '#notice/notices.ts';
import { attempt, useTask } from '#notice/useTask.ts';
import { useShortcuts } from '#shortcut/shortcuts.ts';
import { usePiece } from '#store/piece/piece.ts';
import { useShelf } from '#store/shelf.ts';
import { aimsOf } from '@icy-ribbon/core/paint/stage';
import { ROLE_LABELS } from '#words/general.ts';
import ThicknessTabs from './parts/ThicknessTabs.vue';
import { isOpen, raceWords, useSet } from './parts/useSet.ts';

const props = defineProps<{ pieceId: string }>();

const store = usePiece();
const shelf = useShelf();
const router = useRouter();
const { busy, run } = useTask();
const { rows, summary, findings, notes, race, show } = useSet();

onMounted(() => shelf.ensure().catch(sayProblem));

const add = (cupId: string, parts: readonly { ingredientId: string; mg: number }[]) =>
  run(async () => {
    for (const part of parts) await store.weighIn(cupId, part.ingredientId, part.mg, 'typed');
  });

/** Makes room for water in a cup that holds nothing to thin it with. */
const giveWater = (cupId: string) =>
  attempt(async () => {
    // The button may be quicker than the shelf.
    await shelf.ensure();
    const water = shelf.materials.find((each) => each.kind === 'water');
    if (water) await store.addIngredient(cupId, water.id);
    else say('There is no water on the shelf: put it there first.');
  });

async function stirredIn({ cup, addition }: (typeof rows.value)[number]): Promise<void> {
  if (isOpen(addition)) await add(cup.mix.id, addition.step);
}

function goRace(): void {
  void router.push({
    name: 'race',
    params: { pieceId: props.pieceId },
    query: race.value
      ? { cups: race.value.cupIds.join(','), ...(race.value.withReference && { reference: 'glycerine' }) }
      : {},
  });
}
const goPlan = () => void router.push({ name: 'plan', params: { pieceId: props.pieceId } });

useShortcuts('Thickness', [
  { keys: ['r'], shown: 'R', does: 'Tilt race', run: goRace },
  {
    keys: ['s'],
    shown: 'S',
    does: 'The first addition on the list is stirred in',
    run: () => {
      const first = rows.value.find(({ addition }) => isOpen(addition));
      if (first) void stirredIn(first);
    },
  },
  { keys: ['g'], shown: 'G', does: 'Go and plan how to pour it', run: goPlan },
]);
</script>

<template>
  <main class="set">
    <header>
      <h1>Thickness</h1>
      <p>{{ summary }}</p>
      <ThicknessTabs :piece-id="pieceId" here="set" />
      <Button type="primary" @click="goPlan">Plan it</Button>
    </header>
    <section class="match" aria-label="Match the set">
      <PieceAims
        v-if="store.piece && aimsOf(store.piece.technique).includes('thickness')"
        class="aims"
        :only="['thickness']"
      />
      <table v-if="rows.length > 0" class="rows">
        <thead>
          <tr>
            <th>Cup</th>
            <th class="number">Thickness</th>
            <th>Tested</th>
            <th>Next <ComputedFrom calculation="next-addition" /></th>
            <th></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.cup.mix.id">
            <th scope="row">
              <ColorDot :color="row.cup.colorHex" inline />
              <RouterLink :to="{ name: 'cup-thickness', params: { pieceId, cupId: row.cup.mix.id } }">
                {{ row.cup.mix.name }}
              </RouterLink>
              <span class="soft small"
                >{{ ROLE_LABELS[row.cup.mix.role] }}{{ row.isPace ? ', sets the pace' : '' }}</span
              >
            </th>
            <td class="number">
              <span class="numeral">{{ row.thickness }}</span>
              <span class="soft small">{{ row.stage }}, {{ row.spread }}</span>
            </td>
            <td>{{ row.tested }}</td>
            <td :title="row.sure">
              {{ row.words }}
              <span v-if="row.limit" class="look small">{{ row.limit }}</span>
            </td>
            <td>
              <Button
                v-if="isOpen(row.addition)"
                size="small"
                :disabled="busy"
                :aria-label="`Stirred in: ${row.cup.mix.name}`"
                @click="stirredIn(row)"
              >
                Stirred in
              </Button>
              <Button
                v-else-if="row.wantsWater"
                size="small"
                :aria-label="`Thin ${row.cup.mix.name} with water`"
                @click="giveWater(row.cup.mix.id)"
              >
                Use water
              </Button>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-else class="soft">
        No cups yet. <RouterLink :to="{ name: 'mix', params: { pieceId } }">Mix them first.</RouterLink>
      </p>
      <p v-if="rows.length > 0" class="soft small">Every range holds nine times in ten.</p>
      <p v-if="race" class="race">
        {{ raceWords(race, store.paints) }} <Button size="small" @click="goRace">Race them</Button>
      </p>
    </section>
    <section class="contrast" aria-label="Contrast">
      <h2>Poured like this</h2>
      <ul>
        <li v-for="finding in findings" :key="finding.words" :class="finding.level">
          <p>
            <strong v-if="finding.level !== 'fine'">{{
              finding.level === 'wrong' ? 'Wrong' : 'Look'
            }}</strong>
            {{ finding.words }}
          </p>
          <p class="soft small">{{ finding.because }}</p>
        </li>
      </ul>
      <h2>Before the pour</h2>
      <p v-if="notes.length === 0" class="soft">Every cup was tested today.</p>
      <ul v-else>
        <li v-for="note in notes" :key="note.words">
          <p>
            {{ note.words }}
            <Button v-if="note.topUp" size="small" @click="add(note.cupId, [note.topUp])">
              {{ show(note.topUp.mg) }} water stirred in
            </Button>
          </p>
        </li>
      </ul>
    </section>
  </main>
</template>

<style scoped>
.set {
  display: grid;
  grid-template-columns: minmax(0, 1.9fr) minmax(240px, 1fr);
  grid-template-rows: auto minmax(0, 1fr);
  gap: 8px 24px;
  height: 100%;
  padding: 12px 24px;
}

.aims {
  max-width: 260px;
}

header {
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 16px;
}

header > p {
  flex: 1 1 260px;
}

.match,
.contrast {
  min-height: 0;
  overflow: auto;
}

.rows th[scope='row'],
.rows td.number {
  white-space: nowrap;
}

.small {
  display: block;
  font-size: var(--type-note);
  font-weight: var(--weight-plain);
}

.race {
  margin-top: 12px;
}

ul {
  margin: 4px 0 16px;
}

li {
  padding: 6px 0 6px 8px;
  border-left: 3px solid var(--ice-deep);
  margin-bottom: 4px;
}

.wrong {
  border-left-color: var(--alarm);
}

.look {
  border-left-color: var(--brass);
}

li.look {
  color: var(--ink);
}

@media (width < 1000px) {
  .set {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: none;
    height: auto;
  }
}

/* A cup a card: its name and its thickness, then what to do. */
@media (width < 600px) {
  .set {
    padding: 12px 16px;
  }

  thead {
    display: none;
  }

  .rows tr {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0 12px;
    padding: 8px 0;
    border-bottom: 1px solid var(--rule);
  }

  .rows :is(th, td) {
    padding: 2px 0;
    border: 0;
  }

  .rows td:nth-child(n + 4) {
    grid-column: 1 / -1;
  }
}
</style>
