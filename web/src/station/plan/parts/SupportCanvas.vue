<script setup lang="ts">
import {
  bentThrough,
  curveMiddle,
  distanceMm,
  held,
  isPass,
  isPath,
  isStack,
  moveItems,
  type Place,
  type PlanItem,
  type Seam,
} from '@icy-ribbon/core/piece/plan';
import { bearingOf } from '@icy-ribbon/core/flow/air';
import type { SupportSize } from '@icy-ribbon/core/piece/support';
import { useElementSize, useEventListener } from '@vueuse/core';
import type Konva from 'konva';
import { computed, ref, shallowRef } from 'vue';
import { Circle, Group, Layer, Line, Rect, Stage } from 'vue-konva';
import { baseShapes, type PlanContext } from '../../../drawing/plan.ts';
import { useAppearance } from '../../../store/appearance.ts';
import { usePlan } from '../../../store/plan/plan.ts';
import PassShape from './PassShape.vue';
import PathShape from './PathShape.vue';
import StackShape from './StackShape.vue';

/** The support from above, to scale: what is laid and blown can be taken hold of, bent and moved. */
const props = defineProps<{ support: SupportSize; placing: boolean }>();
const emit = defineEmits<{ place: [at: Place] }>();

const plan = usePlan();
const appearance = useAppearance();
const frame = ref<HTMLElement | null>(null);
const { width, height } = useElementSize(frame);
const zoom = ref(1);
const pan = ref<Place>({ x: 0, y: 0 });
/** An item while one of its handles is dragged; kept to the plan when it is let go. */
const draft = shallowRef<PlanItem | null>(null);
const seamDraft = shallowRef<Seam | null>(null);

const MARGIN_PX = 18;
const MOST_ZOOM = 8;
const HANDLE_PX = 9;

const fit = computed(() =>
  Math.max(
    0.05,
    Math.min(
      (width.value - 2 * MARGIN_PX) / props.support.widthMm,
      (height.value - 2 * MARGIN_PX) / props.support.heightMm,
    ),
  ),
);
const scale = computed(() => fit.value * zoom.value);
const origin = computed<Place>(() => ({
  x: (width.value - props.support.widthMm * scale.value) / 2 + pan.value.x,
  y: (height.value - props.support.heightMm * scale.value) / 2 + pan.value.y,
}));
/** Millimeters of a line or handle that shall be so many pixels. */
const px = (pixels: number) => pixels / scale.value;

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

interface KonvaDrag {
  readonly target: Konva.Node;
  readonly evt: { readonly shiftKey?: boolean };
  cancelBubble: boolean;
}

function choose(id: string, event: KonvaDrag): void {
  event.cancelBubble = true;
  if (props.placing) return;
  if (event.evt.shiftKey) {
    plan.select(isChosen(id) ? plan.selection.filter((each) => each !== id) : [...plan.selection, id]);
  } else if (!isChosen(id)) {
    plan.select([id]);
  }
}

/** A dragged item carries the others that are chosen with it when it is let go. */
function dropped(id: string, event: KonvaDrag): void {
  if (event.target.name() !== 'item') return;
  const { x, y } = event.target.position();
  event.target.position({ x: 0, y: 0 });
  const ids = isChosen(id) ? plan.selection : [id];
  if (x !== 0 || y !== 0) plan.edit((now) => moveItems(now, ids, x, y));
}

function pointed(): Place | null {
  const at = stage.value?.getNode().getPointerPosition();
  return at ? { x: (at.x - origin.value.x) / scale.value, y: (at.y - origin.value.y) / scale.value } : null;
}
const stage = ref<{ getNode(): Konva.Stage } | null>(null);

function pressed(): void {
  const at = pointed();
  if (props.placing && at) emit('place', held(props.support, at));
  else plan.select([]);
}

interface Handle {
  readonly name: string;
  readonly at: Place;
  readonly drag: (to: Place) => void;
}

