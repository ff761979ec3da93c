<script setup lang="ts">
import { STAGES, stageOf, thicknessWindows, type Aims, type Technique } from '@icy-ribbon/core/paint/stage';
import { useElementSize } from '@vueuse/core';
import { computed, ref } from 'vue';
import {
  alongRibbon,
  foldPath,
  placeBeads,
  ribbonAt,
  ribbonPath,
  spreadApart,
  THICKEST_PAS,
} from './ribbon.ts';

export interface RibbonCup {
  readonly id: string;
  readonly name: string;
  readonly colorHex: string;
  readonly viscosityPaS: number;
  readonly spreadLn: number;
  readonly fit?: 'thin' | 'fits' | 'thick' | undefined;
}

const props = defineProps<{
  cups: readonly RibbonCup[];
  technique: Technique;
  aims: Aims;
  /** Less high, without the names of the windows. */
  slim?: boolean;
}>();

const LABEL_Y = 16;
const MIDDLE = 60;
const height = computed(() => MIDDLE + (props.slim ? 50 : 68));
const MARGIN = 12;
const BAND_END = 8;

const frame = ref<HTMLElement | null>(null);
const { width: measured } = useElementSize(frame);
const width = computed(() => Math.max(320, measured.value));

const toX = (viscosityPaS: number) =>
  MARGIN + Math.min(1, Math.max(0, alongRibbon(viscosityPaS))) * (width.value - 2 * MARGIN);

/** The band ends before the frame does, so that its fold is seen. */
const bandWidth = computed(() => width.value - BAND_END);
const at = (x: number) => ribbonAt(Math.min(1, x / bandWidth.value), MIDDLE);
const path = computed(() => ribbonPath(bandWidth.value, MIDDLE));
const fold = computed(() => foldPath(bandWidth.value, MIDDLE));

const stages = computed(() =>
  STAGES.map((stage, index) => {
    const left = toX(STAGES[index - 1]?.fromPaS ?? THICKEST_PAS);
    const right = stage.fromPaS > 0 ? toX(stage.fromPaS) : width.value - MARGIN;
    const { y, half } = at(right);
    return { ...stage, middle: (left + right) / 2, right, top: y - half, bottom: y + half };
  }),
);

const BRACKET = { foot: 5, beyond: 3, apart: 5 } as const;

/** A bracket around a stretch of the band at one of its ends; `foot` points into the stretch. */
function bracket(x: number, foot: number, beyond: number): string {
  const { y, half } = at(x);
  const [top, bottom] = [y - half - beyond, y + half + beyond];
  return `M${x + foot} ${top}H${x}V${bottom}H${x + foot}`;
}

/**
 * Where each kind of cup is aimed at: a darker stretch of the band between brackets. The brackets of one that
 * overlaps the one before stand out further.
 */
const windows = computed(() => {
  const found = thicknessWindows(props.technique, props.aims).map(({ label, aim }, index) => {
    const [from, to] = [toX(aim.thickPaS), toX(aim.thinPaS)];
    const beyond = BRACKET.beyond + BRACKET.apart * index;
    return {
      label,
      from,
      to,
      stretch: ribbonPath(bandWidth.value, MIDDLE, from / bandWidth.value, to / bandWidth.value),
      brackets: bracket(from, BRACKET.foot, beyond) + bracket(to, -BRACKET.foot, beyond),
    };
  });
  const order = found.toSorted((a, b) => a.from + a.to - b.from - b.to);
  const middles = spreadApart(
    order.map(({ from, to }) => (from + to) / 2),
    order.map(({ label }) => label.length * CHAR_PX + LABEL_GAP_PX),
    width.value,
  );
  return found.map((window) => ({ ...window, middle: middles[order.indexOf(window)] ?? 0 }));
});

const CHAR_PX = 7;
const LABEL_GAP_PX = 12;
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
    charWidth: CHAR_PX,
  });
  const marks = { at: -Infinity };
  return placed.map((bead) => {
    const cup = props.cups.find((each) => each.id === bead.id)!;
    return {
      ...bead,
      ...cup,
      marked: isMarked(cup.fit, bead.x, marks),
      y: at(bead.x).y + bead.dy,
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
    <svg :viewBox="`0 0 ${width} ${height}`" :height="height" role="img" :aria-label="`Ribbon. ${spoken}`">
      <path class="fold" :d="fold" />
      <path class="band" :d="path" />
      <path v-for="window in windows" :key="window.label" class="stretch" :d="window.stretch" />
      <g v-for="stage in stages" :key="stage.name">
        <line
          v-if="stage.fromPaS > 0"
          class="tick"
          :x1="stage.right"
          :x2="stage.right"
          :y1="stage.top"
          :y2="height - 18"
        />
        <text class="stage" :x="stage.middle" :y="height - 5">{{ stage.name }}</text>
      </g>
      <g v-for="window in windows" :key="`${window.label} bracket`">
        <path class="bracket" :d="window.brackets" />
        <text v-if="!slim" class="window-label" :x="window.middle" :y="height - 23">{{ window.label }}</text>
      </g>
      <g v-for="bead in beads" :key="`${bead.id} tail`">
        <path class="tail-edge" :d="`M${bead.tailFrom} ${bead.y}H${bead.tailTo}`" />
        <path class="tail" :d="`M${bead.tailFrom} ${bead.y}H${bead.tailTo}`" :stroke="bead.colorHex" />
      </g>
      <g v-for="bead in beads" :key="bead.id">
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
  min-width: 0;
}

svg {
  display: block;
  width: 100%;
}

.fold {
  fill: var(--edge);
  opacity: 0.6;
}

.band {
  fill: var(--ice);
  stroke: var(--rule);
}

.stretch {
  fill: var(--ice-deep);
  opacity: 0.75;
}

.bracket {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.5;
}

.window-label {
  font-size: var(--type-note);
  text-anchor: middle;
  fill: var(--ink-soft);
  font-style: italic;
}

.tick {
  stroke: var(--rule);
}

.stage {
  font-size: var(--type-note);
  text-anchor: middle;
  fill: var(--ink);
}

.tail {
  stroke-width: 3;
}

.tail-edge {
  stroke: var(--ink);
  stroke-width: 5;
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
  font-size: var(--type-note);
  text-anchor: middle;
  fill: var(--ink);
  font-weight: var(--weight-strong);
}

.mark {
  font-size: var(--type-note);
  font-weight: var(--weight-strong);
  text-anchor: middle;
  fill: var(--brass-ink);
}

.empty {
  font-size: var(--type-text);
  text-anchor: middle;
  fill: var(--ink-soft);
}
</style>
