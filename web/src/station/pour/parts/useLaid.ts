import { computed } from 'vue';
import { usePiece } from '../../../store/piece/piece.ts';

/** What lies on the support by now. */
export function useLaid() {
  const store = usePiece();
  const laid = computed(() =>
    store.layers.map((layer) => {
      const cup = store.cups.find((each) => each.mix.id === layer.data.mixId);
      return { id: layer.id, mg: layer.data.mg, colorHex: cup?.colorHex ?? '#888888', role: cup?.mix.role };
    }),
  );
  const baseHex = computed(() => laid.value.find((each) => each.role === 'base')?.colorHex ?? null);
  const puddles = computed(() => laid.value.filter((each) => each.role !== 'base'));

  const isLaid = (mixId: string) => store.layers.some((layer) => layer.data.mixId === mixId);
  /** Every cup is empty or was laid down. */
  const nothingToLay = computed(
    () =>
      store.paints.length > 0 && store.paints.every(({ mix, state }) => state.leftMg === 0 || isLaid(mix.id)),
  );

  return { baseHex, puddles, nothingToLay };
}
