<script setup lang="ts">
import type { Scene } from '@icy-ribbon/core/piece/rehearse';
import { computed } from 'vue';
import { useUnits } from '#store/units.ts';
import type { FilmMoment } from '#worker/film.worker.ts';

/** The cut through the paint around the pointer, true to scale: as high as it is wide. */
const props = defineProps<{ scene: Scene; moment: FilmMoment | null; xMm: number }>();
const units = useUnits();

/** Shown across, mm, and the highest that is shown. */
const ACROSS_MM = 36;
const HIGH_MM = 10;
const PX = 10;
const width = ACROSS_MM * PX;
const height = HIGH_MM * PX;

const cut = computed(() => {
  const { moment, scene } = props;
  if (!moment || moment.cut.length === 0) return null;
  const cellMm = moment.frame.cellM * 1000;
  const columns = moment.cut[0]!.length;
  const from = Math.floor((props.xMm - ACROSS_MM / 2) / cellMm);
  const to = Math.ceil((props.xMm + ACROSS_MM / 2) / cellMm);
  const places = Array.from({ length: to - from + 1 }, (_, index) => from + index).filter(
    (column) => column >= 0 && column < columns,
  );
  const floor = places.map(() => 0);
  const bands = scene.layers.map(({ colorHex }, layer) => {
    const lower = [...floor];
    places.forEach((column, index) => (floor[index]! += moment.cut[layer]![column]!));
    const point = (column: number, mm: number) => {
      const x = ((column + 0.5) * cellMm - props.xMm + ACROSS_MM / 2) * PX;
      return `${x.toFixed(1)} ${(height - mm * PX).toFixed(1)}`;
    };
    const upper = places.map((column, index) => point(column, floor[index]!));
    const back = places.map((column, index) => point(column, lower[index]!)).reverse();
    return { colorHex, d: upper.length > 1 ? `M${[...upper, ...back].join('L')}Z` : '' };
  });
  const middle = places.findIndex((column) => (column + 0.5) * cellMm >= props.xMm);
  return { bands, deep: floor[middle] ?? 0 };
});
</script>

<template>
  <figure>
    <svg
      :viewBox="`0 0 ${width} ${height + 2}`"
      role="img"
      :aria-label="`Cut through the paint here: ${units.show('depth', cut?.deep ?? 0)} deep`"
    >
      <path v-for="(band, index) in cut?.bands" :key="index" :d="band.d" :fill="band.colorHex" />
      <path class="ground" :d="`M0 ${height + 1}H${width}`" />
      <path class="here" :d="`M${width / 2} 0V${height - (cut?.deep ?? 0) * PX - 2}`" />
    </svg>
    <figcaption>
      {{ units.show('length', ACROSS_MM) }} cut across, to scale:
      <strong>{{ units.show('depth', cut?.deep ?? 0) }}</strong> deep here
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  display: grid;
  gap: 4px;
}

svg {
  width: 100%;
  background: var(--ice);
}

svg path {
  stroke: none;
}

.ground {
  stroke: var(--ink);
  stroke-width: 2;
}

.here {
  stroke: var(--ink-soft);
  stroke-width: 1;
  stroke-dasharray: 2 3;
}

figcaption {
  color: var(--ink-soft);
}
</style>
