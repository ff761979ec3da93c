import { computed, onMounted, readonly, ref, type ComputedRef, type Ref } from 'vue';

/** As many rows as a screen shows. */
const SCREENFUL = 10;

/** Whether the page has been drawn once: what nobody looks at first waits until then, so that a change of page shows at once. */
export function useFirstFrame(): Readonly<Ref<boolean>> {
  const isDrawn = ref(false);
  onMounted(() => {
    // The first of these comes before the page is drawn, the second after.
    requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(() => (isDrawn.value = true))));
  });
  return readonly(isDrawn);
}

/** The rows of a long list: a screenful at first, all of them once that stands there. */
export function useFirstRows<Row>(rows: () => readonly Row[]): ComputedRef<readonly Row[]> {
  const isDrawn = useFirstFrame();
  return computed(() => (isDrawn.value ? rows() : rows().slice(0, SCREENFUL)));
}
