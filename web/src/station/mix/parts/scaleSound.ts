import { useStorage } from '@vueuse/core';
import { onBeforeUnmount, watch, type Ref } from 'vue';

const LOWEST_HZ = 220;
const OCTAVES = 2;
const VOLUME = 0.06;

/** A tone that rises by two octaves up to the target, so that the eyes can stay on the cup; off at first. */
export function useRisingTone(share: Readonly<Ref<number>>, sounding: Readonly<Ref<boolean>>) {
  const on = useStorage('icy-ribbon.tone', false);
  let audio: AudioContext | undefined;
  let tone: OscillatorNode | undefined;

  function stop(): void {
    tone?.stop();
    tone = undefined;
  }

  function start(): void {
    if (tone) return;
    audio ??= new AudioContext();
    const gain = audio.createGain();
    gain.gain.value = VOLUME;
    tone = audio.createOscillator();
    tone.connect(gain).connect(audio.destination);
    tone.start();
  }

  watch([share, sounding, on], ([reached, audible, wanted]) => {
    if (!wanted || !audible) {
      stop();
      return;
    }
    start();
    if (tone) tone.frequency.value = LOWEST_HZ * 2 ** (OCTAVES * Math.min(1.2, Math.max(0, reached)));
  });
  onBeforeUnmount(() => {
    stop();
    void audio?.close();
  });
  return on;
}

/** Speaks each new step aloud; off at first. */
export function useSpokenSteps(sentence: Readonly<Ref<string>>) {
  const on = useStorage('icy-ribbon.speech', false);
  watch([sentence, on], ([text, wanted]) => {
    window.speechSynthesis?.cancel();
    if (wanted && text) window.speechSynthesis?.speak(new SpeechSynthesisUtterance(text));
  });
  onBeforeUnmount(() => window.speechSynthesis?.cancel());
  return on;
}
