<script setup lang="ts">
import { RATED, type PieceSummary } from '@icy-ribbon/contract';
import { useMeasures } from '#words/useMeasures.ts';
import { airTool } from '@icy-ribbon/core/flow/air';
import { computed } from 'vue';
import { usePieces } from '#store/pieces.ts';
import { useUnits } from '#store/units.ts';
import { dateWords, TECHNIQUE_LABELS } from '#words/general.ts';
import CupDots from '#drawing/CupDots.vue';
import HungPhoto from '#drawing/HungPhoto.vue';
import DegreeMark from './DegreeMark.vue';
import MixStrip from './MixStrip.vue';

const props = defineProps<{ piece: PieceSummary }>();
const measures = useMeasures();
/** All as high or as wide; the support alone. */
const BOX_PX = 72;
const width = computed(() => {
  const { widthMm, heightMm } = props.piece.support;
  return (BOX_PX * widthMm) / Math.max(widthMm, heightMm);
});
const pieces = usePieces();
const units = useUnits();

/** Passes with the same tool, distance and slant, counted together. */
const air = computed(() => {
  const groups = new Map<string, { label: string; count: number; seconds: number }>();
  for (const pass of props.piece.passes) {
    const label = `${airTool(pass.tool).label}, ${units.show('length', pass.distanceMm)}, ${pass.slantDeg}°`;
    const group = groups.get(label) ?? { label, count: 0, seconds: 0 };
    groups.set(label, { ...group, count: group.count + 1, seconds: group.seconds + pass.seconds });
  }
  return [...groups.values()].map(({ label, count, seconds }) => ({
    label,
    times: `${count} ×, ${Number(seconds.toFixed(1))} s in all`,
  }));
});
</script>

<template>
  <tr v-if="!piece.photo && !piece.judgement && !piece.trouble" class="open">
    <td></td>
    <td class="piece">
      <RouterLink :to="`/results/${piece.id}`">
        <span class="words">
          <span class="name">{{ piece.name }}</span>
        </span>
      </RouterLink>
    </td>
    <td class="mixes"><CupDots :cups="piece.mixes" /></td>
    <td class="soft small">{{ air.length > 0 ? `${piece.passes.length} passes` : 'not blown yet' }}</td>
    <td class="small">{{ piece.next }}</td>
  </tr>
  <tr v-else>
    <td class="choose">
      <input
        type="checkbox"
        :checked="pieces.marked.includes(piece.id)"
        :aria-label="`Compare ${piece.name}`"
        @change="pieces.mark(piece.id, ($event.target as HTMLInputElement).checked)"
      />
    </td>
    <td class="piece">
      <RouterLink :to="`/results/${piece.id}`">
        <span v-if="piece.photo" class="picture">
          <HungPhoto :photo="piece.photo" :support="piece.support" :width="width" alt="" />
        </span>
        <span class="words">
          <span class="name">{{ piece.name }}</span>
          <span class="soft small">{{ TECHNIQUE_LABELS[piece.technique] }}, {{ piece.support.name }}</span>
          <span v-if="piece.trouble" class="alarm small">cannot be worked out: {{ piece.trouble }}</span>
          <span class="soft small">
            {{ dateWords(piece.createdAt)
            }}<template v-if="piece.judgement?.rating">, rated {{ piece.judgement.rating }} of 5</template>
          </span>
        </span>
      </RouterLink>
    </td>
    <td class="mixes"><MixStrip :mixes="piece.mixes" /></td>
    <td>
      <p v-for="group in air" :key="group.label" class="small">
        {{ group.label }} <span class="soft">{{ group.times }}</span>
      </p>
      <p v-if="air.length === 0" class="soft small">not blown yet</p>
    </td>
    <td>
      <div v-if="piece.judgement" class="marks">
        <DegreeMark v-for="rated in RATED" :key="rated" :label="rated" :degree="piece.judgement[rated]" />
        <span v-if="piece.judgement.cellSizeMm !== null" class="small size">
          cells {{ measures.size(piece.judgement.cellSizeMm) }}
        </span>
      </div>
      <p v-else class="small">{{ piece.next }}</p>
    </td>
  </tr>
</template>

<style scoped>
td {
  padding: 8px 16px 8px 0;
  border-top: 1px solid var(--rule);
  vertical-align: middle;
}

.choose {
  width: 36px;
}

.piece {
  min-width: 230px;
}

.piece a {
  display: flex;
  align-items: center;
  gap: 12px;
  color: var(--ink);
  text-decoration: none;
}

.picture {
  display: grid;
  flex: none;
  place-items: center;
  width: 72px;
}

.open td {
  height: 44px;
  padding-block: 0;
}

.words {
  display: grid;
  white-space: nowrap;
}

.name {
  font-weight: var(--weight-strong);
  font-size: var(--type-text);
}

.mixes {
  width: 250px;
}

.marks {
  display: grid;
  grid-template-columns: max-content max-content;
  gap: 2px 12px;
}

.size {
  grid-column: 1 / -1;
}

@container (width < 40rem) {
  .piece {
    min-width: 0;
    padding-right: 0;
  }

  .words {
    min-width: 0;
    white-space: normal;
    overflow-wrap: anywhere;
  }
}
</style>
