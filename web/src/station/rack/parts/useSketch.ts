import type { Piece } from '@icy-ribbon/contract';
import type { LabelledFace } from '@icy-ribbon/core/picture/crop';
import type { MarkKind, Sketch, SketchGrid, SketchMark, SketchPoint } from '@icy-ribbon/core/piece/sketch';
import { useStorage } from '@vueuse/core';
import equal from 'fast-deep-equal';
import { computed, ref, toRaw } from 'vue';
import { usePiece } from '#store/piece/piece.ts';

const GRID_PX = 360;
export const USUAL_FILM_MM = 0.6;

/** The paint in hand. */
export type Brush = Pick<SketchMark, 'materialId' | 'name' | 'colorHex'>;

const emptySketch = (name: string): Sketch => ({
  sketchId: crypto.randomUUID(),
  name,
  filmMm: USUAL_FILM_MM,
  marks: [],
  chosen: false,
});

/** A mark is kept with no more points than its form needs. */
const MOST_POINTS = 200;
const thinned = (points: readonly SketchPoint[]): SketchPoint[] => {
  const every = Math.max(1, Math.ceil(points.length / MOST_POINTS));
  return points.filter((_, index) => index % every === 0 || index === points.length - 1);
};

/** The try that is drawn: kept on this device with each mark, in the record when it is kept. */
export function useSketch(piece: Piece) {
  const store = usePiece();
  const tries = computed(() => store.care.sketches);
  const draft = useStorage<Sketch>(
    `icy-ribbon.sketch.${piece.id}`,
    tries.value.at(-1) ?? emptySketch('First try'),
  );
  const undone = ref<SketchMark[]>([]);

  function add(
    kind: MarkKind,
    points: readonly SketchPoint[],
    brush: Brush,
    more: Pick<SketchMark, 'widthMm' | 'onlyOn'>,
  ): void {
    const least = kind === 'stroke' ? 1 : kind === 'petal' ? 2 : 3;
    if (points.length < least) return;
    const mark = { id: crypto.randomUUID(), kind, ...brush, ...more, points: thinned(points) };
    draft.value = { ...draft.value, marks: [...draft.value.marks, mark] };
    undone.value = [];
  }

  const rename = (name: string) => (draft.value = { ...draft.value, name });
  const setFilm = (mm: number | null) => (draft.value = { ...draft.value, filmMm: mm ?? 0 });

  function undo(): void {
    const last = draft.value.marks.at(-1);
    if (!last) return;
    undone.value = [...undone.value, last];
    draft.value = { ...draft.value, marks: draft.value.marks.slice(0, -1) };
  }

  function redo(): void {
    const last = undone.value.at(-1);
    if (!last) return;
    undone.value = undone.value.slice(0, -1);
    draft.value = { ...draft.value, marks: [...draft.value.marks, last] };
  }

  const isKept = computed(() => {
    const kept = tries.value.find(({ sketchId }) => sketchId === draft.value.sketchId);
    return kept ? equal(toRaw(kept), toRaw(draft.value)) : draft.value.marks.length === 0;
  });

  async function keep(chosen = draft.value.chosen): Promise<void> {
    draft.value = { ...draft.value, chosen };
    await store.noteCare('sketch', JSON.parse(JSON.stringify(draft.value)) as Sketch);
  }

  /** One is chosen, the others are not any more. */
  async function choose(): Promise<void> {
    for (const other of tries.value) {
      if (other.chosen && other.sketchId !== draft.value.sketchId) {
        await store.noteCare('sketch', { ...other, chosen: false });
      }
    }
    await keep(true);
  }

  async function begin(): Promise<void> {
    if (!isKept.value) await keep();
    draft.value = emptySketch(`Try ${tries.value.length + 1}`);
  }

  async function take(sketch: Sketch): Promise<void> {
    if (!isKept.value) await keep();
    draft.value = sketch;
  }

  async function throwAway(): Promise<void> {
    const { sketchId } = draft.value;
    if (tries.value.some((each) => each.sketchId === sketchId)) {
      await store.noteCare('sketch', { ...draft.value, marks: [], chosen: false });
    }
    draft.value = tries.value.at(-1) ?? emptySketch('First try');
  }

  return {
    tries,
    draft,
    undone,
    add,
    rename,
    setFilm,
    undo,
    redo,
    isKept,
    keep,
    choose,
    begin,
    take,
    throwAway,
  };
}

/** What a sketch is measured on: the colors of a measured photo where there is one. */
export function gridOf(
  { support }: Pick<Piece, 'support'>,
  glance: LabelledFace | null,
  names: readonly string[],
): SketchGrid {
  const { widthMm, heightMm, shape } = support;
  if (glance) {
    const { width, height, pxPerMm, labels } = glance;
    return { width, height, pxPerMm, shape, labels, names };
  }
  const pxPerMm = GRID_PX / Math.max(widthMm, heightMm);
  return {
    width: Math.max(1, Math.round(widthMm * pxPerMm)),
    height: Math.max(1, Math.round(heightMm * pxPerMm)),
    pxPerMm,
    shape,
  };
}
