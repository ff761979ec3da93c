<script setup lang="ts">
import { InputError } from '@icy-ribbon/core/base/error';
import { sketchAmounts, type MarkKind, type SketchPoint } from '@icy-ribbon/core/piece/sketch';
import { useElementSize } from '@vueuse/core';
import { Button } from 'ant-design-vue';
import { computed, ref, shallowRef, useTemplateRef } from 'vue';
import { useRouter } from 'vue-router';
import HungPhoto from '#drawing/HungPhoto.vue';
import BareSelect from '#field/BareSelect.vue';
import PlanPicture from '#field/PlanPicture.vue';
import QuantityField from '#field/QuantityField.vue';
import { say } from '#notice/notices.ts';
import { attempt } from '#notice/useTask.ts';
import { useShortcuts } from '#shortcut/shortcuts.ts';
import { usePiece } from '#store/piece/piece.ts';
import { pieceOfSketch } from './parts/pieceOfSketch.ts';
import SketchAmounts from './parts/SketchAmounts.vue';
import SketchBrushes from './parts/SketchBrushes.vue';
import SketchOverlay from './parts/SketchOverlay.vue';
import SketchTools from './parts/SketchTools.vue';
import SketchTries from './parts/SketchTries.vue';
import { useBrushes } from './parts/useBrushes.ts';
import { useGlance } from './parts/useGlance.ts';
import { useNewFrom } from './parts/useNewFrom.ts';
import { gridOf, useSketch, type Brush } from './parts/useSketch.ts';

/** The change of a dry piece drawn over its own photo: the cups are the brushes, grams follow from the areas. */
const props = defineProps<{ pieceId: string }>();

const store = usePiece();
const router = useRouter();
const newFrom = useNewFrom();
const sketch = useSketch(store.piece!);
const { photo, colors, glance, masks } = useGlance();
const { shelved, recipe, brushes, chosenId, brush, densityOf, heldMg } = useBrushes();

const kind = ref<MarkKind>('stroke');
const widthMm = ref<number | null>(20);
const onlyOn = ref('');

const bench = useTemplateRef<HTMLElement>('bench');
const { width: roomX, height: roomY } = useElementSize(bench);
const width = computed(() => {
  const support = store.piece!.support;
  return Math.max(200, Math.min(roomX.value, (roomY.value * support.widthMm) / support.heightMm));
});

/** The line that is being drawn, mm. */
const line = shallowRef<SketchPoint[]>([]);
function placeOf(event: PointerEvent): SketchPoint {
  const box = (event.currentTarget as HTMLElement).getBoundingClientRect();
  const support = store.piece!.support;
  return [
    Math.round(((event.clientX - box.left) / box.width) * support.widthMm * 10) / 10,
    Math.round(((event.clientY - box.top) / box.height) * support.heightMm * 10) / 10,
  ];
}
function begin(event: PointerEvent): void {
  if (event.button !== 0) return;
  (event.currentTarget as Element).setPointerCapture(event.pointerId);
  line.value = [placeOf(event)];
}
function draw(event: PointerEvent): void {
  if (line.value.length > 0) line.value = [...line.value, placeOf(event)];
}
async function end(): Promise<void> {
  const drawn = { kind: kind.value, points: line.value, how: how() };
  line.value = [];
  // What is drawn before the paints have been read waits for them.
  await shelved;
  if (brush.value) sketch.add(drawn.kind, drawn.points, inHand(brush.value), drawn.how);
  else say("There's no paint on the shelf yet. Add one, then draw again.");
}
const inHand = ({ materialId, name, colorHex }: Brush): Brush => ({ materialId, name, colorHex });
const how = () => ({ widthMm: widthMm.value ?? 20, onlyOn: onlyOn.value === '' ? null : onlyOn.value });
const shown = computed(() =>
  line.value.length > 0 && brush.value
    ? [
        ...sketch.draft.value.marks,
        { id: 'drawn', kind: kind.value, ...inHand(brush.value), ...how(), points: line.value },
      ]
    : sketch.draft.value.marks,
);

const grid = computed(() => gridOf(store.piece!, glance.value, colors.value));
const amounts = computed(() => {
  try {
    return { list: sketchAmounts(sketch.draft.value, grid.value, densityOf), wrong: '' };
  } catch (error) {
    if (error instanceof InputError) return { list: [], wrong: error.message };
    throw error;
  }
});

