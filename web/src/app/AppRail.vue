<script setup lang="ts">
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { usePiece } from '../store/piece/piece.ts';
import { STATIONS, type StationName } from './stations.ts';

const route = useRoute();
const store = usePiece();

const STEP = 66;
const TOP = 40;
const MIDDLE = 19;
const WIDTH = 40;

const nodes = STATIONS.map((station, index) => ({
  ...station,
  x: MIDDLE + (index % 2 === 0 ? -5 : 5),
  y: TOP + index * STEP,
}));

/** The line from one node to another as a curve that flows down the rail. */
function line(from: number, to: number): string {
  return nodes
    .slice(from, to + 1)
    .map((node, index, all) => {
      const before = all[index - 1];
      if (!before) return `M${node.x} ${node.y}`;
      const middle = (before.y + node.y) / 2;
      return `C${before.x} ${middle} ${node.x} ${middle} ${node.x} ${node.y}`;
    })
    .join('');
}

const reached = computed(() => {
  if (!store.piece) return -1;
  const order: StationName = store.progress.station;
  return nodes.findIndex((node) => node.name === order);
});

function target(name: StationName, needsPiece: boolean) {
  return needsPiece ? { name, params: { pieceId: store.inHandId ?? '' } } : { name };
}
</script>

<template>
  <nav class="rail" aria-label="Stations">
    <svg :width="WIDTH" :height="TOP + STEP * nodes.length" aria-hidden="true">
      <path class="line" :d="line(0, nodes.length - 1)" />
      <path v-if="reached > 0" class="come" :d="line(0, reached)" />
      <circle
        v-for="(node, index) in nodes"
        :key="node.name"
        :cx="node.x"
        :cy="node.y"
        :r="route.meta.station === node.name ? 8 : 5.5"
        :class="['node', { here: route.meta.station === node.name, come: index <= reached }]"
      />
    </svg>
    <ol>
      <li v-for="node in nodes" :key="node.name" :style="{ top: `${node.y - 24}px` }">
        <RouterLink
          v-if="!node.needsPiece || store.inHandId"
          :to="target(node.name, node.needsPiece)"
          :aria-current="route.meta.station === node.name ? 'page' : undefined"
        >
          {{ node.label }}
        </RouterLink>
        <span v-else class="closed" title="Start or choose a piece first">{{ node.label }}</span>
      </li>
    </ol>
    <div class="foot">
      <RouterLink to="/safekeeping">Safekeeping</RouterLink>
      <RouterLink to="/computation">How it computes</RouterLink>
    </div>
  </nav>
</template>

<style scoped>
.rail {
  position: relative;
  background: var(--paper);
  border-right: 1px solid var(--rule);
  overflow: hidden;
}

svg {
  display: block;
}

.line,
.rail path.come {
  fill: none;
  stroke: var(--ice-deep);
  stroke-width: 5;
  stroke-linecap: round;
}

.rail path.come {
  stroke: var(--water);
}

.node {
  fill: var(--bench);
  stroke: var(--ice-deep);
  stroke-width: 3;
}

.node.come {
  stroke: var(--water);
}

.node.here {
  fill: var(--brass);
  stroke: var(--brass);
}

ol {
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  position: absolute;
  left: 0;
  right: 0;
}

a,
.closed {
  display: block;
  padding: 14px 0 14px 40px;
  font-size: 14px;
  color: var(--ink);
  text-decoration: none;
}

.foot {
  position: absolute;
  bottom: 0;
  padding-bottom: 8px;
}

.foot a {
  padding: 7px 8px 7px 14px;
  font-size: 13px;
  color: var(--ink-soft);
}

a:hover {
  color: var(--water);
}

a[aria-current] {
  font-weight: 600;
}

.closed {
  color: var(--ink-soft);
  font-style: italic;
}

@media (width < 900px) {
  a,
  .closed {
    padding-left: 34px;
    font-size: 12.5px;
  }
}
</style>
