<script setup lang="ts">
import { stageCenter, STAGES, type StageName } from '@icy-ribbon/core/paint/stage';
import { useMediaQuery, useRafFn } from '@vueuse/core';
import { computed, ref } from 'vue';
import { TELLING_S } from '#drawing/mound.ts';
import MoundFigure from '#drawing/MoundFigure.vue';
import { useShortcuts } from '#shortcut/shortcuts.ts';

/** The six stages as a stickful shows them, each at its telling moment, moving in real time under the pointer; choosing one is a reading. */
const props = defineProps<{
  colorHex: string;
  /** What the mix lets expect; shown only after an answer of one's own, which it would sway. */
  expected: StageName | null;
}>();
const emit = defineEmits<{ choose: [stage: StageName] }>();

/** The stage that is looked at; it alone moves, from its beginning on. */
const looked = ref<StageName | null>(null);
const seconds = ref(0);
let sinceMs = 0;
const calm = useMediaQuery('(prefers-reduced-motion: reduce)');
const { pause, resume } = useRafFn(
  ({ timestamp }) => {
    sinceMs ||= timestamp;
    seconds.value = (timestamp - sinceMs) / 1000;
  },
  { immediate: false },
);
function look(stage: StageName | null): void {
  looked.value = stage;
  sinceMs = 0;
  seconds.value = 0;
  if (stage && !calm.value) resume();
  else pause();
}
const momentOf = (stage: StageName) => (looked.value === stage && !calm.value ? seconds.value : TELLING_S);

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
  <ul class="card stacked" aria-label="How a stickful runs back">
    <li v-for="stage in stages" :key="stage.name">
      <button
        class="plain-button"
        :class="{ expected: stage.name === props.expected }"
        :title="stage.use"
        @pointerenter="look(stage.name)"
        @pointerleave="look(null)"
        @focus="look(stage.name)"
        @blur="look(null)"
        @click="emit('choose', stage.name)"
      >
        <MoundFigure :viscosity-pa-s="stage.paS" :seconds="momentOf(stage.name)" :color-hex="colorHex" />
        <strong
          ><span class="soft">{{ stage.key }}</span> {{ stage.name }}</strong
        >
        <span class="mound">{{ stage.mound }}</span>
      </button>
    </li>
  </ul>
  <p class="soft later">
    Heights three times as large. Dashed: what still stands a second after it has run out.
  </p>
</template>

<style scoped>
.card {
  grid-template-columns: repeat(6, minmax(0, 1fr));
}

.plain-button {
  display: grid;
  gap: 2px;
  width: 100%;
  padding: 6px;
  border: 1px solid transparent;
}

.plain-button:hover {
  border-color: var(--edge);
}

.expected {
  border-color: var(--ink);
}

.plain-button :deep(svg) {
  max-width: 88px;
}

.mound {
  font-size: var(--type-note);
  line-height: 1.25;
  color: var(--ink-soft);
}
.later {
  font-size: var(--type-note);
}
</style>
