<script setup lang="ts">
import { stageCenter, STAGES, type StageName } from '@icy-ribbon/core/paint/stage';
import { useMediaQuery, useRafFn } from '@vueuse/core';
import { computed, ref } from 'vue';
import MoundFigure from '../../../drawing/MoundFigure.vue';
import { useShortcuts } from '../../../shortcut/shortcuts.ts';

/** The six stages as a stickful shows them, moving in real time; choosing one is a reading. */
const props = defineProps<{
  colorHex: string;
  /** What the mix lets expect; shown only after an answer of one's own, which it would sway. */
  expected: StageName | null;
}>();
const emit = defineEmits<{ choose: [stage: StageName] }>();

const STILL_S = 1.4;
const seconds = ref(STILL_S);
const calm = useMediaQuery('(prefers-reduced-motion: reduce)');
useRafFn(({ timestamp }) => {
  if (!calm.value) seconds.value = timestamp / 1000;
});

const stages = computed(() =>
  STAGES.map((stage, index) => ({ ...stage, key: String(index + 1), paS: stageCenter(stage.name) })),
);

useShortcuts(
  'Mound card',
  STAGES.map((stage, index) => ({
    keys: [String(index + 1)],
    shown: String(index + 1),
    does: `It looks like ${stage.name}`,
    run: () => emit('choose', stage.name),
  })),
);
</script>

<template>
  <ul class="card" aria-label="How a stickful runs back">
    <li v-for="stage in stages" :key="stage.name">
      <button
        class="plain-button"
        :class="{ expected: stage.name === props.expected }"
        :title="stage.use"
        @click="emit('choose', stage.name)"
      >
        <MoundFigure :viscosity-pa-s="stage.paS" :seconds="seconds" :color-hex="colorHex" />
        <strong
          ><span class="soft">{{ stage.key }}</span> {{ stage.name }}</strong
        >
        <span class="mound">{{ stage.mound }}</span>
      </button>
    </li>
  </ul>
  <p class="soft later">Dashed: what still stands a second after it has run out.</p>
</template>

<style scoped>
.card {
  display: grid;
  grid-template-columns: repeat(6, minmax(0, 1fr));
  gap: 10px;
  margin: 0;
  padding: 0;
  list-style: none;
}

.plain-button {
  display: grid;
  gap: 2px;
  width: 100%;
  padding: 6px;
  border: 1px solid transparent;
  border-radius: 4px;
}

.plain-button:hover {
  border-color: var(--ice-deep);
}

.expected {
  border-color: var(--brass);
}

.mound {
  font-size: 13px;
  line-height: 1.25;
  color: var(--ink-soft);
}
.later {
  font-size: 13px;
}
</style>
