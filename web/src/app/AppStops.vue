<script setup lang="ts">
import { computed, defineAsyncComponent, ref, watch } from 'vue';
import { START_LOCATION, useRoute } from 'vue-router';
import type { StationName } from './stations.ts';
import { useStations } from './useStations.ts';

const MoreDrawer = defineAsyncComponent(() => import('./MoreDrawer.vue'));

const route = useRoute();
const { links, reached } = useStations();

/** What is wanted at the table with one hand; the rest lies behind the last. */
const STOPS: readonly StationName[] = ['today', 'mix', 'thickness', 'pour', 'results'];
const stops = computed(() =>
  links.value.flatMap((link, index) => (STOPS.includes(link.name) ? [{ ...link, index }] : [])),
);
const isElsewhere = computed(() => !stops.value.some(({ name }) => name === route.meta.station));

const isMoreOpen = ref(false);
/** It closes where it led; the page's own coming up, from nowhere, is no such step. */
watch(
  () => route.path,
  (_, before) => {
    if (before !== START_LOCATION.path) isMoreOpen.value = false;
  },
);

/** Shares of a hundred along, px down: the line swings around its middle and thins toward its end. */
const [WIDE, MIDDLE, STEPS] = [100, 12, 60];
const places = STOPS.length + 1;
const swing = (x: number) => MIDDLE - 4 * Math.cos((Math.PI * (x * places)) / WIDE - Math.PI / 2);
const stopX = (stop: number) => (WIDE * (stop + 0.5)) / places;

/** The line from its beginning as far as a share of its width, as an outline. */
function line(to: number): string {
  const at = Array.from({ length: STEPS + 1 }, (_, step) => (to * step) / STEPS);
  const half = (x: number) => 4 - (2.6 * x) / WIDE;
  const edge = (side: number) => at.map((x) => `${x.toFixed(2)} ${(swing(x) + side * half(x)).toFixed(2)}`);
  return `M${edge(-1).join('L')}L${edge(1).reverse().join('L')}Z`;
}

/** How far the piece in hand has come along the stops. */
const come = computed(() => stops.value.filter(({ index }) => index <= reached.value).length);
</script>

<template>
  <nav class="stops" aria-label="Stations">
    <svg class="flow" viewBox="0 0 100 24" preserveAspectRatio="none" aria-hidden="true">
      <path class="line" :d="line(WIDE)" />
      <path v-if="come > 0" class="line come" :d="line(stopX(come - 1))" />
    </svg>
    <ol>
      <li v-for="(stop, at) in stops" :key="stop.name">
        <component
          :is="stop.isOpen ? 'RouterLink' : 'span'"
          :to="stop.isOpen ? stop.to : undefined"
          :class="['stop', { closed: !stop.isOpen }]"
          :title="stop.isOpen ? undefined : 'Start or choose a piece first'"
          :aria-current="route.meta.station === stop.name ? 'page' : undefined"
        >
          <span
            :class="['node', { come: at < come, here: route.meta.station === stop.name }]"
            :style="{ top: `${swing(stopX(at)) - 6}px` }"
          />
          {{ stop.label }}
        </component>
      </li>
      <li>
        <button
          type="button"
          class="plain-button stop"
          :aria-expanded="isMoreOpen"
          :aria-current="isElsewhere ? 'page' : undefined"
          @click="isMoreOpen = true"
        >
          <svg class="coil" width="24" height="24" viewBox="0 0 24 24" aria-hidden="true">
            <path d="M2 12c6 -8 18 -2 14 5s-12 3 -8 -2s9 -1 6 3" />
          </svg>
          More
        </button>
      </li>
    </ol>
    <MoreDrawer v-if="isMoreOpen" v-model:open="isMoreOpen" :besides="STOPS" />
  </nav>
</template>

<style scoped>
.stops {
  position: relative;
  background: var(--paper);
  border-top: 1px solid var(--rule);
  padding-bottom: env(safe-area-inset-bottom);
}

.flow {
  position: absolute;
  left: 0;
  top: 2px;
  width: 100%;
  height: 24px;
}

.line {
  fill: var(--ice-deep);
}

.line.come {
  fill: var(--water);
}

ol {
  display: grid;
  grid-template-columns: repeat(6, minmax(0, 1fr));
}

.stop {
  position: relative;
  display: block;
  width: 100%;
  min-height: 56px;
  padding: 32px 0 4px;
  font-size: var(--type-note);
  line-height: 1.3;
  text-align: center;
  color: var(--ink);
  text-decoration: none;
}

.stop[aria-current] {
  font-weight: var(--weight-strong);
}

.closed {
  color: var(--ink-soft);
  font-style: italic;
}

.node {
  position: absolute;
  left: calc(50% - 6px);
  width: 12px;
  height: 12px;
  margin-top: 2px;
  border: 2px solid var(--edge);
  border-radius: 50%;
  background: var(--paper);
}

.node.come {
  border-color: var(--water);
}

.node.here {
  border-color: var(--ink);
  background: var(--ink);
}

.coil {
  position: absolute;
  left: calc(50% - 12px);
  top: 2px;
  fill: none;
  stroke: var(--water);
  stroke-width: 2.5;
  stroke-linecap: round;
}

@media (height < 480px) {
  .stop {
    min-height: 48px;
    padding-top: 24px;
    padding-bottom: 2px;
  }
}
</style>
