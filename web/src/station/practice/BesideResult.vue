<script setup lang="ts">
import { speakingPhoto } from '@icy-ribbon/core/judgement/outcome';
import type { Photo } from '@icy-ribbon/contract';
import { computed, ref } from 'vue';
import HungPhoto from '#drawing/HungPhoto.vue';
import { widthIn } from '#drawing/widthIn.ts';
import { usePiece } from '#store/piece/piece.ts';
import { useUnits } from '#store/units.ts';
import { percent } from '#words/percent.ts';
import { NO_CELL_SIZE, petalsCounted } from '#words/petals.ts';

/** A rehearsal and what was poured, side by side, with the same measures. */
defineProps<{ pieceId: string }>();
const store = usePiece();
const units = useUnits();

const measured = computed(() => store.piece?.rehearsals.filter(({ measurement }) => measurement) ?? []);
const chosen = ref<string | null>(null);
const rehearsal = computed(
  () => measured.value.find(({ id }) => id === chosen.value) ?? measured.value.at(-1),
);
const photo = computed(() => speakingPhoto(store.piece?.photos ?? []));
const LONG_PX = 420;
const width = computed(() => (store.piece ? widthIn(LONG_PX, store.piece.support) : 0));

const shown = ({ id, widthPx, heightPx, measurement }: Photo) => ({
  ...{ id, widthPx, heightPx },
  corners: measurement?.corners ?? null,
});
const rows = computed(() => {
  const [a, b] = [rehearsal.value?.measurement, photo.value?.measurement];
  if (!a || !b) return [];
  const names = Object.keys(b.shares).filter((name) => name in a.shares);
  const sizeOf = (mm: number) => (mm > 0 ? units.show('depth', mm) : NO_CELL_SIZE);
  return [
    { label: 'Base left open', a: percent(a.negativeSpace), b: percent(b.negativeSpace) },
    ...names.map((name) => ({ label: name, a: percent(a.shares[name]!), b: percent(b.shares[name]!) })),
    { label: 'Cells', a: String(a.cells.count), b: String(b.cells.count) },
    {
      label: 'Usual cell',
      a: sizeOf(a.cells.medianMm),
      b: sizeOf(b.cells.medianMm),
    },
    { label: 'Net', a: percent(a.lacing.areaShare), b: percent(b.lacing.areaShare) },
    { label: 'Petals', a: petalsCounted(a.petals.count), b: petalsCounted(b.petals.count) },
    {
      label: 'Reach of a petal',
      a: units.show('length', a.petals.reachMm),
      b: units.show('length', b.petals.reachMm),
    },
  ];
});
</script>

<template>
  <main v-if="store.piece" class="beside stacked gap-16">
    <header>
      <h1>{{ store.piece.name }}: rehearsed and poured</h1>
      <RouterLink :to="`/practice/piece/${pieceId}`">Back</RouterLink>
    </header>
    <p v-if="!rehearsal || !photo?.measurement">
      Two things are needed: a rehearsal that is measured and kept, and a measured photo of the pour.
    </p>
    <template v-else>
      <div class="pictures">
        <figure>
          <HungPhoto
            :photo="shown(rehearsal)"
            :support="store.piece.support"
            :width="width"
            large
            alt="Rehearsed"
          />
          <figcaption>
            Rehearsed
            <select v-if="measured.length > 1" v-model="chosen" aria-label="Which rehearsal">
              <option :value="null">the last</option>
              <option v-for="(each, index) in measured" :key="each.id" :value="each.id">
                number {{ index + 1 }}
              </option>
            </select>
          </figcaption>
        </figure>
        <figure>
          <HungPhoto :photo="shown(photo)" :support="store.piece.support" :width="width" large alt="Poured" />
          <figcaption>Poured</figcaption>
        </figure>
      </div>
      <table class="rows">
        <thead>
          <tr>
            <th scope="col">Measure</th>
            <th scope="col">Rehearsed</th>
            <th scope="col">Poured</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.label">
            <th scope="row">{{ row.label }}</th>
            <td class="numeral">{{ row.a }}</td>
            <td class="numeral">{{ row.b }}</td>
          </tr>
        </tbody>
      </table>
    </template>
  </main>
</template>

<style scoped>
.beside {
  align-content: start;
  padding: 16px 24px;
}

header,
.pictures {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
  align-items: baseline;
}

figure {
  display: grid;
  gap: 8px;
}

table {
  max-width: 640px;
}

th {
  font-weight: var(--weight-plain);
  text-align: left;
}
</style>
