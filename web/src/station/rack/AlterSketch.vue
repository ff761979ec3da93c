<script setup lang="ts">
import { api, type PlannedCup } from '@icy-ribbon/contract';
import { InputError } from '@icy-ribbon/core/base/error';
import { speakingPhoto } from '@icy-ribbon/core/judgement/outcome';
import { moveCorners } from '@icy-ribbon/core/picture';
import type { LabelledFace } from '@icy-ribbon/core/picture/crop';
import { fittingPaints, recipesFor } from '@icy-ribbon/core/paint/recipe';
import { sketchAmounts, sketchPlan, type MarkKind, type SketchPoint } from '@icy-ribbon/core/piece/sketch';
import { useElementSize } from '@vueuse/core';
import { Button, Input } from 'ant-design-vue';
import { computed, onMounted, ref, shallowRef, useTemplateRef, watch } from 'vue';
import { useRouter } from 'vue-router';
import { call } from '../../api/client.ts';
import ColorDot from '../../drawing/ColorDot.vue';
import HungPhoto from '../../drawing/HungPhoto.vue';
import BareSelect from '../../field/BareSelect.vue';
import PlanPicture from '../../field/PlanPicture.vue';
import QuantityField from '../../field/QuantityField.vue';
import { say } from '../../notice/notices.ts';
import { attempt } from '../../notice/useTask.ts';
import { useShortcuts } from '../../shortcut/shortcuts.ts';
import { usePiece } from '../../store/piece/piece.ts';
import { useRecipes } from '../../store/recipes.ts';
import { useShelf } from '../../store/shelf.ts';
import { useUnits } from '../../store/units.ts';
import { photoWorker } from '../../worker/photo.ts';
import { useMeasures } from '../../words/useMeasures.ts';
import SketchOverlay from './parts/SketchOverlay.vue';
import SketchTools from './parts/SketchTools.vue';
import { useNewFrom } from './parts/useNewFrom.ts';
import { colorMasks, gridOf, useSketch, type Brush } from './parts/useSketch.ts';

/** The change of a dry piece drawn over its own photo: the cups are the brushes, grams follow from the areas. */
const props = defineProps<{ pieceId: string }>();

const store = usePiece();
const shelf = useShelf();
const recipes = useRecipes();
const units = useUnits();
const measures = useMeasures();
const router = useRouter();
const newFrom = useNewFrom();
const sketch = useSketch(store.piece!);
onMounted(() => attempt(() => Promise.all([shelf.ensure(), recipes.ensure()])));

const photo = computed(() => {
  const speaks = store.piece && speakingPhoto(store.piece.photos);
  return speaks && { ...speaks, corners: speaks.measurement?.corners ?? null };
});
const colors = computed(() => photo.value?.measurement?.palette.map(({ name }) => name) ?? []);
const glance = shallowRef<LabelledFace | null>(null);
const masks = shallowRef<ReadonlyMap<string, string>>(new Map());
watch(
  () => photo.value?.id,
  () =>
    attempt(async () => {
      const measurement = photo.value?.measurement;
      if (!measurement || !store.piece) return;
      const { widthMm, heightMm } = store.piece.support;
      glance.value = await photoWorker().glance(`/api/photos/${photo.value!.id}/image`, {
        corners: moveCorners(measurement.corners),
        palette: measurement.palette.map(({ name, hex }) => ({ name, hex })),
        base: measurement.base,
        ...{ widthMm, heightMm },
      });
      masks.value = colorMasks(glance.value, colors.value);
    }),
  { immediate: true },
);

