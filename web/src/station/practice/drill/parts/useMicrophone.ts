import { onBeforeUnmount, ref } from 'vue';

/** The quietest and the loudest breath a typical microphone picks up, as the RMS of its signal (full scale is 1); from memory. */
const QUIET = 0.01;
const LOUD = 0.3;
const SMOOTH = 0.75;

/** How hard the microphone is blown at, 0 to 1 on a scale of loudness. */
export const levelOf = (rms: number): number =>
  Math.min(1, Math.max(0, Math.log(Math.max(rms, 1e-9) / QUIET) / Math.log(LOUD / QUIET)));

/** The microphone as a stand-in for breath, where the page may listen: nothing is recorded or sent. */
export function useMicrophone() {
  const canListen = typeof navigator !== 'undefined' && Boolean(navigator.mediaDevices?.getUserMedia);
  const isOn = ref(false);
  const problem = ref<string>();
  let stream: MediaStream | undefined;
  let context: AudioContext | undefined;
  let analyser: AnalyserNode | undefined;
  let wave = new Float32Array(0);
  let level = 0;

  async function listen(): Promise<void> {
    problem.value = undefined;
    try {
      stream = await navigator.mediaDevices.getUserMedia({
        audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false },
      });
    } catch {
      problem.value =
        'The microphone cannot be used: allow it for this page, or blow with the pointer or the keys.';
      return;
    }
    context = new AudioContext();
    analyser = context.createAnalyser();
    analyser.fftSize = 2048;
    wave = new Float32Array(analyser.fftSize);
    context.createMediaStreamSource(stream).connect(analyser);
    isOn.value = true;
  }

  function stop(): void {
    for (const track of stream?.getTracks() ?? []) track.stop();
    void context?.close();
    stream = undefined;
    context = undefined;
    analyser = undefined;
    isOn.value = false;
  }

  /** How hard it is blown at now, 0 to 1. */
  function now(): number {
    if (!analyser) return 0;
    analyser.getFloatTimeDomainData(wave);
    const rms = Math.sqrt(wave.reduce((sum, each) => sum + each * each, 0) / wave.length);
    level = SMOOTH * level + (1 - SMOOTH) * levelOf(rms);
    return level;
  }

  onBeforeUnmount(stop);
  return { canListen, isOn, problem, listen, stop, now };
}
