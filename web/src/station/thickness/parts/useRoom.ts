import { useStorage } from '@vueuse/core';
import { computed } from 'vue';
import { usePiece } from '#store/piece/piece.ts';

/** Room temperature that goes with each reading: what was typed last, or what the pour's log says. */
export function useRoom() {
  const store = usePiece();
  const typed = useStorage<number | null>('icy-ribbon.room', null, undefined, {
    serializer: {
      read: (text) => (text === '' ? null : Number(text)),
      write: (value) => String(value ?? ''),
    },
  });
  return computed<number | null>({
    get: () => typed.value ?? store.room?.data.temperatureC ?? null,
    set: (value) => (typed.value = value),
  });
}