/** What the paints are mixed by: the first recipe for colors of the technique. */
const recipe = computed(() => recipesFor(recipes.all, store.piece?.technique ?? 'dutch', 'color')[0]);
const brushes = computed(() => {
  const inCups = new Map(
    store.cups.map(({ mix, state }) => [
      mix.ingredients.find(({ role }) => role === 'paint')?.material.materialId,
      state.leftMg,
    ]),
  );
  return fittingPaints(recipe.value, 'color', shelf.materials)
    .map(({ id, name, colorHex, densityGPerMl }) => ({
      ...{ materialId: id, name, colorHex, densityGPerMl },
      leftMg: inCups.get(id) ?? 0,
    }))
    .sort((a, b) => b.leftMg - a.leftMg);
});
const brushId = ref<string>('');
const brush = computed(
  () => brushes.value.find(({ materialId }) => materialId === brushId.value) ?? brushes.value[0],
);
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
function end(): void {
  if (brush.value) sketch.add(kind.value, line.value, inHand(brush.value), how());
  line.value = [];
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

const USUAL_DENSITY = 1.15;
const densityOf = (materialId: string) =>
  brushes.value.find((each) => each.materialId === materialId)?.densityGPerMl ?? USUAL_DENSITY;
const grid = computed(() => gridOf(store.piece!, glance.value, colors.value));
const amounts = computed(() => {
  try {
    return { list: sketchAmounts(sketch.draft.value, grid.value, densityOf), wrong: '' };
  } catch (error) {
    if (error instanceof InputError) return { list: [], wrong: error.message };
    throw error;
  }
});
const held = (materialId: string) =>
  brushes.value.find((each) => each.materialId === materialId)?.leftMg ?? 0;

function setFilm(mm: number | null): void {
  sketch.draft.value = { ...sketch.draft.value, filmMm: mm ?? 0 };
}

const keep = () =>
  attempt(async () => {
    await sketch.keep();
    say(`"${sketch.draft.value.name}" is kept.`);
  });

/** The chosen try becomes a piece of its own with a plan; this one stays as its parent. */
const makePlan = () =>
  attempt(async () => {
    const { piece } = store;
    if (!piece || !recipe.value) return;
    await sketch.choose();
    const planned: PlannedCup[] = amounts.value.list.map(({ materialId, name }) => ({
      ...{ id: crypto.randomUUID(), name, role: 'color', recipeId: recipe.value!.id },
      ...{ variant: null, paintId: materialId, blend: null },
    }));
    const idOf = new Map(planned.map(({ id, paintId }) => [paintId, id]));
    const plan = sketchPlan(sketch.draft.value, grid.value, {
      paintIdOf: (materialId) => idOf.get(materialId)!,
      densityOf,
      makeId: () => crypto.randomUUID(),
    });
    const child = await newFrom.start(piece, {
      name: `${piece.name}, altered`,
      technique: piece.technique,
      how: 'alter',
    });
    await call(api.plans.put, {
      params: { pieceId: child.id },
      body: { ...plan, planned, ticked: [], version: 0 } as never,
    });
    await router.push(`/plan/${child.id}`);
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
      <div class="brushes" role="group" aria-label="Paint in hand">
        <button
          v-for="each in brushes"
          :key="each.materialId"
          type="button"
          class="plain-button"
          :aria-pressed="brush?.materialId === each.materialId"
          @click="brushId = each.materialId"
        >
          <ColorDot :color="each.colorHex" />
          <span>{{ each.name }}</span>
          <span v-if="each.leftMg > 0" class="soft">{{ units.show('mass', each.leftMg) }} in the cup</span>
        </button>
      </div>
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
          @update:model-value="setFilm"
        />
      </div>
      <label v-if="colors.length > 0" class="mask">
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
      <table v-else-if="amounts.list.length > 0" class="rows">
        <tbody>
          <tr v-for="each in amounts.list" :key="each.materialId">
            <th scope="row"><ColorDot :color="each.colorHex" inline /> {{ each.name }}</th>
            <td class="number">{{ measures.area(each.areaMm2 / 100) }}</td>
            <td class="number">
              <strong>{{ units.show('mass', 1000 * each.massG) }}</strong>
              <span v-if="held(each.materialId) >= 1000 * each.massG" class="soft"> in its cup</span>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-else class="soft">
        Choose a paint and draw. Do not cover too much at once; sleep on it before it is done.
      </p>
      <div class="tries" role="group" aria-label="Tries">
        <Input
          :value="sketch.draft.value.name"
          aria-label="Name of the try"
          @update:value="sketch.draft.value = { ...sketch.draft.value, name: $event }"
        />
        <div class="row">
          <Button :disabled="sketch.isKept.value" @click="keep">
            {{ sketch.isKept.value ? 'Kept' : 'Keep this try' }}
          </Button>
          <Button @click="attempt(sketch.begin)">One more try</Button>
          <Button type="text" @click="attempt(sketch.throwAway)">Throw it away</Button>
        </div>
        <button
          v-for="each in sketch.tries.value"
          :key="each.sketchId"
          type="button"
          class="plain-button try"
          :aria-pressed="each.sketchId === sketch.draft.value.sketchId"
          @click="attempt(() => sketch.take(each))"
        >
          <span class="small">
            <HungPhoto v-if="photo" :photo="photo" :support="store.piece.support" :width="72" alt="" />
            <SketchOverlay :support="store.piece.support" :marks="each.marks" :masks="masks" />
          </span>
          {{ each.name }}{{ each.chosen ? ', chosen' : '' }}
        </button>
      </div>
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

.brushes {
  display: grid;
  grid-template-columns: 1fr 1fr;
  max-height: 176px;
  overflow: auto;
  border-top: 1px solid var(--rule);
  border-bottom: 1px solid var(--rule);
}

.brushes button {
  display: flex;
  flex-wrap: wrap;
  gap: 0 8px;
  align-items: center;
  min-height: 40px;
  padding: 4px 8px;
  font-size: var(--type-note);
}

.brushes button[aria-pressed='true'],
.try[aria-pressed='true'] {
  font-weight: var(--weight-strong);
  background: var(--ice);
  box-shadow: inset 4px 0 0 var(--water);
}

.mask,
.tries {
  display: grid;
  gap: 4px;
}

.tries {
  gap: 8px;
}

.try {
  display: flex;
  gap: 12px;
  align-items: center;
  padding: 4px 8px;
}

.small {
  position: relative;
  width: 72px;
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
