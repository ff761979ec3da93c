<script setup lang="ts">
import type { PieceSummary } from '@icy-ribbon/contract';
import { Checkbox } from 'ant-design-vue';
import { computed } from 'vue';
import HungPhoto from '#drawing/HungPhoto.vue';
import PlanPicture from '#field/PlanPicture.vue';
import { usePieces } from '#store/pieces.ts';
import { useMeasures } from '#words/useMeasures.ts';
import { percent } from '#words/percent.ts';

/** The pieces as they would hang side by side: all to one scale, their lower edges on one line. */
const props = defineProps<{ pieces: readonly PieceSummary[] }>();
const store = usePieces();
const measures = useMeasures();

/** 25 cm on the wall are 150 px. */
const PX_PER_MM = 150 / 250;
/** What is not photographed yet, smaller. */
const PLAN_PX_PER_MM = 90 / 400;

const hung = computed(() => props.pieces.filter(({ photo }) => photo));
const unfinished = computed(() => props.pieces.filter(({ photo }) => !photo));

const words = ({ outcome, judgement }: PieceSummary): string =>
  [
    judgement?.rating ? `${judgement.rating} of 5` : '',
    outcome && outcome.cellCount > 0 ? `cells ${measures.value.depth(outcome.cellMm)}` : '',
    outcome ? `lacing ${percent(outcome.lacingShare, 1)}` : '',
  ]
    .filter(Boolean)
    .join(', ');
</script>

<template>
  <section v-if="unfinished.length > 0" aria-labelledby="unfinished">
    <h2 id="unfinished">Not finished, as planned</h2>
    <ul class="plans">
      <li v-for="piece in unfinished" :key="piece.id">
        <RouterLink :to="`/results/${piece.id}`">
          <PlanPicture
            :piece-id="piece.id"
            :version="piece.version"
            :width="piece.support.widthMm * PLAN_PX_PER_MM"
            alt=""
          />
          <span>
            <span class="name">{{ piece.name }}</span>
            <span class="soft">{{ piece.next }}</span>
          </span>
        </RouterLink>
      </li>
    </ul>
  </section>
  <ul class="wall">
    <li
      v-for="piece in hung"
      :key="piece.id"
      :style="{ width: `${piece.support.widthMm * PX_PER_MM + 24}px` }"
    >
      <RouterLink :to="`/results/${piece.id}`" class="place">
        <HungPhoto
          v-if="piece.photo"
          :photo="piece.photo"
          :support="piece.support"
          :width="piece.support.widthMm * PX_PER_MM"
          :alt="piece.name"
        />
      </RouterLink>
      <p class="name">
        <Checkbox
          :checked="store.marked.includes(piece.id)"
          :aria-label="`Compare ${piece.name}`"
          @change="store.mark(piece.id, $event.target.checked)"
        />
        <span>{{ piece.name }}</span>
      </p>
      <p class="soft">{{ words(piece) }}</p>
    </li>
  </ul>
</template>

<style scoped>
ul {
  display: flex;
  flex-wrap: wrap;
}

h2 {
  margin: 12px 0 8px;
  font-size: var(--type-text);
}

.plans {
  gap: 12px 32px;
  padding-bottom: 12px;
  border-bottom: 1px solid var(--rule);
}

.plans a {
  display: flex;
  align-items: center;
  gap: 12px;
  color: var(--ink);
  text-decoration: none;
}

.plans a > span {
  display: grid;
  max-width: 150px;
}

.wall {
  margin-top: 24px;
}

.wall li {
  display: flex;
  flex-direction: column;
  min-width: 124px;
  margin-bottom: 24px;
}

/* The pictures stand on the line; names hang below it. */
.place {
  flex: 1;
  display: flex;
  align-items: flex-end;
  padding: 0 24px 0 0;
  border-bottom: 2px solid var(--edge);
}

.name {
  font-weight: var(--weight-strong);
}

.wall p.name {
  height: 22px;
  overflow: hidden;
}

.wall p {
  display: flex;
  gap: 8px;
  margin: 6px 12px 0 0;
}

.soft {
  font-size: var(--type-note);
}

.wall p.soft {
  height: 48px;
  margin-top: 2px;
}
</style>
