<script setup lang="ts">
import { Button } from 'ant-design-vue';
import dayjs from 'dayjs';
import { computed, onMounted } from 'vue';
import { useRoute } from 'vue-router';
import HungPhoto from '#drawing/HungPhoto.vue';
import { attempt } from '#notice/useTask.ts';
import { useMoney } from '#store/money.ts';
import { useRack } from '#store/rack.ts';
import { useUnits } from '#store/units.ts';
import { TECHNIQUE_LABELS } from '#words/general.ts';
import { supportWords } from '#words/support.ts';
import { showsOf } from './parts/showRows.ts';

/** The pieces of a show on one sheet, all to one scale, for printing or as a PDF. */
const rack = useRack();
const money = useMoney();
const units = useUnits();
const route = useRoute();
onMounted(() => attempt(() => rack.load()));

const show = computed(() =>
  showsOf(rack.items, rack.nowMs, rack.dryingOf).find(({ name }) => name === route.query.name),
);
/** The longest side of the largest piece on paper. */
const LONGEST_PX = 230;
const scale = computed(() =>
  Math.min(
    0.5,
    LONGEST_PX /
      Math.max(
        1,
        ...(show.value?.pieces ?? []).map(({ piece: { support } }) =>
          Math.max(support.widthMm, support.heightMm),
        ),
      ),
  ),
);
const print = () => window.print();
</script>

<template>
  <main class="sheet stacked gap-24">
    <header>
      <div>
        <h1>{{ route.query.name }}</h1>
        <p v-if="show?.opensOn" class="soft">{{ dayjs(show.opensOn).format('D MMMM YYYY') }}</p>
      </div>
      <Button type="primary" class="no-print" @click="print">Print, or save as PDF</Button>
    </header>
    <p v-if="rack.loaded && !show" class="soft">No piece goes to a show of this name.</p>
    <ul v-if="show">
      <li v-for="{ piece } in show.pieces" :key="piece.id">
        <HungPhoto
          v-if="piece.photo"
          :photo="piece.photo"
          :support="piece.support"
          :width="piece.support.widthMm * scale"
          :alt="piece.name"
        />
        <strong>{{ piece.name }}</strong>
        <span>{{ supportWords(piece.support, units) }}, {{ TECHNIQUE_LABELS[piece.technique] }}</span>
        <span v-if="piece.care.show?.hanging">{{ piece.care.show.hanging }}</span>
        <span v-if="piece.care.price?.askedCents">{{ money.show(piece.care.price.askedCents) }}</span>
      </li>
    </ul>
  </main>
</template>

<style scoped>
.sheet {
  max-width: 900px;
  margin: 0 auto;
  padding: 16px 24px;
}

header {
  display: flex;
  justify-content: space-between;
}

ul {
  display: flex;
  flex-wrap: wrap;
  gap: 32px;
  align-items: end;
}

li {
  display: grid;
  font-size: var(--type-note);
  break-inside: avoid;
}

@media print {
  .no-print {
    display: none;
  }
}
</style>
