import { speakingPhoto } from '@icy-ribbon/core/judgement/outcome';
import { moveCorners } from '@icy-ribbon/core/picture';
import type { LabelledFace } from '@icy-ribbon/core/picture/crop';
import { computed, shallowRef, watch } from 'vue';
import { attempt } from '#notice/useTask.ts';
import { usePiece } from '#store/piece/piece.ts';
import { photoWorker } from '#worker/workers.ts';
import { colorMasks } from './colorMasks.ts';

/** The photo that speaks for the piece in hand, and where each measured color is seen on it. */
export function useGlance() {
  const store = usePiece();
  const photo = computed(() => {
    const speaks = store.piece && speakingPhoto(store.piece.photos);
    return speaks && { ...speaks, corners: speaks.measurement?.corners ?? null };
  });
  /** Names of the measured colors; none before it is measured. */
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
  return { photo, colors, glance, masks };
}
