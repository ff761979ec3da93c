<script setup lang="ts">
import { stageOf, windowFit } from '@icy-ribbon/core/paint/stage';
import { useMediaQuery, useStorage } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { fillOf } from '../drawing/cupLayers.ts';
import { fillWords, PHASE_WORDS, stageWords } from '../words/cup.ts';
import { ageWords } from '../words/general.ts';
import { usePiece } from '../store/piece/piece.ts';
import { useUnits } from '../store/units.ts';
import { useIsPhone } from '../store/viewport.ts';

const store = usePiece();
const units = useUnits();
const isPhone = useIsPhone();
const narrow = useMediaQuery('(width < 1000px)');
const wanted = useStorage('icy-ribbon.tray', true);
const route = useRoute();
/**
 * It stands open where cups are worked with, and folds itself elsewhere; on a narrow screen it lies over the
 * bench. There it opens only when asked, for the page one is on.
 */
const folds = computed(() => narrow.value || isPhone.value || !(route.meta.ribbon || route.meta.tray));
const asked = ref(false);
watch(
  () => route.path,
  () => (asked.value = false),
);
/** Of a piece that is poured nothing is too thick any more. */
const isOver = computed(() => store.progress.phase === 'poured' || store.progress.phase === 'judged');

const rows = computed(() =>
  store.cups.map((cup) => {
    const { mix, state, colorHex } = cup;
    const { viscosityPaS } = state.properties;
    const fit = store.piece && windowFit(store.piece.technique, mix.role, viscosityPaS, store.piece.aims);
    const lastAt = mix.additions.at(-1)?.at;
    return {
      id: mix.id,
      name: mix.name,
      colorHex,
      fill: fillOf(cup),
      left: state.phase === 'planned' ? PHASE_WORDS.planned : `${units.show('mass', state.leftMg)} left`,
      stage: stageWords(state.phase, stageOf(viscosityPaS).name),
      age: lastAt && !isOver.value ? ageWords(lastAt) : '',
      wrong: (isOver.value
        ? []
        : [
            fit === 'thin' ? 'too thin' : fit === 'thick' ? 'too thick' : '',
            state.water.level === 'fine' ? '' : 'much water',
            state.phase === 'weighing' ? fillWords(cup, (mg) => units.show('mass', mg)) : '',
          ]
      ).filter(Boolean),
    };
  }),
);
const open = computed(() => (folds.value ? asked.value : wanted.value) && rows.value.length > 0);

function toggle(): void {
  if (folds.value) asked.value = !asked.value;
  else wanted.value = !wanted.value;
}
</script>

<template>
  <aside class="tray" :class="{ closed: !open }" aria-label="Tray">
    <button class="plain-button handle" :aria-expanded="open" @click="toggle">
      <span>Tray</span>
      <span class="soft">{{ rows.length }}</span>
    </button>
    <button
      v-if="open && isPhone"
      type="button"
      class="plain-button behind"
      aria-label="Close the tray"
      @click="toggle"
    />
    <ul v-if="open">
      <li v-for="row in rows" :key="row.id">
        <svg width="26" height="34" viewBox="0 0 26 34" aria-hidden="true">
          <path d="M1 1L5 33L21 33L25 1" class="cup" />
          <path
            v-if="row.fill > 0"
            :d="`M${5 - 4 * row.fill} ${33 - 30 * row.fill}L5 33L21 33L${21 + 4 * row.fill} ${33 - 30 * row.fill}Z`"
            :fill="row.colorHex"
            class="fill"
          />
        </svg>
        <div>
          <p class="name">{{ row.name }}</p>
          <p class="soft small whole">{{ row.left }}</p>
          <p class="soft small">
            {{ row.stage }}<template v-if="row.age">, {{ row.age }}</template>
          </p>
          <p v-for="word in row.wrong" :key="word" class="look small">{{ word }}</p>
        </div>
      </li>
    </ul>
  </aside>
</template>

<style scoped>
.tray {
  width: 190px;
  overflow: auto;
  background: var(--paper);
  border-left: 1px solid var(--rule);
}

.tray.closed {
  width: 48px;
}

.handle {
  display: flex;
  justify-content: space-between;
  width: 100%;
  padding: 12px 16px;
  font-weight: var(--weight-strong);
}

.closed .handle {
  padding: 12px 0;
  flex-direction: column;
  align-items: center;
  gap: 8px;
}

li {
  display: flex;
  gap: 12px;
  padding: 8px 16px;
  border-top: 1px solid var(--rule);
}

li svg {
  flex: none;
  margin-top: 4px;
}

.cup {
  fill: none;
  stroke: var(--ink-soft);
  stroke-width: 1.25;
}

.fill {
  stroke: var(--ink-soft);
  stroke-width: var(--paint-edge);
}

.name {
  font-weight: var(--weight-strong);
}

.small {
  font-size: var(--type-note);
  line-height: 1.35;
}

.look.small {
  font-weight: var(--weight-strong);
}

@media (width < 1000px) {
  .tray:not(.closed) {
    position: absolute;
    right: 0;
    top: 52px;
    bottom: 0;
    z-index: 5;
  }
}

/* From below, over the bench; its handle stays at the top. */
@media (width < 600px), (height < 480px) {
  .tray,
  .tray.closed,
  .tray:not(.closed) {
    position: static;
    width: auto;
    overflow: visible;
    border-left: 0;
    border-bottom: 1px solid var(--rule);
  }

  .handle,
  .closed .handle {
    flex-direction: row;
    align-items: center;
    gap: 8px;
    height: 100%;
    min-height: 48px;
    padding: 0 16px;
  }

  .behind {
    position: fixed;
    inset: 0;
    z-index: 5;
    background: var(--mask);
  }

  ul {
    position: fixed;
    left: 0;
    right: 0;
    bottom: 0;
    z-index: 6;
    max-height: 70%;
    overflow: auto;
    padding-bottom: env(safe-area-inset-bottom);
    background: var(--paper);
    border-top: 1px solid var(--edge);
  }
}
</style>
