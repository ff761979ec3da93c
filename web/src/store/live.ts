import type { Doing, Live, Other } from '@icy-ribbon/contract';
import { api } from '@icy-ribbon/contract/addresses';
import { useDebounceFn } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { call } from '../api/client.ts';
import { tabId } from '../api/tab.ts';
import { usePiece } from './piece/piece.ts';

/** Writes that follow closely are looked up at once, ms. */
const TOGETHER_MS = 120;
/** A page that was turned away, since too many are open, asks again after this, ms. */
const AGAIN_MS = 15_000;

/** Whether the pages are started by another script than this one was; pages that are being developed are never old. */
function isOther(script: string): boolean {
  const own = [...document.querySelectorAll('script[type="module"]')].at(-1)?.getAttribute('src');
  return own?.startsWith('/assets/') === true && own !== script;
}

/** What happens on the other devices: the piece in hand is looked up when one of them changes it. */
export const useLive = defineStore('live', () => {
  const store = usePiece();
  const others = shallowRef<readonly Other[]>([]);
  /** When this device's sign-in ends; null at the machine itself. */
  const signedInUntil = ref<string | null>(null);
  /** The server gives newer pages than this one. */
  const isOutdated = ref(false);
  let mine: Doing | undefined;
  let source: EventSource | undefined;

  const reload = useDebounceFn(() => {
    // A piece that went away meanwhile is told of by whatever asks for it next.
    store.reload().catch(() => {});
  }, TOGETHER_MS);

  function hear(data: string): void {
    const live = JSON.parse(data) as Live;
    if (live.kind === 'pages') isOutdated.value = isOther(live.script);
    else if (live.kind === 'others') others.value = live.others.filter(({ tab }) => tab !== tabId());
    else if (live.kind === 'sign-in') signedInUntil.value = live.until;
    else if (live.tab !== tabId() && (live.pieceId === null || live.pieceId === store.piece?.id)) {
      void reload();
    }
  }

  /** Listens for as long as the page stays; the browser itself goes on after a broken line. */
  function listen(): void {
    if (source || typeof EventSource === 'undefined') return;
    source = new EventSource(`${api.devices.live.path}?tab=${tabId()}`);
    source.onmessage = ({ data }: MessageEvent<string>) => hear(data);
    source.onerror = () => {
      // Turned away for good: asking finds out why, and says it.
      if (source?.readyState !== EventSource.CLOSED) return;
      source = undefined;
      call(api.health).then(
        () => setTimeout(listen, AGAIN_MS),
        () => {},
      );
    };
    let wasOpen = false;
    source.onopen = () => {
      // What happened while the line was broken was not told.
      if (wasOpen) void reload();
      wasOpen = true;
      if (mine) void tell(mine);
    };
  }

  async function tell(doing: Doing): Promise<void> {
    await call(api.devices.doing, { body: doing }).catch(() => undefined);
  }

  /** Says what this page does, until it does something else. */
  function say(doing: Doing['doing'], cupId: string | null): void {
    const next = { tab: tabId(), pieceId: store.piece?.id ?? null, doing, cupId };
    if (JSON.stringify(next) === JSON.stringify(mine)) return;
    mine = next;
    if (source) void tell(next);
  }

  /** Who does something with the piece in hand. */
  const withPiece = computed(() => others.value.filter(({ pieceId }) => pieceId === store.piece?.id));

  return { listen, say, others, withPiece, isOutdated, signedInUntil };
});
