<script setup lang="ts">
import { outlineOf, type SketchMark } from '@icy-ribbon/core/piece/sketch';
import { computed, useId } from 'vue';

/** Marks over the photo of a piece, in millimeters of its face; a mark may be masked by a color of the photo. */
const props = defineProps<{
  support: { readonly widthMm: number; readonly heightMm: number };
  marks: readonly SketchMark[];
  /** Pictures of where each color is seen, by its name. */
  masks: ReadonlyMap<string, string>;
}>();

const id = useId();
const face = computed(() => `M0 0H${props.support.widthMm}V${props.support.heightMm}H0Z`);
const d = (points: readonly (readonly [number, number])[]) =>
  points.length === 0 ? '' : `M${points.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}`;
const filled = (mark: SketchMark) => {
  const outline = `${d(outlineOf(mark, props.support))}Z`;
  return mark.kind === 'cut-out' ? `${face.value}${outline}` : outline;
};
/** A dot is a line of no length. */
const line = ({ points }: SketchMark) => d(points.length === 1 ? [points[0]!, points[0]!] : points);
const names = computed(() => [...props.masks.keys()]);
const maskOf = ({ onlyOn }: SketchMark) => {
  const index = onlyOn === null ? -1 : names.value.indexOf(onlyOn);
  return index < 0 ? undefined : `url(#${id}-${index})`;
};
</script>

<template>
  <svg :viewBox="`0 0 ${support.widthMm} ${support.heightMm}`" preserveAspectRatio="none" aria-hidden="true">
    <defs>
      <mask v-for="(name, index) in names" :id="`${id}-${index}`" :key="name">
        <image
          :href="masks.get(name)"
          x="0"
          y="0"
          :width="support.widthMm"
          :height="support.heightMm"
          preserveAspectRatio="none"
        />
      </mask>
    </defs>
    <g v-for="mark in marks" :key="mark.id" :mask="maskOf(mark)">
      <path
        v-if="mark.kind === 'stroke'"
        class="stroke"
        :d="line(mark)"
        :stroke="mark.colorHex"
        :stroke-width="mark.widthMm"
      />
      <path v-else :d="filled(mark)" :fill="mark.colorHex" fill-rule="evenodd" />
    </g>
  </svg>
</template>

<style scoped>
svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  pointer-events: none;
}

.stroke {
  fill: none;
  stroke-linecap: round;
  stroke-linejoin: round;
}
</style>
