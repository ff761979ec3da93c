import type { PourNumbers } from '@icy-ribbon/contract';
import { api } from '@icy-ribbon/contract/addresses';
import { onCommonCells } from '@icy-ribbon/core/judgement/compare';
import { computed, onMounted, shallowRef } from 'vue';
import { call } from '#api/client.ts';
import { useDevices } from '#store/devices.ts';
import { usePieces } from '#store/pieces.ts';
import { sayProblem } from '#notice/notices.ts';

/** The numbers of all pours in the order in which they were poured, loaded when the component is shown. */
export function useNumbers() {
  const devices = useDevices();
  const pieces = usePieces();
  const read = shallowRef<readonly PourNumbers[]>([]);
  const loaded = shallowRef(false);
  onMounted(async () => {
    try {
      await devices.ensure();
      const { items } = await call(api.results.numbers, { query: {} });
      read.value = items.filter(devices.counts).sort((a, b) => a.pouredAt.localeCompare(b.pouredAt));
      loaded.value = true;
    } catch (error) {
      sayProblem(error);
    }
  });
  const all = computed(() =>
    pieces.filter.standIns === 'without' ? read.value.filter(({ standIn }) => !standIn) : read.value,
  );
  /** Cells are counted from one size on that every photo could show. */
  const common = computed(() => onCommonCells(all.value.map(({ numbers }) => numbers)));
  const pours = computed(() =>
    all.value.map((pour, index) => ({ ...pour, numbers: { ...common.value.pours[index]! } })),
  );
  const cellsFromMm = computed(() => common.value.fromMm);
  return { pours, cellsFromMm, loaded };
}
