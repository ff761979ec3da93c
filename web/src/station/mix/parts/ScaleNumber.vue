<script setup lang="ts">
import { stageOf } from '@icy-ribbon/core/paint/stage';
import ToleranceBand from '#drawing/ToleranceBand.vue';
import type { Cup } from '#store/piece/piece.ts';
import { stageWords } from '#words/cup.ts';
import { useUnits } from '#store/units.ts';

/** The number to watch at the scale: what is still to go, or how much the mixed cup holds. */
defineProps<{
  cup: Cup;
  /** Milligrams to go, below 0 too much; null when the cup is mixed. */
  toGoMg: number | null;
  toleranceMg: number;
  verdict: 'on target' | 'over' | 'to go';
}>();

const units = useUnits();
</script>

<template>
  <div class="number">
    <template v-if="toGoMg !== null">
      <p
        class="huge numeral"
        :class="verdict === 'over' ? 'alarm' : verdict === 'on target' ? 'on-target' : ''"
      >
        {{ units.showNumber('mass', Math.abs(toGoMg), true) }}
        <span class="unit">{{ units.unitLabel('mass') }}</span>
      </p>
      <ToleranceBand :to-go-mg="toGoMg" :tolerance-mg="toleranceMg" />
      <p class="verdict">
        {{ verdict === 'on target' ? 'on target, within' : verdict }}
        <template v-if="verdict === 'on target'">
          {{ units.show('mass', toleranceMg, true) }}
        </template>
      </p>
    </template>
    <template v-else>
      <p class="huge numeral">
        {{ units.showNumber('mass', cup.state.actualMg) }}
        <span class="unit">{{ units.unitLabel('mass') }}</span>
      </p>
      <p class="verdict">
        {{ cup.state.phase === 'mixed' ? 'Mixed:' : '' }}
        {{ stageWords(cup.state.phase, stageOf(cup.state.properties.viscosityPaS).name) }},
        {{ cup.state.properties.viscosityPaS.toPrecision(2) }} Pa·s,
        {{ Math.round(cup.state.properties.waterFraction * 100) }} % water.
        <template v-if="cup.state.phase === 'mixed'">Put the lid on.</template>
      </p>
      <p v-if="cup.state.water.level !== 'fine'" class="look">{{ cup.state.water.reason }}</p>
    </template>
  </div>
</template>

<style scoped>
.number {
  container-type: inline-size;
}

.on-target {
  color: var(--water);
}

/* Six digits, a point and the unit stay on one line. */
.huge {
  white-space: nowrap;
  font-size: min(23cqi, 2 * var(--type-numeral));
  line-height: 1.05;
  letter-spacing: -0.04em;
  margin-left: -0.05em;
}

.unit {
  font-size: var(--type-name);
  color: var(--ink-soft);
  letter-spacing: 0;
}

.verdict::first-letter {
  text-transform: uppercase;
}

.verdict {
  font-size: var(--type-title);
  white-space: normal;
}
</style>
