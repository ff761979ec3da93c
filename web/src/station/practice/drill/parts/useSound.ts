import { useStorage } from '@vueuse/core';
import { onBeforeUnmount } from 'vue';

const LOUD = 0.06;
const FADE_S = 0.04;

/** Sounds of a drill: off until the artist wants them. */
export function useSound() {
  const isOn = useStorage('icy-ribbon.drill-sound', false);
  let context: AudioContext | undefined;
  let held: { oscillator: OscillatorNode; gain: GainNode } | undefined;

  function sounding(): AudioContext | undefined {
    if (!isOn.value) return undefined;
    context ??= new AudioContext();
    return context;
  }

  function voice(at: AudioContext, hz: number) {
    const oscillator = at.createOscillator();
    const gain = at.createGain();
    oscillator.frequency.value = hz;
    gain.gain.setValueAtTime(0, at.currentTime);
    gain.gain.linearRampToValueAtTime(LOUD, at.currentTime + FADE_S);
    oscillator.connect(gain).connect(at.destination);
    oscillator.start();
    return { oscillator, gain };
  }

  /** One short tone: right is high, wrong is low. */
  function tick(isRight: boolean): void {
    const at = sounding();
    if (!at) return;
    const { oscillator, gain } = voice(at, isRight ? 660 : 220);
    gain.gain.linearRampToValueAtTime(0, at.currentTime + 3 * FADE_S);
    oscillator.stop(at.currentTime + 4 * FADE_S);
  }

  /** A tone that is held and follows a value from 0 to 1; null ends it. */
  function follow(value: number | null): void {
    const at = sounding();
    if (!at || value === null) {
      held?.oscillator.stop();
      held = undefined;
      return;
    }
    held ??= voice(at, 220);
    held.oscillator.frequency.setTargetAtTime(220 * 2 ** (1.5 * value), at.currentTime, FADE_S);
  }

  onBeforeUnmount(() => {
    follow(null);
    void context?.close();
  });
  return { isOn, tick, follow };
}
