<script setup lang="ts">
import type { Life, LifeDates, LifeStage } from '@icy-ribbon/core/flow/drying';
import { computed } from 'vue';
import { spanWords, STAGE_WORDS, untilWords } from '#words/care.ts';

/** How far a piece is, huge, and every wait before it with its days. */
const props = defineProps<{ life: Life; dates: LifeDates; nowMs: number }>();

const STEPS = ['skin', 'touch-dry', 'alterable', 'coatable'] as const satisfies readonly LifeStage[];
const spanOf = (stage: (typeof STEPS)[number]) =>
  ({
    skin: props.dates.skin,
    'touch-dry': props.dates.dry,
    alterable: props.dates.alterable,
    coatable: props.dates.coatable,
  })[stage];

const headline = computed(() => {
  const { next, stage } = props.life;
  if (!next) return STAGE_WORDS[stage];
  return next.when.fromMs <= props.nowMs
    ? `maybe ${STAGE_WORDS[next.stage]}`
    : `${STAGE_WORDS[next.stage]} ${untilWords(next.when.fromMs, props.nowMs)}`;
});
const isOver = (stage: (typeof STEPS)[number]) => props.nowMs >= spanOf(stage).toMs;
</script>

<template>
  <section aria-label="How far it is">
    <p class="headline">{{ headline }}</p>
    <p v-if="life.next" class="soft">
      now {{ STAGE_WORDS[life.stage]
      }}<template v-if="life.next.when.toMs > life.next.when.fromMs"
        >; at the latest {{ untilWords(life.next.when.toMs, nowMs) }}</template
      >
    </p>
    <div class="band" role="presentation"><span :style="{ width: `${100 * life.share}%` }"></span></div>
    <ol v-if="dates.curedMs === null">
      <li v-for="stage in STEPS" :key="stage" :class="{ over: isOver(stage) }">
        <strong>{{ STAGE_WORDS[stage] }}</strong>
        <span class="soft">{{ spanWords(spanOf(stage)) }}</span>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.headline {
  font-size: var(--type-name);
  font-weight: var(--weight-strong);
  line-height: 1.2;
  letter-spacing: -0.01em;
}

.band {
  height: 6px;
  margin: 8px 0;
  background: var(--ice-deep);
}

.band > span {
  display: block;
  height: 100%;
  background: var(--water);
}

ol {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 6rem), 1fr));
  gap: 12px;
}

li {
  display: grid;
  align-content: start;
  padding-top: 4px;
  font-size: var(--type-note);
  border-top: 2px solid var(--rule);
}

.over {
  border-top-color: var(--ink);
}
</style>
