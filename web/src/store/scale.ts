import type { ScaleInfo, ScaleReading } from '@icy-ribbon/contract';
import { api } from '@icy-ribbon/contract/addresses';
import { onBeforeUnmount, onMounted, shallowRef } from 'vue';
import { call } from '../api/client.ts';
import { useDevices } from './devices.ts';

/** A scale that says nothing for this long has dropped out. */
const SILENCE_MS = 1500;

/** Listens to the scale for as long as the component is there; without one, what it shows is typed. */
export function useScale() {
  const devices = useDevices();
  const info = shallowRef<ScaleInfo | null>(null);
  const reading = shallowRef<ScaleReading | null>(null);
  let source: EventSource | undefined;
  let silence: ReturnType<typeof setTimeout> | undefined;

  onMounted(async () => {
    await devices.ensure();
    if (!devices.standIns) return;
    info.value = await call(api.scale.info);
    source = new EventSource(api.scale.readings.path);
    source.addEventListener('message', (event: MessageEvent<string>) => {
      reading.value = JSON.parse(event.data) as ScaleReading;
      clearTimeout(silence);
      silence = setTimeout(() => (reading.value = null), SILENCE_MS);
    });
    source.addEventListener('error', () => {
      reading.value = null;
    });
  });
  onBeforeUnmount(() => {
    source?.close();
    clearTimeout(silence);
  });

  return {
    info,
    reading,
    tare: async () => {
      if (info.value) await call(api.scale.tare);
    },
    pour: (mg: number) => call(api.scale.pour, { body: { mg } }),
    stop: () => call(api.scale.stop),
    newCup: async () => {
      await devices.ensure();
      if (devices.standIns) await call(api.scale.newCup);
    },
    disturb: (kind: 'bump' | 'overload' | 'drop-out') => call(api.scale.disturb, { body: { kind } }),
  };
}
