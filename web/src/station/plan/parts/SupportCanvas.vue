<script setup lang="ts">
import {
  broughtOnto,
  moveItems,
  replaceItem,
  type Place,
  type PlanItem,
  type Seam,
} from '@icy-ribbon/core/piece/plan';
import type { SupportSize } from '@icy-ribbon/core/piece/support';
import type Konva from 'konva';
import { computed, ref, shallowRef } from 'vue';
import { Circle, Group, Layer, Line, Rect, Stage } from 'vue-konva';
import { baseShapes, type PlanContext } from '#drawing/plan.ts';
import { useView } from '#drawing/useView.ts';
import { useAppearance } from '#store/appearance.ts';
import { usePlan } from '#store/plan/plan.ts';
import { itemHandles, seamHandles, type Handle } from './handles.ts';
import MovableItem from './MovableItem.vue';
import type { KonvaDrag } from './konvaDrag.ts';
import PassShape from './PassShape.vue';
import PathShape from './PathShape.vue';
import StackShape from './StackShape.vue';

/** The support from above, to scale: what is laid and blown can be taken hold of, bent and moved. */
const props = defineProps<{ support: SupportSize; placing: boolean }>();
const emit = defineEmits<{ place: [at: Place] }>();

const plan = usePlan();
const appearance = useAppearance();
const frame = ref<HTMLElement | null>(null);
/** An item while one of its handles is dragged; kept to the plan when it is let go. */
const draft = shallowRef<PlanItem | null>(null);
const seamDraft = shallowRef<Seam | null>(null);

const MARGIN_PX = 18;
const MOST_ZOOM = 8;
const HANDLE_PX = 9;
const TICK_MM = 50;

const stage = ref<{ getNode(): Konva.Stage } | null>(null);
const { width, height, scale, origin, zoomBy, fitAll } = useView(
  frame,
  () => ({ width: props.support.widthMm, height: props.support.heightMm }),
  { marginPx: MARGIN_PX, mostZoom: MOST_ZOOM, mayDrag: (event) => !props.placing && !isOnItem(event) },
);
defineExpose({ zoomBy, fitAll });

/** Whether a press is on something that can be pulled itself. */
function isOnItem(event: MouseEvent | TouchEvent): boolean {
  const node = stage.value?.getNode();
  if (!node) return false;
  node.setPointersPositions(event);
  const at = node.getPointerPosition();
  return Boolean(at && node.getIntersection(at));
}

/** Millimeters of a line or handle that shall be so many pixels. */
const px = (pixels: number) => pixels / scale.value;

/** Every five centimeters a tick along the upper and the left edge, every tenth a longer one. */
const ticks = computed(() => {
  const { widthMm, heightMm } = props.support;
  const along = (span: number) =>
    Array.from({ length: Math.floor(span / TICK_MM) + 1 }, (_, index) => ({
      at: index * TICK_MM,
      out: -px(index % 2 === 0 ? 12 : 7),
    }));
  return [
    ...along(widthMm).map(({ at, out }) => [at, out, at, -px(3)]),
    ...along(heightMm).map(({ at, out }) => [out, at, -px(3), at]),
  ];
});

const context = computed<PlanContext>(() => ({
  plan: plan.body,
  support: props.support,
  paints: plan.paints,
  blowers: plan.blowers,
}));
const areas = computed(() => {
  const { base } = plan.body;
  const bent = base && seamDraft.value ? { ...base, seam: seamDraft.value } : base;
  return baseShapes({ ...context.value, plan: { ...plan.body, base: bent } });
});
const flat = (places: readonly Place[]) => places.flatMap(({ x, y }) => [x, y]);

const shown = <Item extends PlanItem>(item: Item): Item =>
  draft.value?.id === item.id ? (draft.value as Item) : item;
const isChosen = (id: string) => plan.selection.includes(id);
const chosen = computed(() => {
  const [only, ...more] = plan.selected;
  return only && more.length === 0 ? shown(only) : undefined;
});

/** Only what is on the face is painted. */
function clip(canvas: Konva.Context): void {
  const { widthMm, heightMm, shape } = props.support;
  if (shape === 'round') canvas.arc(widthMm / 2, heightMm / 2, widthMm / 2, 0, 2 * Math.PI, false);
  else canvas.rect(0, 0, widthMm, heightMm);
}

function choose(id: string, { withOthers }: { withOthers: boolean }): void {
  if (props.placing) return;
  if (withOthers) {
    plan.select(isChosen(id) ? plan.selection.filter((each) => each !== id) : [...plan.selection, id]);
  } else if (!isChosen(id)) {
    plan.select([id]);
  }
}

/** A dragged item carries the others that are chosen with it when it is let go. */
function dropped(id: string, by: Place): void {
  const ids = isChosen(id) ? plan.selection : [id];
  if (by.x !== 0 || by.y !== 0) plan.edit((now) => moveItems(now, ids, by.x, by.y));
}

