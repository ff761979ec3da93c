<script setup lang="ts">
import type { Measurement, PhotoDetail } from '@icy-ribbon/contract';
import type { Technique } from '@icy-ribbon/core/paint/stage';
import { bin, max, range } from 'd3-array';
import { computed } from 'vue';
import ColorDot from '#drawing/ColorDot.vue';
import { CELL_SIZES } from '#theme/tokens.ts';
import { cellsOf, sizeLimits, sizeStep } from '#drawing/photoOverlay.ts';
import { useMeasures } from '#words/useMeasures.ts';
import { finePercent } from '#words/percent.ts';
import { NO_CELL_SIZE, petalsCounted, petalsName } from '#words/petals.ts';

/** What was measured on the photo that is shown: numbers, shares of the colors, sizes of the cells. */
const props = defineProps<{
  technique: Technique;
  measurement: Measurement;
  detail: PhotoDetail | null;
}>();

const measures = useMeasures();
const BINS = 24;
const WIDTH = 300;
const HEIGHT = 62;

const bars = computed(() => {
  const sizes = props.detail ? cellsOf(props.detail).map((cell) => cell.diameterMm) : [];
  if (sizes.length === 0) return [];
  const limits = sizeLimits(cellsOf(props.detail!));
  const most = max(sizes)!;
  const edges = range(1, BINS).map((edge) => (edge * most) / BINS);
  const counted = bin().domain([0, most]).thresholds(edges)(sizes);
  const highest = max(counted, ({ length }) => length)!;
  return counted.map(({ x0: from = 0, x1: to = 0, length: count }, at) => ({
    x: (at * WIDTH) / BINS,
    height: (count / highest) * HEIGHT,
    from,
    to,
    count,
    color: CELL_SIZES[sizeStep(limits, (from + to) / 2)],
  }));
});
const shares = computed(() => {
  const { palette, shares: all, mud } = props.measurement;
  const rows = palette.map(({ name, hex }) => ({ name, hex, share: all[name] ?? 0 }));
  return mud > 0.0005 ? [...rows, { name: 'mud', hex: '#6b5f52', share: mud }] : rows;
});
const touched = computed(() =>
  Object.entries(props.measurement.petals.edges)
    .filter(([, share]) => share > 0.02)
    .map(([edge]) => edge),
);
</script>

<template>
  <section class="measured stacked" aria-label="Measured on the photo">
    <h2>Measured</h2>
    <dl>
      <div>
        <dt>Cells</dt>
        <dd>{{ measurement.cells.count }}</dd>
        <dd class="soft">{{ measures.onArea(measurement.cells.perCm2) }}</dd>
      </div>
      <div>
        <dt>Usual size</dt>
        <template v-if="measurement.cells.medianMm > 0">
          <dd>{{ measures.depth(measurement.cells.medianMm, 2) }}</dd>
          <dd class="soft">
            {{ measures.depth(measurement.cells.p10Mm) }} to {{ measures.depth(measurement.cells.p90Mm) }}
          </dd>
        </template>
        <dd v-else class="small">{{ NO_CELL_SIZE }}</dd>
      </div>
      <div>
        <dt>Lacing</dt>
        <dd>{{ finePercent(measurement.lacing.areaShare) }}</dd>
        <dd v-if="measurement.lacing.areaShare >= 0.0005" class="soft">
          {{ measures.depth(measurement.lacing.widthMm, 2) }} wide
        </dd>
      </div>
      <div>
        <dt>Negative space</dt>
        <dd>{{ finePercent(measurement.negativeSpace) }}</dd>
        <dd class="soft">mud {{ finePercent(measurement.mud) }}</dd>
      </div>
      <div>
        <dt>{{ petalsName(technique) }}</dt>
        <dd>{{ petalsCounted(measurement.petals.count) }}</dd>
        <dd class="soft">
          {{ measures.distance(measurement.petals.reachMm)
          }}<template v-if="measurement.petals.symmetry > 0"
            >, even {{ finePercent(measurement.petals.symmetry) }}</template
          >
        </dd>
      </div>
      <div>
        <dt>Over the edge</dt>
        <dd class="small">{{ touched.length === 0 ? 'nowhere' : touched.join(', ') }}</dd>
      </div>
    </dl>
    <figure v-if="bars.length > 0">
      <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT + 14}`" role="img" aria-label="How many cells of which size">
        <rect
          v-for="bar in bars"
          :key="bar.x"
          :x="bar.x + 0.5"
          :y="HEIGHT - bar.height"
          :width="WIDTH / BINS - 1"
          :height="bar.height"
          :fill="bar.color"
        >
          <title>{{ measures.depth(bar.from) }} to {{ measures.depth(bar.to) }}: {{ bar.count }}</title>
        </rect>
        <line x1="0" :x2="WIDTH" :y1="HEIGHT" :y2="HEIGHT" />
        <text x="0" :y="HEIGHT + 12">0</text>
        <text :x="WIDTH" :y="HEIGHT + 12" text-anchor="end">{{ measures.depth(bars.at(-1)!.to) }}</text>
      </svg>
    </figure>
    <ul aria-label="Shares of the colors">
      <li v-for="row in shares" :key="row.name">
        <ColorDot :color="row.hex" />
        <span>{{ row.name }}</span>
        <span class="bar"><span :style="{ width: `${100 * row.share}%`, background: row.hex }"></span></span>
        <span class="number">{{ finePercent(row.share) }}</span>
      </li>
    </ul>
    <p v-for="warning in measurement.warnings" :key="warning.code" role="alert" class="warning">
      {{ warning.message }}
    </p>
  </section>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 8px 12px;
}

dt {
  color: var(--ink-soft);
  font-size: var(--type-note);
}

dd {
  font-size: var(--type-lead);
  font-weight: var(--weight-strong);
  line-height: 1.15;
}

dd.soft,
dd.small {
  font-size: var(--type-note);
  font-weight: var(--weight-plain);
}

svg {
  display: block;
  width: 100%;
}

rect {
  stroke: var(--ink);
  stroke-width: 0.6;
}

line {
  stroke: var(--ink-soft);
}

text {
  fill: var(--ink-soft);
  font-size: var(--type-note);
}

ul {
  display: grid;
  gap: 4px;
  font-size: var(--type-text);
}

li {
  display: grid;
  grid-template-columns: 16px 110px minmax(0, 1fr) 52px;
  align-items: center;
  gap: 8px;
}

.bar span {
  display: block;
  height: 8px;
  border: var(--paint-edge) solid var(--ink-soft);
}

.number {
  text-align: right;
  font-variant-numeric: tabular-nums;
}

.warning {
  padding-left: 8px;
  border-left: 4px solid var(--brass);
  font-size: var(--type-text);
}
</style>
