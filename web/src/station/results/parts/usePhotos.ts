import type { Photo, PhotoDetail, PhotoState } from '@icy-ribbon/contract';
import { api } from '@icy-ribbon/contract/addresses';
import { fault } from '@icy-ribbon/core/judgement/outcome';
import type { WetDry } from '@icy-ribbon/core/picture';
import { computedAsync } from '@vueuse/core';
import { computed, ref } from 'vue';
import { call } from '#api/client.ts';
import { say, sayProblem } from '#notice/notices.ts';
import { attempt, useTask } from '#notice/useTask.ts';
import { usePiece } from '#store/piece/piece.ts';
import { useSending } from '#store/sending.ts';
import { photoWorker } from '#worker/workers.ts';
import { inputOf, isReady, setupOf } from './photoInput.ts';

/** The photos of the open piece: the one that is shown, what was measured on it, and what is done to them. */
export function usePhotos() {
  const store = usePiece();
  const sending = useSending();
  const { busy, run } = useTask();
  const comparing = useTask();
  const chosenId = ref<string | null>(null);
  /** What the next photo shows. */
  const state = ref<PhotoState>('wet');
  const comparison = ref<WetDry | null>(null);

  const photos = computed(() => store.piece?.photos ?? []);
  const shown = computed(
    () => photos.value.find((photo) => photo.id === chosenId.value) ?? photos.value.at(-1),
  );
  const measured = computed(() => shown.value?.measurement ?? null);
  const pins = computed(() =>
    (store.piece?.judgement?.faults ?? []).flatMap(({ id, kind, at }) =>
      at ? [{ id, label: fault(kind).label, at }] : [],
    ),
  );
  const both = computed(() => {
    const of = (wanted: PhotoState) =>
      photos.value.filter((photo) => photo.state === wanted && photo.measurement !== null).at(-1);
    const [wet, dry] = [of('wet'), of('dry')];
    return wet && dry ? { wet, dry } : null;
  });

  /** What the overlay draws; of a photo that was switched away meanwhile it is dropped. */
  const detail = computedAsync<PhotoDetail | null>(
    async () => {
      // Asked for again when the photo is measured again.
      const measuredAt = measured.value?.measuredAt;
      return shown.value && measuredAt ? call(api.photos.detail, { params: { id: shown.value.id } }) : null;
    },
    null,
    { onError: sayProblem, shallow: true },
  );

  const attach = (files: readonly File[] | null) =>
    run(async () => {
      for (const file of files ?? []) {
        if (store.piece) await sending.send(file, store.piece, state.value);
      }
      chosenId.value = null;
    });

  const shutter = () =>
    run(async () => {
      await store.takePhoto(state.value);
      chosenId.value = null;
    });

  const compareWetDry = () =>
    comparing.run(async () => {
      if (!both.value || !store.piece) return;
      const { support } = store.piece;
      const side = (photo: Photo) => {
        const setup = setupOf(photo, [], new Set());
        return isReady(setup)
          ? { url: `/api/photos/${photo.id}/image`, input: inputOf(setup, support) }
          : null;
      };
      const [wet, dry] = [side(both.value.wet), side(both.value.dry)];
      comparison.value = null;
      comparison.value = wet && dry ? await photoWorker().compare(wet, dry) : null;
    });

  const remove = () =>
    attempt(async () => {
      if (!shown.value) return;
      const removed = await store.removePhoto(shown.value);
      say('The photo is deleted.', () => attempt(() => store.restorePhoto(removed)));
    });

  return {
    photos,
    shown,
    measured,
    detail,
    pins,
    both,
    chosenId,
    state,
    busy,
    comparison,
    isComparing: comparing.busy,
    attach,
    shutter,
    compareWetDry,
    remove,
  };
}
