import { onBeforeUnmount, ref } from 'vue';

const TENTHS = 10;

/** Measures how long a button is held, in seconds to a tenth; a mere tap measures nothing. */
export function useHoldTimer(measured: (seconds: number) => void) {
  const running = ref(false);
  let startedAt = 0;
  let timer: ReturnType<typeof setInterval> | undefined;

  const elapsed = () => Math.round(((performance.now() - startedAt) / 1000) * TENTHS) / TENTHS;

  function press(): void {
    if (running.value) return;
    running.value = true;
    startedAt = performance.now();
    timer = setInterval(() => {
      if (elapsed() > 0.2) measured(elapsed());
    }, 100);
  }

  function release(): void {
    if (!running.value) return;
    running.value = false;
    clearInterval(timer);
    if (elapsed() > 0.2) measured(elapsed());
  }

  onBeforeUnmount(() => clearInterval(timer));
  return { running, press, release };
}
