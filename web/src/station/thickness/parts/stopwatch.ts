import { onBeforeUnmount, ref } from 'vue';

/** A stopwatch that is started and stopped by one action; tells the seconds when it is stopped. */
export function useStopwatch(stopped: (seconds: number) => void) {
  const running = ref(false);
  const elapsed = ref(0);
  let startedAt = 0;
  let frame = 0;

  const now = () => (performance.now() - startedAt) / 1000;

  function tick(): void {
    elapsed.value = now();
    frame = requestAnimationFrame(tick);
  }

  function toggle(): void {
    if (running.value) {
      running.value = false;
      cancelAnimationFrame(frame);
      elapsed.value = now();
      stopped(elapsed.value);
      return;
    }
    running.value = true;
    startedAt = performance.now();
    tick();
  }

  onBeforeUnmount(() => cancelAnimationFrame(frame));
  return { running, elapsed, toggle };
}
