import { computed, onMounted, ref, type ComputedRef } from 'vue';

/** As many rows as a screen shows. */
const SCREENFUL = 14;

/**
 * The rows of a long list: a screenful at first, all of them once that stands there, so that a page does not wait for
 * what is below its lower edge.
 */
export function useFirstRows<Row>(rows: () => readonly Row[]): ComputedRef<readonly Row[]> {
  const isWhole = ref(false);
  onMounted(() => {
    // A frame in which the first rows are drawn, then the rest.
    requestAnimationFrame(() => setTimeout(() => (isWhole.value = true)));
  });
  return computed(() => (isWhole.value ? rows() : rows().slice(0, SCREENFUL)));
}
