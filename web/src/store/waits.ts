import { useEventListener, useIntervalFn, useStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { ref, watch } from 'vue';
import { say } from '../notice/notices.ts';

/** A wait that is running: paint stands, and a clock counts down. */
export interface Wait {
  readonly pieceName: string;
  /** Milliseconds since 1970. */
  readonly startedAt: number;
  readonly seconds: number;
  readonly forWhat: string;
  /** The step of the run sheet that it carries out. */
  readonly stepId: string | null;
}

const BEEP_HZ = 660;

/** Seconds left of a wait; below 0 it has run over. */
export const leftOf = (wait: Wait, now: number): number => wait.seconds - (now - wait.startedAt) / 1000;

/** "1:05"; over the time "+0:12". */
export function clockWords(seconds: number): string {
  const whole = Math.ceil(seconds);
  const size = Math.abs(whole);
  return `${whole < 0 ? '+' : ''}${Math.floor(size / 60)}:${String(size % 60).padStart(2, '0')}`;
}

/**
 * The waits of all pieces on the table. Each goes on whatever else is logged, whichever piece is in hand and even when
 * the tab was closed; at its end it sounds and says so.
 */
export const useWaits = defineStore('waits', () => {
  const running = useStorage<Record<string, Wait>>('icy-ribbon.waits', {});
  const now = ref(Date.now());
  const rung = new Set<string>();
  let audio: AudioContext | undefined;

  const { pause, resume } = useIntervalFn(tick, 200, { immediate: false });
  watch(running, (waits) => (Object.keys(waits).length > 0 ? resume() : pause()), {
    immediate: true,
    deep: true,
    flush: 'sync',
  });

  function tick(): void {
    now.value = Date.now();
    for (const [pieceId, wait] of Object.entries(running.value)) {
      const key = `${pieceId} ${wait.startedAt}`;
      if (leftOf(wait, now.value) > 0 || rung.has(key)) continue;
      rung.add(key);
      beep();
      say(`${wait.pieceName}: the wait${wait.forWhat ? ` for ${wait.forWhat}` : ''} is over.`);
    }
  }

  /** Sound is only allowed from within a press of a button or key, so it is readied in one. */
  function readySound(): void {
    audio ??= typeof AudioContext === 'undefined' ? undefined : new AudioContext();
  }

  if (typeof window !== 'undefined') {
    // A wait that outlived its page sounds again once anything was pressed.
    useEventListener(window, ['pointerdown', 'keydown'], () => {
      if (Object.keys(running.value).length > 0) readySound();
    });
  }

  function start(pieceId: string, wait: Omit<Wait, 'startedAt'>): void {
    readySound();
    now.value = Date.now();
    running.value = { ...running.value, [pieceId]: { ...wait, startedAt: now.value } };
  }

  const of = (pieceId: string): Wait | undefined => running.value[pieceId];

  /** Whole seconds since a wait began; 0 without one. */
  function tookSeconds(pieceId: string): number {
    const wait = of(pieceId);
    return wait ? Math.round((Date.now() - wait.startedAt) / 1000) : 0;
  }

  function end(pieceId: string): void {
    running.value = Object.fromEntries(Object.entries(running.value).filter(([id]) => id !== pieceId));
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

  return { running, now, start, of, tookSeconds, end };
});
