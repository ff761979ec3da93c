<script setup lang="ts">
import DrawnTools from '#drawing/DrawnTools.vue';
import type { Placing } from './placing.ts';

/** What can be put down, each as it will lie there. */
const placing = defineModel<Placing | null>({ required: true });

const TOOLS = [
  ['stack', 'Stack'],
  ['ribbon', 'Ribbon'],
  ['crescent', 'Crescent'],
  ['flood', 'Flood'],
  ['pass', 'Pass'],
] as const satisfies readonly (readonly [Placing, string])[];

const toggle = (kind: Placing) => (placing.value = placing.value === kind ? null : kind);
</script>

<template>
  <DrawnTools v-slot="{ tool }" :tools="TOOLS" :in-hand="placing" label="Put down" @take="toggle">
    <g v-if="tool === 'stack'">
      <path d="M16 3C24 3 29 9 28.5 16.5C28 24 23 29 15.5 28.5C8 28 3 23 3.5 15.5C4 8 9 3 16 3Z" />
      <path
        d="M16.5 8.5C21 8.5 24 12 23.5 16.5C23 21 20 24 15.5 23.5C11 23 8 20 8.5 15.5C9 11 12 8.5 16.5 8.5Z"
      />
      <path
        class="solid"
        d="M16 13C18.5 13 19.5 14.5 19 16.5C18.5 18.5 17.5 19.5 15.5 19C13.5 18.5 12.5 17.5 13 15.5C13.2 14 14.5 13 16 13Z"
      />
    </g>
    <g v-else-if="tool === 'ribbon'">
      <path d="M2 14C8 6 12 6 16 12S24 20 30 11" />
      <path class="broad" d="M2 18C8 10 12 10 16 16S24 24 30 15" />
      <path d="M2 23C8 15 12 15 16 21S24 29 30 20" />
    </g>
    <g v-else-if="tool === 'crescent'">
      <path d="M5 26C2 13 12 3 27 6" />
      <path class="broad" d="M9.5 26C7.5 16 15 9 27 10.5" />
      <path d="M14.5 26C13.5 19 18.5 14.5 27 15.5" />
    </g>
    <g v-else-if="tool === 'flood'">
      <path class="wide" d="M2 17C9 11 14 22 30 14" />
      <path d="M2 10C10 4 15 14 30 6" />
      <path d="M2 25C9 19 14 30 30 22" />
    </g>
    <path v-else class="solid" d="M4 27L5.5 28.5L27 14C31 9 24 2 18.5 6Z" />
  </DrawnTools>
</template>
