import { useIntervalFn } from '@vueuse/core';
import { computed, onBeforeUnmount, ref } from 'vue';

const BEEP_HZ = 660;

/** Counts down from a number of seconds, and beeps at the end; it may be ended sooner or run over. */
export function useWaitTimer() {
  const startedAt = ref<number | null>(null);
  const aim = ref(0);
  const now = ref(Date.now());
  let beeped = false;
  let audio: AudioContext | undefined;

  const elapsed = computed(() => (startedAt.value === null ? 0 : (now.value - startedAt.value) / 1000));
  const left = computed(() => aim.value - elapsed.value);

  const { pause, resume } = useIntervalFn(
    () => {
      now.value = Date.now();
      if (left.value > 0 || beeped) return;
      beeped = true;
      beep();
    },
    200,
    { immediate: false },
  );

  function start(seconds: number): void {
    // Sound is only allowed from within a press of a button or key, so it is readied here.
    audio ??= typeof AudioContext === 'undefined' ? undefined : new AudioContext();
    aim.value = seconds;
    beeped = false;
    startedAt.value = Date.now();
    now.value = Date.now();
    resume();
  }

  /** Ends it and says how many seconds it took. */
  function stop(): number {
    now.value = Date.now();
    const took = Math.round(elapsed.value);
    startedAt.value = null;
    pause();
    return took;
  }

  function beep(): void {
    if (!audio) return;
    const gain = audio.createGain();
    gain.gain.value = 0.12;
    gain.connect(audio.destination);
    for (const [index, pitch] of [1, 1.25, 1.5].entries()) {
      const tone = audio.createOscillator();
      tone.frequency.value = BEEP_HZ * pitch;
      tone.connect(gain);
      tone.start(audio.currentTime + index * 0.25);
      tone.stop(audio.currentTime + index * 0.25 + 0.18);
    }
  }

  onBeforeUnmount(() => void audio?.close());
  return { running: computed(() => startedAt.value !== null), elapsed, left, start, stop };
}

/** "1:05" */
export function clockWords(seconds: number): string {
  const whole = Math.max(0, Math.ceil(seconds));
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}