function pointed(): Place | null {
  const at = stage.value?.getNode().getPointerPosition();
  return at ? { x: (at.x - origin.value.x) / scale.value, y: (at.y - origin.value.y) / scale.value } : null;
}
function pressed(): void {
  const at = pointed();
  if (props.placing && at) emit('place', broughtOnto(props.support, at));
  else plan.select([]);
}

/** What can be pulled of what is chosen; of nothing, the seam of a split base. */
const handles = computed<Handle[]>(() =>
  chosen.value
    ? itemHandles(chosen.value, props.support, (item) => (draft.value = item))
    : seamHandles(plan.body.base, seamDraft.value, props.support, (seam) => (seamDraft.value = seam)),
);

function pulled(handle: Handle, event: KonvaDrag): void {
  event.cancelBubble = true;
  handle.drag(event.target.position());
}

function letGo(event: KonvaDrag): void {
  event.cancelBubble = true;
  const [item, seam] = [draft.value, seamDraft.value];
  draft.value = null;
  seamDraft.value = null;
  if (item) plan.edit((now) => replaceItem(now, item));
  else if (seam) plan.edit((now) => (now.base ? { ...now, base: { ...now.base, seam } } : now));
}
</script>

<template>
  <div ref="frame" class="frame" :class="{ placing }">
    <Stage
      v-if="width > 0 && height > 0"
      ref="stage"
      :config="{ width, height }"
      @click="pressed"
      @tap="pressed"
    >
      <Layer :config="{ ...origin, scaleX: scale, scaleY: scale }">
        <Line
          v-for="tick in ticks"
          :key="tick.join(' ')"
          :config="{ points: tick, stroke: appearance.palette.edge, strokeWidth: px(1), listening: false }"
        />
        <Group :config="{ clipFunc: clip }">
          <Rect
            :config="{
              width: support.widthMm,
              height: support.heightMm,
              fill: appearance.palette.bench,
              listening: false,
            }"
          />
          <Line
            v-for="(area, index) in areas"
            :key="index"
            :config="{ points: flat(area.outline), closed: true, fill: area.colorHex, listening: false }"
          />
          <MovableItem
            v-for="path in plan.body.paths"
            :key="path.id"
            :fixed="placing"
            @choose="choose(path.id, $event)"
            @drop="dropped(path.id, $event)"
          >
            <PathShape :path="shown(path)" :context="context" :chosen="isChosen(path.id)" :px="px(1)" />
          </MovableItem>
          <MovableItem
            v-for="stack in plan.body.stacks"
            :key="stack.id"
            :fixed="placing"
            @choose="choose(stack.id, $event)"
            @drop="dropped(stack.id, $event)"
          >
            <StackShape :stack="shown(stack)" :context="context" :chosen="isChosen(stack.id)" :px="px(1)" />
          </MovableItem>
        </Group>
        <Line
          v-if="support.shape === 'rectangle'"
          :config="{
            points: [0, 0, support.widthMm, 0, support.widthMm, support.heightMm, 0, support.heightMm],
            closed: true,
            stroke: appearance.palette.ink,
            strokeWidth: px(1),
            listening: false,
          }"
        />
        <Circle
          v-else
          :config="{
            x: support.widthMm / 2,
            y: support.heightMm / 2,
            radius: support.widthMm / 2,
            stroke: appearance.palette.ink,
            strokeWidth: px(1),
            listening: false,
          }"
        />
        <MovableItem
          v-for="(pass, index) in plan.body.passes"
          :key="pass.id"
          :fixed="placing"
          @choose="choose(pass.id, $event)"
          @drop="dropped(pass.id, $event)"
        >
          <PassShape
            :pass="shown(pass)"
            :number="index + 1"
            :context="context"
            :chosen="isChosen(pass.id)"
            :px="px(1)"
          />
        </MovableItem>
        <Circle
          v-for="handle in handles"
          :key="handle.name"
          :config="{
            ...handle.at,
            radius: px(HANDLE_PX),
            hitStrokeWidth: px(26),
            fill: appearance.palette.bench,
            stroke: appearance.palette.ink,
            strokeWidth: px(2),
            draggable: true,
          }"
          @mousedown="$event.cancelBubble = true"
          @touchstart="$event.cancelBubble = true"
          @click="$event.cancelBubble = true"
          @tap="$event.cancelBubble = true"
          @dragmove="pulled(handle, $event)"
          @dragend="letGo"
        />
      </Layer>
    </Stage>
  </div>
</template>

<style scoped>
.frame {
  position: relative;
  min-width: 0;
  min-height: 0;
  overflow: hidden;
  touch-action: none;
  background: var(--ice);
}

.placing {
  cursor: crosshair;
}
</style>