/** What can be pulled of the chosen item: ends and bend of a line, direction of a pass, size of a flower. */
const handles = computed<Handle[]>(() => {
  const item = chosen.value;
  if (!item) return seamHandles();
  if (isPath(item)) {
    return curveHandles(item, (bent) => (draft.value = { ...item, ...bent }));
  }
  if (isStack(item)) {
    return [
      {
        name: 'size',
        at: { x: item.at.x + item.footprintMm / 2, y: item.at.y },
        drag: (to) =>
          (draft.value = { ...item, footprintMm: Math.max(5, Math.round(2 * distanceMm(item.at, to))) }),
      },
    ];
  }
  const angle = (item.directionDeg * Math.PI) / 180;
  const length = Math.max(40, 0.2 * props.support.widthMm);
  return [
    {
      name: 'direction',
      at: { x: item.at.x + length * Math.sin(angle), y: item.at.y - length * Math.cos(angle) },
      drag: (to) =>
        (draft.value = {
          ...item,
          directionDeg: Math.round(bearingOf(to.x - item.at.x, to.y - item.at.y)) % 360,
        }),
    },
  ];
});

function curveHandles(curve: Seam, take: (bent: Seam) => void): Handle[] {
  const { start, control, end } = curve;
  return [
    { name: 'start', at: start, drag: (to) => take({ start: to, control, end }) },
    {
      name: 'bend',
      at: curveMiddle(curve),
      drag: (to) => take({ start, control: bentThrough({ start, end }, to), end }),
    },
    { name: 'end', at: end, drag: (to) => take({ start, control, end: to }) },
  ];
}

function seamHandles(): Handle[] {
  const { base } = plan.body;
  if (base?.pattern !== 'split' || !base.seam) return [];
  const seam = seamDraft.value ?? base.seam;
  return curveHandles(seam, (bent) => {
    seamDraft.value = {
      start: held(props.support, bent.start),
      control: bent.control,
      end: held(props.support, bent.end),
    };
  });
}

function pulled(handle: Handle, event: KonvaDrag): void {
  event.cancelBubble = true;
  handle.drag(event.target.position());
}

function letGo(event: KonvaDrag): void {
  event.cancelBubble = true;
  const item = draft.value;
  const seam = seamDraft.value;
  draft.value = null;
  seamDraft.value = null;
  if (item) {
    plan.edit((now) => ({
      ...now,
      stacks: now.stacks.map((each) => (each.id === item.id && isStack(item) ? item : each)),
      paths: now.paths.map((each) => (each.id === item.id && isPath(item) ? item : each)),
      passes: now.passes.map((each) => (each.id === item.id && isPass(item) ? item : each)),
    }));
  } else if (seam) {
    plan.edit((now) => (now.base ? { ...now, base: { ...now.base, seam } } : now));
  }
}

function zoomTo(next: number, around?: Place): void {
  const limited = Math.min(MOST_ZOOM, Math.max(1, next));
  const middle = around ?? { x: width.value / 2, y: height.value / 2 };
  const grow = limited / zoom.value;
  const at = origin.value;
  zoom.value = limited;
  if (limited === 1) {
    pan.value = { x: 0, y: 0 };
    return;
  }
  const wanted = { x: middle.x - (middle.x - at.x) * grow, y: middle.y - (middle.y - at.y) * grow };
  pan.value = {
    x: pan.value.x + wanted.x - origin.value.x,
    y: pan.value.y + wanted.y - origin.value.y,
  };
}
defineExpose({ zoomBy: (factor: number) => zoomTo(zoom.value * factor), fitAll: () => zoomTo(1) });

useEventListener(
  frame,
  'wheel',
  (event: WheelEvent) => {
    event.preventDefault();
    const box = frame.value!.getBoundingClientRect();
    zoomTo(zoom.value * Math.exp(-event.deltaY / 400), {
      x: event.clientX - box.left,
      y: event.clientY - box.top,
    });
  },
  { passive: false },
);

/** Two fingers: their distance zooms, their middle is where. */
const fingers = { apart: 0, zoom: 1 };
function touched(event: TouchEvent): void {
  const [one, two] = event.touches;
  if (!one || !two) {
    fingers.apart = 0;
    return;
  }
  event.preventDefault();
  const apart = Math.hypot(one.clientX - two.clientX, one.clientY - two.clientY);
  if (fingers.apart === 0) {
    fingers.apart = apart;
    fingers.zoom = zoom.value;
    stage.value?.getNode().stopDrag();
    return;
  }
  const box = frame.value!.getBoundingClientRect();
  zoomTo((fingers.zoom * apart) / fingers.apart, {
    x: (one.clientX + two.clientX) / 2 - box.left,
    y: (one.clientY + two.clientY) / 2 - box.top,
  });
}
useEventListener(frame, 'touchmove', touched, { passive: false });
useEventListener(frame, 'touchend', () => (fingers.apart = 0));

