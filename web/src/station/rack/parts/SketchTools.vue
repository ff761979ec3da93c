<script setup lang="ts">
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
  <div class="tools" role="group" aria-label="How it is laid">
    <button
      v-for="[each, label] in TOOLS"
      :key="each"
      type="button"
      class="plain-button tool"
      :aria-label="label"
      :title="label"
      :aria-pressed="kind === each"
      @click="kind = each"
    >
      <svg width="32" height="32" viewBox="0 0 32 32" aria-hidden="true">
        <path v-if="each === 'stroke'" class="broad" d="M4 24C9 8 15 26 20 14S27 8 28 7" />
        <path v-else-if="each === 'area'" class="solid" d="M7 9C13 2 27 6 27 15S19 29 11 26S1 17 7 9Z" />
        <g v-else-if="each === 'to-edge'">
          <path d="M3 3H29V29H3Z" />
          <path class="solid" d="M14 3C10 12 22 17 18 29H29V3Z" />
        </g>
        <path
          v-else-if="each === 'cut-out'"
          class="solid"
          fill-rule="evenodd"
          d="M3 3H29V29H3ZM16 7C10 7 8 13 11 16S9 25 16 25S24 19 21 16S22 7 16 7Z"
        />
        <path v-else class="solid" d="M5 27C8 14 16 5 27 5C27 16 18 24 5 27Z" />
      </svg>
    </button>
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  flex-direction: column;
}

.tool {
  display: grid;
  place-items: center;
  width: 48px;
  height: 48px;
}

.tool:hover {
  background: var(--ice);
}

.tool[aria-pressed='true'] {
  background: var(--ice);
  box-shadow: inset 4px 0 0 var(--water);
}

svg path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.5;
}

svg .solid {
  fill: var(--ink);
}

svg .broad {
  stroke-width: 5;
  stroke-linecap: round;
}
</style>
