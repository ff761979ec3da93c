<script setup lang="ts">
import { STAGES, stageOf, thicknessWindows, type Aims, type Technique } from '@icy-ribbon/core/paint/stage';
import { useElementSize } from '@vueuse/core';
import { computed, ref } from 'vue';
import { alongRibbon, placeBeads, ribbonAt, ribbonPath, THICKEST_PAS } from './ribbon.ts';

export interface RibbonCup {
  readonly id: string;
  readonly name: string;
  readonly colorHex: string;
  readonly viscosityPaS: number;
  readonly spreadLn: number;
  readonly fit?: 'thin' | 'fits' | 'thick' | undefined;
}

const props = defineProps<{ cups: readonly RibbonCup[]; technique: Technique; aims: Aims }>();

const LABEL_Y = 18;
const MIDDLE = 62;
const HEIGHT = MIDDLE + 54;
const MARGIN = 8;

const frame = ref<HTMLElement | null>(null);
const { width: measured } = useElementSize(frame);
const width = computed(() => Math.max(320, measured.value));

const toX = (viscosityPaS: number) =>
  MARGIN + Math.min(1, Math.max(0, alongRibbon(viscosityPaS))) * (width.value - 2 * MARGIN);

const path = computed(() => ribbonPath(width.value, MIDDLE));

const stages = computed(() =>
  STAGES.map((stage, index) => {
    const left = toX(STAGES[index - 1]?.fromPaS ?? THICKEST_PAS);
    const right = stage.fromPaS > 0 ? toX(stage.fromPaS) : width.value - MARGIN;
    const { y, half } = ribbonAt(right / width.value, MIDDLE);
    return { ...stage, middle: (left + right) / 2, right, top: y - half, bottom: y + half };
  }),
);

/** Where each kind of cup is aimed at; what is right as well lies around it. */
const windows = computed(() =>
  thicknessWindows(props.technique, props.aims).map(({ label, aim }) => ({
    label,
    x: toX(aim.thickPaS),
    width: toX(aim.thinPaS) - toX(aim.thickPaS),
  })),
);

const MARK_PX = 52;

/** A mark under a bead, unless another stands so close that they would cover each other. */
function isMarked(fit: RibbonCup['fit'], x: number, marks: { at: number }): boolean {
  if (fit !== 'thin' && fit !== 'thick') return false;
  if (x - marks.at < MARK_PX) return false;
  marks.at = x;
  return true;
}

const beads = computed(() => {
  const placed = placeBeads(props.cups, {
    width: width.value,
    margin: MARGIN,
    charWidth: 7,
  });
  const marks = { at: -Infinity };
  return placed.map((bead) => {
    const cup = props.cups.find((each) => each.id === bead.id)!;
    return {
      ...bead,
      ...cup,
      marked: isMarked(cup.fit, bead.x, marks),
      y: ribbonAt(bead.x / width.value, MIDDLE).y,
      labelY: LABEL_Y,
    };
  });
});

const spoken = computed(() =>
  props.cups.length === 0
    ? 'No cups yet'
    : props.cups
        .map(
          (cup) =>
            `${cup.name}: ${cup.viscosityPaS.toPrecision(2)} pascal seconds, ${stageOf(cup.viscosityPaS).name}${
              cup.fit === 'thin' ? ', too thin' : cup.fit === 'thick' ? ', too thick' : ''
            }`,
        )
        .join('; '),
);
</script>

<template>
  <figure ref="frame" class="ribbon">
    <svg :viewBox="`0 0 ${width} ${HEIGHT}`" :height="HEIGHT" role="img" :aria-label="`Ribbon. ${spoken}`">
      <rect
        v-for="window in windows"
        :key="window.label"
        class="window"
        :x="window.x"
        y="4"
        :width="window.width"
        :height="HEIGHT - 26"
      />
      <path class="band" :d="path" />
      <text
        v-for="window in windows"
        :key="`${window.label} label`"
        class="window-label"
        :x="window.x + window.width / 2"
        :y="HEIGHT - 28"
      >
        {{ window.label }}
      </text>
      <g v-for="stage in stages" :key="stage.name">
        <line
          v-if="stage.fromPaS > 0"
          class="tick"
          :x1="stage.right"
          :x2="stage.right"
          :y1="stage.top"
          :y2="HEIGHT - 20"
        />
        <text class="stage" :x="stage.middle" :y="HEIGHT - 6">{{ stage.name }}</text>
      </g>
      <g v-for="bead in beads" :key="bead.id">
        <line
          class="tail"
          :x1="bead.tailFrom"
          :x2="bead.tailTo"
          :y1="bead.y"
          :y2="bead.y"
          :stroke="bead.colorHex"
        />
        <line class="leader" :x1="bead.labelX" :y1="bead.labelY + 4" :x2="bead.x" :y2="bead.y - 9" />
        <circle class="bead" :cx="bead.x" :cy="bead.y" r="8.5" :fill="bead.colorHex" />
        <text v-if="bead.marked" class="mark" :x="bead.x" :y="bead.y + 24">
          {{ bead.fit === 'thin' ? '▸ thin' : '◂ thick' }}
        </text>
        <text class="name" :x="bead.labelX" :y="bead.labelY">{{ bead.name }}</text>
      </g>
      <text v-if="cups.length === 0" class="empty" :x="width / 2" :y="LABEL_Y + 4">
        Every cup becomes a bead here, thick at the left, thin at the right.
      </text>
    </svg>
  </figure>
</template>

<style scoped>
.ribbon {
  margin: 0;
  min-width: 0;
}

svg {
  display: block;
  width: 100%;
}

.window {
  fill: var(--ice);
  stroke: var(--ice-deep);
  stroke-dasharray: 2 4;
}

.window-label {
  font-size: 12px;
  text-anchor: middle;
  fill: var(--ink-soft);
  font-style: italic;
}

.band {
  fill: var(--ice-deep);
  opacity: 0.75;
}

.tick {
  stroke: var(--bench);
  stroke-width: 1.5;
}

.stage {
  font-size: 13px;
  text-anchor: middle;
  fill: var(--ink);
}

.tail {
  stroke-width: 5;
  stroke-linecap: round;
  opacity: 0.45;
}

.leader {
  stroke: var(--ink-soft);
  stroke-width: 0.75;
}

.bead {
  stroke: var(--ink);
  stroke-width: 1.5;
}

.name {
  font-size: 13px;
  text-anchor: middle;
  fill: var(--ink);
  font-weight: 500;
}

.mark {
  font-size: 12px;
  font-weight: 600;
  text-anchor: middle;
  fill: var(--brass-ink);
}

.empty {
  font-size: 14px;
  text-anchor: middle;
  fill: var(--ink-soft);
}
</style>
