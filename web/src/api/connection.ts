import { readonly, ref } from 'vue';

const away = ref(false);

/** Whether the server could not be reached at the last try. */
export const serverAway = readonly(away);

export function reportAway(): void {
  away.value = true;
}

export function reportBack(): void {
  away.value = false;
}
