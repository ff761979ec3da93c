import { bearingOf } from '@icy-ribbon/core/flow/air';
import { useEventListener } from '@vueuse/core';
import { ref } from 'vue';
import type { Hand } from './useHand.ts';

const MOST_DEG = 60;
/** Held flatter than this, degrees, it counts as level. */
const LEVEL_DEG = 0.7;

/** How a device that is held lies: how far off level, and which way is down, from its top edge clockwise. */
export function lieOf(beta: number, gamma: number): { readonly deg: number; readonly directionDeg: number } {
  const deg = Math.min(MOST_DEG, Math.hypot(beta, gamma));
  if (deg < LEVEL_DEG) return { deg: 0, directionDeg: 180 };
  return { deg: Math.round(10 * deg) / 10, directionDeg: Math.round(bearingOf(gamma, beta)) };
}

/** The support lies as the tablet does, where it can say how it lies. */
export function useDeviceTilt(hand: Hand) {
  const isThere = 'DeviceOrientationEvent' in window && window.isSecureContext;
  const follows = ref(false);

  useEventListener(window, 'deviceorientation', ({ beta, gamma }) => {
    if (!follows.value || beta === null || gamma === null) return;
    Object.assign(hand.tilt, lieOf(beta, gamma));
    hand.apply();
  });

  /** Some devices ask first. */
  async function follow(): Promise<void> {
    const asks = DeviceOrientationEvent as unknown as { requestPermission?: () => Promise<string> };
    if (asks.requestPermission && (await asks.requestPermission()) !== 'granted') return;
    follows.value = true;
  }
  function letGo(): void {
    follows.value = false;
    hand.tilt.deg = 0;
    hand.apply();
  }

  return { isThere, follows, follow, letGo };
}
