import type { DeviceKind, Devices, Invitation, KEEP_DAYS } from '@icy-ribbon/contract';
import { api } from '@icy-ribbon/contract/addresses';
import { defineStore } from 'pinia';
import { shallowRef } from 'vue';
import { call } from '../api/client.ts';

/** Where other devices find the studio, and which of them are signed in. */
export const useSignedIn = defineStore('signedIn', () => {
  const shown = shallowRef<Devices | null>(null);

  async function load(): Promise<void> {
    shown.value = await call(api.devices.show);
  }
  async function setDoor(isOpen: boolean, isSecure: boolean): Promise<void> {
    shown.value = await call(api.devices.setDoor, { body: { isOpen, isSecure } });
  }
  const invite = (keepDays: (typeof KEEP_DAYS)[number], kind: DeviceKind): Promise<Invitation> =>
    call(api.devices.invite, { body: { keepDays, kind } });
  async function signOut(id: string): Promise<void> {
    shown.value = await call(api.devices.signOut, { params: { id } });
  }

  return { shown, load, setDoor, invite, signOut };
});
