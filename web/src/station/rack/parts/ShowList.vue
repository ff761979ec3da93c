<script setup lang="ts">
import { Button } from 'ant-design-vue';
import dayjs from 'dayjs';
import Papa from 'papaparse';
import { computed, ref } from 'vue';
import { saveFile } from '#drawing/saveFile.ts';
import { widthIn } from '#drawing/widthIn.ts';
import HungPhoto from '#drawing/HungPhoto.vue';
import BareSelect from '#field/BareSelect.vue';
import { useMoney } from '#store/money.ts';
import { usePieces } from '#store/pieces.ts';
import { useRack } from '#store/rack.ts';
import { attempt } from '#notice/useTask.ts';
import { useUnits } from '#store/units.ts';
import { untilWords } from '#words/care.ts';
import { supportWords } from '#words/support.ts';
import { showsOf, yearRows } from './showRows.ts';

/** Which pieces go to which show, how they hang and what they lack; and a year's list of what they cost and brought. */
const rack = useRack();
const pieces = usePieces();
const money = useMoney();
const units = useUnits();

const shows = computed(() => showsOf(rack.items, rack.nowMs, rack.dryingOf));
const SMALL_PX = 56;

const YEARS = 6;
const year = ref(dayjs().year());
const years = Array.from({ length: YEARS }, (_, back) => dayjs().year() - back).map((value) => ({
  value,
  label: String(value),
}));

/** Signs that a spreadsheet would take for a formula are disarmed. */
const saveYear = () =>
  attempt(async () => {
    const all = await pieces.allPouredSince('2000-01-01');
    const text = Papa.unparse(yearRows(all, year.value), { escapeFormulae: true });
    saveFile(new Blob([text], { type: 'text/csv' }), `icy-ribbon-${year.value}.csv`);
  });
</script>

<template>
  <section v-for="show in shows" :key="show.name" :aria-label="show.name">
    <header>
      <h2>{{ show.name }}</h2>
      <p v-if="show.opensOn" class="soft">
        opens {{ dayjs(show.opensOn).format('ddd D MMM YYYY') }},
        {{ untilWords(dayjs(show.opensOn).valueOf(), rack.nowMs) }}
      </p>
      <RouterLink :to="`/show?name=${encodeURIComponent(show.name)}`">Contact sheet</RouterLink>
      <RouterLink :to="`/labels?pieces=${show.pieces.map(({ piece }) => piece.id).join(',')}`">
        Labels
      </RouterLink>
    </header>
    <table class="rows">
      <thead>
        <tr>
          <th scope="col"><span class="visually-hidden">Picture</span></th>
          <th scope="col">Piece</th>
          <th scope="col">Size</th>
          <th scope="col">Hangs</th>
          <th scope="col" class="number">Asked</th>
          <th scope="col">What is missing</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ piece, missing } in show.pieces" :key="piece.id">
          <td>
            <HungPhoto
              v-if="piece.photo"
              :photo="piece.photo"
              :support="piece.support"
              :width="widthIn(SMALL_PX, piece.support)"
              alt=""
            />
          </td>
          <th scope="row">
            <RouterLink :to="`/rack/${piece.id}?view=sell`">{{ piece.name }}</RouterLink>
          </th>
          <td>{{ supportWords(piece.support, units) }}</td>
          <td>{{ piece.care.show?.hanging }}</td>
          <td class="number">
            {{ piece.care.price?.askedCents ? money.show(piece.care.price.askedCents) : '' }}
          </td>
          <td :class="{ look: missing.length > 0 }">{{ missing.join(', ') || 'nothing' }}</td>
        </tr>
      </tbody>
    </table>
  </section>
  <p v-if="rack.loaded && shows.length === 0" class="soft">
    No piece goes to a show yet. Open a piece, and say at "Show and sell" which show it is for.
  </p>
  <section aria-labelledby="year">
    <header>
      <h2 id="year">A year’s reckoning</h2>
      <BareSelect v-model:value="year" label="Year" :options="years" class="year" />
      <Button @click="saveYear">Save as CSV</Button>
    </header>
  </section>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: baseline;
  padding: 8px 0;
}

.year {
  width: 120px;
}
</style>
