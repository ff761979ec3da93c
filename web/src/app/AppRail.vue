<script setup lang="ts">
import { useRoute } from 'vue-router';
import { STATIONS } from './stations.ts';
import { useStations } from './useStations.ts';

const route = useRoute();
const { links, reached } = useStations();

const STEP = 60;
const TOP = 36;
const MIDDLE = 22;
const WIDTH = 44;
/** The line swings further and thins toward its end, as the ribbon does (px). */
const SWING = { first: 5, last: 9 } as const;
const HALF = { first: 4.5, last: 2 } as const;
const STEPS = 12;
const TAIL = 0.5;

const along = (ends: { first: number; last: number }, share: number) =>
  ends.first + (ends.last - ends.first) * Math.min(1, share);

/** The line where it has come so many stations down. */
function lineAt(stations: number): { x: number; y: number; half: number } {
  const share = stations / (STATIONS.length - 1);
  return {
    x: MIDDLE - along(SWING, share) * Math.cos(Math.PI * stations),
    y: TOP + stations * STEP,
    half: along(HALF, share),
  };
}

const nodes = STATIONS.map((station, index) => ({ ...station, ...lineAt(index) }));

/** The line from its beginning down to a station as an outline. */
function line(to: number): string {
  const count = Math.ceil(to * STEPS);
  const points = Array.from({ length: count + 1 }, (_, step) => lineAt((to * step) / count));
  const left = points.map(({ x, y, half }) => `${(x - half).toFixed(1)} ${y.toFixed(1)}`);
  const right = points.map(({ x, y, half }) => `${(x + half).toFixed(1)} ${y.toFixed(1)}`).reverse();
  return `M${[...left, ...right].join('L')}Z`;
}

const END = lineAt(STATIONS.length - 1 + TAIL);
/** Its end coils up as falling paint does. */
const fold = `M${END.x} ${END.y - 2}c0 8 13 3 13 9s-15 2 -15 8s12 3 12 7`;
</script>

<template>
  <nav class="rail" aria-label="Stations">
    <svg :width="WIDTH" :height="TOP + STEP * nodes.length" aria-hidden="true">
      <path class="fold" :d="fold" />
      <path class="line" :d="line(nodes.length - 1 + TAIL)" />
      <path v-if="reached > 0" class="line come" :d="line(reached)" />
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
      <li v-for="(link, index) in links" :key="link.name" :style="{ top: `${nodes[index]!.y - 24}px` }">
        <RouterLink
          v-if="link.isOpen"
          :to="link.to"
          :aria-current="route.meta.station === link.name ? 'page' : undefined"
        >
          {{ link.label }}
        </RouterLink>
        <span v-else class="closed" title="Start or choose a piece first">{{ link.label }}</span>
      </li>
    </ol>
    <div class="foot">
      <RouterLink to="/devices">Devices</RouterLink>
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

.line {
  fill: var(--ice-deep);
}

.line.come {
  fill: var(--water);
}

.fold {
  fill: none;
  stroke: var(--ice-deep);
  stroke-width: 4;
  stroke-linecap: round;
}

.node {
  fill: var(--paper);
  stroke: var(--edge);
  stroke-width: 2;
}

.node.come {
  stroke: var(--water);
}

.node.here {
  fill: var(--ink);
  stroke: var(--ink);
}

li {
  position: absolute;
  left: 0;
  right: 0;
}

a,
.closed {
  display: block;
  padding: 12px 0 12px 48px;
  font-size: var(--type-text);
  color: var(--ink);
  text-decoration: none;
}

.foot {
  position: absolute;
  bottom: 0;
  padding-bottom: 8px;
}

.foot a {
  padding: 8px 8px 8px 12px;
  font-size: var(--type-note);
  color: var(--ink-soft);
}

a:hover {
  color: var(--water);
}

a[aria-current] {
  font-weight: var(--weight-strong);
}

.closed {
  color: var(--ink-soft);
  font-style: italic;
}

@media (width < 900px) {
  a,
  .closed {
    padding-left: 48px;
    font-size: var(--type-note);
  }
}
</style>
