<script setup lang="ts">
import DrawnTools from '#drawing/DrawnTools.vue';
import type { MarkKind } from '@icy-ribbon/core/piece/sketch';

/** How paint is laid in a sketch, each tool drawn as what it does. */
const kind = defineModel<MarkKind>({ required: true });

const TOOLS = [
  ['stroke', 'Stroke'],
  ['area', 'Area'],
  ['to-edge', 'Fill out to the edge'],
  ['cut-out', 'Cut a silhouette out'],
  ['petal', 'Petal'],
] as const satisfies readonly (readonly [MarkKind, string])[];
</script>

<template>
  <DrawnTools v-slot="{ tool }" :tools="TOOLS" :in-hand="kind" label="How it is laid" @take="kind = $event">
    <path v-if="tool === 'stroke'" class="broad" d="M4 24C9 8 15 26 20 14S27 8 28 7" />
    <path v-else-if="tool === 'area'" class="solid" d="M7 9C13 2 27 6 27 15S19 29 11 26S1 17 7 9Z" />
    <g v-else-if="tool === 'to-edge'">
      <path d="M3 3H29V29H3Z" />
      <path class="solid" d="M14 3C10 12 22 17 18 29H29V3Z" />
    </g>
    <path
      v-else-if="tool === 'cut-out'"
      class="solid"
      fill-rule="evenodd"
      d="M3 3H29V29H3ZM16 7C10 7 8 13 11 16S9 25 16 25S24 19 21 16S22 7 16 7Z"
    />
    <path v-else class="solid" d="M5 27C8 14 16 5 27 5C27 16 18 24 5 27Z" />
  </DrawnTools>
</template>
