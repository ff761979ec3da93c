import type { PhotoDetail } from '@icy-ribbon/contract';
import { api } from '@icy-ribbon/contract/addresses';
import { speakingPhoto } from '@icy-ribbon/core/judgement/outcome';
import { moveCorners } from '@icy-ribbon/core/picture';
import type { Crop, Part } from '@icy-ribbon/core/picture/crop';
import { useDebounceFn } from '@vueuse/core';
import { computed, ref, shallowRef, watch, type Ref } from 'vue';
import { call } from '#api/client.ts';
import { attempt } from '#notice/useTask.ts';
import { usePiece } from '#store/piece/piece.ts';
import { photoWorker } from '#worker/workers.ts';
import { cropRequest, cropSize, onFace, type MeasuredPhoto } from './cropRequest.ts';

const SETTLES_MS = 20;

/** The best parts of the piece in hand at a ratio, the one that is chosen or moved by hand, and its file. */
export function useCrops(ratio: Readonly<Ref<number>>) {
  const store = usePiece();
  const photo = computed(() => {
    const speaks = store.piece && speakingPhoto(store.piece.photos);
    return speaks?.measurement ? (speaks as MeasuredPhoto) : null;
  });
  const detail = shallowRef<PhotoDetail | null>(null);
  watch(
    () => photo.value?.id,
    (id) =>
      id &&
      attempt(async () => {
        detail.value = await call(api.photos.detail, { params: { id } });
      }),
    { immediate: true },
  );
  const request = computed(() =>
    photo.value && detail.value && store.piece ? cropRequest(photo.value, detail.value, store.piece) : null,
  );
  const url = computed(() => `/api/photos/${photo.value?.id}/image`);

  const crops = shallowRef<readonly Crop[]>([]);
  const tookMs = ref<number | null>(null);
  const chosen = shallowRef<Crop | null>(null);
  const busy = ref(false);
  const wrong = computed(() =>
    Number.isFinite(ratio.value) && ratio.value > 0
      ? ''
      : 'Both numbers of the ratio are above 0, like 4 to 5.',
  );

  watch(
    [request, ratio],
    async ([wanted, of]) => {
      if (!wanted || wrong.value) return;
      busy.value = true;
      await attempt(async () => {
        const found = await photoWorker().findCrops(url.value, wanted, of);
        // Another ratio was asked for meanwhile: its own answer is on its way.
        if (ratio.value !== of) return;
        crops.value = found.crops;
        tookMs.value = found.milliseconds;
        chosen.value = found.crops[0] ?? null;
      });
      busy.value = false;
    },
    { immediate: true },
  );

  /** What is moved by hand is judged as it goes; a judgement that comes too late is dropped. */
  const judge = useDebounceFn(async (part: Part) => {
    if (!request.value) return;
    const judged = await photoWorker().judgeCrop(url.value, request.value, part);
    if (chosen.value?.part === part) chosen.value = { ...judged, part };
  }, SETTLES_MS);
  function move(to: Part): void {
    const part = onFace(to);
    if (chosen.value) chosen.value = { ...chosen.value, part };
    void judge(part);
  }

  const size = computed(() =>
    photo.value && chosen.value && store.piece
      ? cropSize(moveCorners(photo.value.measurement.corners), store.piece.support, chosen.value.part)
      : null,
  );

  async function fileOf(type: 'image/jpeg' | 'image/png'): Promise<Blob | null> {
    if (!request.value || !chosen.value || !size.value) return null;
    const { widthPx, heightPx, dpi } = size.value;
    const file = { widthPx, heightPx, dpi, type };
    const bytes = await photoWorker().cropFile(url.value, request.value, chosen.value.part, file);
    return new Blob([new Uint8Array(bytes)], { type });
  }

  return { photo, crops, tookMs, chosen, busy, wrong, move, size, fileOf };
}
