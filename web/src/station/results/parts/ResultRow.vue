<script setup lang="ts">
import { RATED, type PieceSummary } from '@icy-ribbon/contract';
import { useMeasures } from '../../../words/useMeasures.ts';
import { airTool } from '@icy-ribbon/core/flow/air';
import { Checkbox } from 'ant-design-vue';
import { computed } from 'vue';
import { usePieces } from '../../../store/pieces.ts';
import { useUnits } from '../../../store/units.ts';
import { dateWords, TECHNIQUE_LABELS } from '../../../words/general.ts';
import DegreeMark from './DegreeMark.vue';
import MixStrip from './MixStrip.vue';

const props = defineProps<{ piece: PieceSummary }>();
const measures = useMeasures();
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
  <tr>
    <td class="choose">
      <Checkbox
        :checked="pieces.marked.includes(piece.id)"
        :aria-label="`Compare ${piece.name}`"
        @change="pieces.mark(piece.id, $event.target.checked)"
      />
    </td>
    <td class="piece">
      <RouterLink :to="`/results/${piece.id}`">
        <img v-if="piece.photoId" :src="`/api/photos/${piece.photoId}/thumbnail`" alt="" loading="lazy" />
        <span v-else class="no-photo">no photo</span>
        <span>
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
      <p v-else class="look small">{{ piece.next }}</p>
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
  gap: 14px;
  color: var(--ink);
  text-decoration: none;
}

.piece img,
.no-photo {
  flex: none;
  width: 72px;
  height: 72px;
  object-fit: cover;
}

.no-photo {
  display: grid;
  place-items: center;
  font-size: 12px;
  color: var(--ink-soft);
  border: 1px dashed var(--ice-deep);
}

.piece a > span:last-child {
  display: grid;
  white-space: nowrap;
}

.name {
  font-weight: 600;
  font-size: 16px;
}

.small {
  font-size: 13px;
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
</style>
