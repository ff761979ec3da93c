import { useWakeLock } from '@vueuse/core';
import { onBeforeUnmount, onMounted } from 'vue';

/** The screen stays on as long as a page is open, where the browser can keep it so. */
export function useAwake(): void {
  const { isSupported, request, release } = useWakeLock();
  // A battery that is low refuses it: then the screen sleeps as always.
  const quietly = (promise: Promise<unknown>) => promise.catch(() => undefined);
  onMounted(() => isSupported.value && quietly(request('screen')));
  onBeforeUnmount(() => isSupported.value && quietly(release()));
}

const SHORT_MS = 20;

/** A short buzz under the thumb, where there is one: what was pressed is done. */
export function buzz(): void {
  if ('vibrate' in navigator) navigator.vibrate(SHORT_MS);
}