const movingView = computed(() => zoom.value > 1 && !props.placing);
function viewMoved(event: KonvaDrag): void {
  const node = stage.value?.getNode();
  if (!node || event.target !== (node as unknown as Konva.Node)) return;
  const { x, y } = node.position();
  node.position({ x: 0, y: 0 });
  pan.value = { x: pan.value.x + x, y: pan.value.y + y };
}
</script>

<template>
  <div ref="frame" class="frame" :class="{ placing }">
    <Stage
      v-if="width > 0 && height > 0"
      ref="stage"
      :config="{ width, height, draggable: movingView }"
      @click="pressed"
      @tap="pressed"
      @dragend="viewMoved"
    >
      <Layer :config="{ ...origin, scaleX: scale, scaleY: scale }">
        <Group :config="{ clipFunc: clip }">
          <Rect
            :config="{
              width: support.widthMm,
              height: support.heightMm,
              fill: appearance.palette.ice,
              listening: false,
            }"
          />
          <Line
            v-for="(area, index) in areas"
            :key="index"
            :config="{ points: flat(area.outline), closed: true, fill: area.colorHex, listening: false }"
          />
          <Group
            v-for="path in plan.body.paths"
            :key="path.id"
            :config="{ name: 'item', draggable: !placing }"
            @mousedown="choose(path.id, $event)"
            @touchstart="choose(path.id, $event)"
            @click="$event.cancelBubble = !placing"
            @tap="$event.cancelBubble = !placing"
            @dragend="dropped(path.id, $event)"
          >
            <PathShape :path="shown(path)" :context="context" :chosen="isChosen(path.id)" :px="px(1)" />
          </Group>
          <Group
            v-for="stack in plan.body.stacks"
            :key="stack.id"
            :config="{ name: 'item', draggable: !placing }"
            @mousedown="choose(stack.id, $event)"
            @touchstart="choose(stack.id, $event)"
            @click="$event.cancelBubble = !placing"
            @tap="$event.cancelBubble = !placing"
            @dragend="dropped(stack.id, $event)"
          >
            <StackShape :stack="shown(stack)" :context="context" :chosen="isChosen(stack.id)" :px="px(1)" />
          </Group>
        </Group>
        <Line
          v-if="support.shape === 'rectangle'"
          :config="{
            points: [0, 0, support.widthMm, 0, support.widthMm, support.heightMm, 0, support.heightMm],
            closed: true,
            stroke: appearance.palette.inkSoft,
            strokeWidth: px(1.5),
            listening: false,
          }"
        />
        <Circle
          v-else
          :config="{
            x: support.widthMm / 2,
            y: support.heightMm / 2,
            radius: support.widthMm / 2,
            stroke: appearance.palette.inkSoft,
            strokeWidth: px(1.5),
            listening: false,
          }"
        />
        <Group
          v-for="(pass, index) in plan.body.passes"
          :key="pass.id"
          :config="{ name: 'item', draggable: !placing }"
          @mousedown="choose(pass.id, $event)"
          @touchstart="choose(pass.id, $event)"
          @click="$event.cancelBubble = !placing"
          @tap="$event.cancelBubble = !placing"
          @dragend="dropped(pass.id, $event)"
        >
          <PassShape
            :pass="shown(pass)"
            :number="index + 1"
            :context="context"
            :chosen="isChosen(pass.id)"
            :px="px(1)"
          />
        </Group>
        <Circle
          v-for="handle in handles"
          :key="handle.name"
          :config="{
            ...handle.at,
            radius: px(HANDLE_PX),
            hitStrokeWidth: px(26),
            fill: appearance.palette.brass,
            stroke: appearance.palette.bench,
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
}

.placing {
  cursor: crosshair;
}
</style>
