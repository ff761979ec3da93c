import { computed } from 'vue';
import { useUnits } from '../store/units.ts';
import { measureWords } from './measure.ts';

/** The words for numbers, in the units that are chosen now. */
export function useMeasures() {
  const units = useUnits();
  return computed(() => measureWords(units.chosen));
}
