import { api, type PourNumbers } from '@icy-ribbon/contract';
import { onMounted, shallowRef } from 'vue';
import { call } from '../../../api/client.ts';
import { sayProblem } from '../../../notice/notices.ts';

/** The numbers of all pours, loaded when the component is shown. */
export function useNumbers() {
  const pours = shallowRef<readonly PourNumbers[]>([]);
  const loaded = shallowRef(false);
  onMounted(async () => {
    try {
      pours.value = (await call(api.results.numbers, { query: {} })).items;
      loaded.value = true;
    } catch (error) {
      sayProblem(error);
    }
  });
  return { pours, loaded };
}
