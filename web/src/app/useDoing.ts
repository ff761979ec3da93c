import type { Doing } from '@icy-ribbon/contract';
import { computed, onMounted, watch } from 'vue';
import { useRoute } from 'vue-router';
import { useLive } from '../store/live.ts';
import { usePiece } from '../store/piece/piece.ts';

const DOING_AT: Readonly<Record<string, Doing['doing']>> = {
  scale: 'weighing',
  'cup-thickness': 'reading',
  race: 'reading',
  plan: 'planning',
  pour: 'pouring',
};

/** Listens for the other devices, and tells them what is done here. */
export function useDoing(): void {
  const live = useLive();
  const store = usePiece();
  const route = useRoute();
  onMounted(() => live.listen());
  const here = computed(() => {
    const doing = DOING_AT[String(route.name)] ?? null;
    return { doing, cupId: (route.params.cupId as string | undefined) ?? null, piece: store.piece?.id };
  });
  watch(here, ({ doing, cupId }) => live.say(doing, cupId), { immediate: true });
}