/** The chosen try becomes a piece of its own with a plan; this one stays as its parent. */
const makePlan = () =>
  attempt(async () => {
    if (!store.piece || !recipe.value) return;
    await sketch.choose();
    const id = await pieceOfSketch(store.piece, sketch.draft.value, grid.value, {
      recipeId: recipe.value.id,
      densityOf,
      start: newFrom.start,
    });
    await router.push(`/plan/${id}`);
  });

useShortcuts('Sketch', [
  { keys: ['z'], shown: 'Z', does: 'Take the last mark back', run: sketch.undo },
  { keys: ['Z'], shown: 'Shift Z', does: 'Lay it again', run: sketch.redo },
]);
</script>

<template>
  <main v-if="store.piece" class="sketch">
    <SketchTools v-model="kind" />
    <div ref="bench" class="bench">
      <div
        class="face"
        :style="{ width: `${width}px` }"
        role="application"
        aria-label="The photo: draw on it"
        @pointerdown="begin"
        @pointermove="draw"
        @pointerup="end"
        @pointercancel="line = []"
      >
        <HungPhoto
          v-if="photo"
          :photo="photo"
          :support="store.piece.support"
          :width="width"
          large
          :alt="store.piece.name"
        />
        <PlanPicture
          v-else
          :piece-id="store.piece.id"
          :version="store.piece.version"
          :width="width"
          :alt="store.piece.name"
        />
        <SketchOverlay :support="store.piece.support" :marks="shown" :masks="masks" />
      </div>
    </div>
    <aside>
      <header>
        <h1>Change of {{ store.piece.name }}</h1>
        <RouterLink :to="`/rack/${props.pieceId}?view=decide`">Back</RouterLink>
      </header>
      <SketchBrushes :brushes="brushes" :in-hand-id="brush?.materialId" @take="chosenId = $event" />
      <div class="row">
        <QuantityField
          v-model="widthMm"
          label="Width of the brush"
          quantity="length"
          :disabled="kind !== 'stroke'"
        />
        <QuantityField
          :model-value="sketch.draft.value.filmMm"
          label="Film of the change"
          quantity="depth"
          @update:model-value="sketch.setFilm"
        />
      </div>
      <label v-if="colors.length > 0" class="mask stacked gap-4">
        <span class="label">It lies</span>
        <BareSelect
          v-model:value="onlyOn"
          label="Where it lies"
          :options="[
            { value: '', label: 'anywhere' },
            ...colors.map((name) => ({
              value: name,
              label: name === photo?.measurement?.base ? `only on the base, ${name}` : `only on ${name}`,
            })),
          ]"
        />
      </label>
      <div class="row">
        <Button :disabled="sketch.draft.value.marks.length === 0" @click="sketch.undo">Take back</Button>
        <Button :disabled="sketch.undone.value.length === 0" @click="sketch.redo">Lay again</Button>
      </div>
      <p v-if="amounts.wrong" class="alarm" role="alert">{{ amounts.wrong }}</p>
      <SketchAmounts v-else :amounts="amounts.list" :held-mg="heldMg" />
      <SketchTries :sketch="sketch" :support="store.piece.support" :photo="photo" :masks="masks" />
      <Button
        type="primary"
        :disabled="sketch.draft.value.marks.length === 0 || amounts.wrong !== ''"
        @click="makePlan"
      >
        Choose it and plan it
      </Button>
    </aside>
  </main>
</template>

<style scoped>
.sketch {
  display: grid;
  grid-template-columns: 48px minmax(0, 1fr) 340px;
  height: 100%;
}

.bench {
  display: grid;
  place-items: center;
  min-height: 0;
  overflow: hidden;
  background: var(--ice);
}

.face {
  position: relative;
  cursor: crosshair;
  touch-action: none;
}

aside {
  display: grid;
  gap: 12px;
  align-content: start;
  padding: 16px 24px;
  overflow: auto;
  border-left: 1px solid var(--rule);
}

header,
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: end;
}

header {
  justify-content: space-between;
}

.row > * {
  flex: 1;
}

@media (width < 1000px) {
  .sketch {
    grid-template-columns: 48px minmax(0, 1fr);
    height: auto;
  }

  .bench {
    height: 60vh;
  }

  aside {
    grid-column: 1 / -1;
    border-left: 0;
  }
}
</style>
