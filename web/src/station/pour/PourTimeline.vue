<script setup lang="ts">
import { bearingName, airTool } from '@icy-ribbon/core/air';
import type { PourEvent } from '@icy-ribbon/contract';
import { Button } from 'ant-design-vue';
import { nextTick, ref, watch } from 'vue';
import { usePiece } from '../../store/piece.ts';
import { useUnits } from '../../store/units.ts';
import { timeWords } from '../words.ts';

const emit = defineEmits<{ takeBack: [] }>();
const store = usePiece();
const units = useUnits();
const line = ref<HTMLElement | null>(null);

watch(
  () => store.events.length,
  async () => {
    await nextTick();
    line.value?.scrollTo({ left: line.value.scrollWidth });
  },
);

const cupOf = (mixId: string) => store.cups.find((cup) => cup.mix.id === mixId);

function colorOf(event: PourEvent): string | undefined {
  return event.kind === 'layer' ? cupOf(event.data.mixId)?.colorHex : undefined;
}

function what(event: PourEvent): { title: string; detail: string } {
  switch (event.kind) {
    case 'layer':
      return {
        title: cupOf(event.data.mixId)?.mix.name ?? 'a cup',
        detail: units.show('mass', event.data.mg),
      };
    case 'pass':
      return {
        title: `${airTool(event.data.tool).label} ${bearingName(event.data.directionDeg)}`,
        detail: `${units.show('length', event.data.distanceMm)}, ${event.data.slantDeg}°, ${event.data.seconds} s`,
      };
    case 'room':
      return { title: 'Room', detail: units.show('temperature', event.data.temperatureC) };
    case 'void':
      return { title: 'Taken back', detail: '' };
  }
}
</script>

<template>
  <section class="timeline" aria-label="The pour so far">
    <ol ref="line">
      <li v-for="event in store.events" :key="event.id" :class="event.kind">
        <span class="node" :style="{ background: colorOf(event) }"></span>
        <span class="time soft">{{ timeWords(event.at) }}</span>
        <span class="title">{{ what(event).title }}</span>
        <span class="soft">{{ what(event).detail }}</span>
      </li>
      <li v-if="store.events.length === 0" class="soft empty">
        Every cup laid down and every pass appears on this line.
      </li>
    </ol>
    <Button v-if="store.events.length > 0" type="text" @click="emit('takeBack')">Take back</Button>
  </section>
</template>

<style scoped>
.timeline {
  display: flex;
  align-items: center;
  padding: 0 16px 0 24px;
  border-top: 1px solid var(--rule);
  background: var(--paper);
}

ol {
  flex: 1;
  display: flex;
  margin: 0;
  padding: 12px 0;
  overflow-x: auto;
  list-style: none;
}

li {
  position: relative;
  flex: none;
  display: grid;
  max-width: 150px;
  padding: 20px 20px 0 0;
  font-size: 13px;
  line-height: 1.3;
}

li:not(.empty)::before {
  content: '';
  position: absolute;
  top: 7px;
  left: 0;
  right: 0;
  height: 3px;
  background: var(--ice-deep);
}

.empty {
  padding: 0;
  max-width: none;
  font-size: 14px;
}

.node {
  position: absolute;
  top: 1px;
  left: 0;
  width: 15px;
  height: 15px;
  border-radius: 50%;
  border: 1.5px solid var(--ink);
  background: var(--bench);
}

.pass .node {
  border-radius: 0;
  transform: rotate(45deg) scale(0.8);
  background: var(--ink);
}

.title {
  font-weight: 500;
}
</style>
