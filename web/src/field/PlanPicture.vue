<script setup lang="ts">
import type { Piece } from '@icy-ribbon/contract';
import { api } from '@icy-ribbon/contract/addresses';
import { cupColor } from '@icy-ribbon/core/paint/color';
import { inForce, planOfPour } from '@icy-ribbon/core/piece/event';
import { cupPaint, EMPTY_PLAN } from '@icy-ribbon/core/piece/plan';
import { cupStates } from '@icy-ribbon/core/thickness/learn';
import { computed, shallowRef, watch } from 'vue';
import { call } from '../api/client.ts';
import { planSvg } from '../drawing/planSvg.ts';
import { useAppearance } from '../store/appearance.ts';
import { useEquipment } from '../store/equipment.ts';

/** Any piece from above, as wide as it is told: what lies on it, else what is planned, else the bare support. */
const props = defineProps<{ pieceId: string; version: number; width: number; alt: string }>();

const appearance = useAppearance();
const equipment = useEquipment();
const piece = shallowRef<Piece | null>(null);

watch(
  () => [props.pieceId, props.version],
  async () => {
    const [read] = await Promise.all([
      call(api.pieces.get, { params: { id: props.pieceId } }),
      equipment.ensure(),
    ]).catch(() => [null]);
    piece.value = read;
  },
  { immediate: true },
);

const picture = computed(() => {
  if (!piece.value) return '';
  const { mixes, readings, plan, support, events } = piece.value;
  const { states } = cupStates(mixes, readings, () => 0);
  const paints = mixes.map((mix, index) =>
    cupPaint(mix, states[index]!.properties, cupColor(mix.ingredients)),
  );
  const isBegun = inForce(events).some(({ kind }) => kind === 'layer');
  let made = 0;
  const shown = isBegun
    ? planOfPour(events, paints, support, () => `laid ${(made += 1)}`)
    : (plan ?? EMPTY_PLAN);
  const svg = planSvg(
    { plan: shown, support, paints, blowers: equipment.blowers },
    { margin: 0, palette: appearance.palette },
  );
  return `data:image/svg+xml;utf8,${encodeURIComponent(svg)}`;
});
</script>

<template>
  <img v-if="picture" :src="picture" :alt="alt" :style="{ width: `${width}px` }" draggable="false" />
  <span v-else class="waiting" :style="{ width: `${width}px`, height: `${width}px` }"></span>
</template>

<style scoped>
img,
.waiting {
  display: block;
}
</style>
