import { readonly, ref } from 'vue';

const away = ref(false);
const storage = ref<string | null>(null);

/** Whether the server could not be reached at the last try. */
export const serverAway = readonly(away);

/** What hinders the server from writing (a full disk, say), in words; null when nothing does. */
export const storageTrouble = readonly(storage);

const out = ref(false);
/** Whether the server does not know this device any more. */
export const signedOut = readonly(out);

export function reportSignedOut(isOut: boolean): void {
  out.value = isOut;
}

export function reportAway(): void {
  away.value = true;
}

export function reportBack(): void {
  away.value = false;
}

export function reportStorage(trouble: string | null): void {
  storage.value = trouble;
}
