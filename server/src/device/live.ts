import type { Doing, Live, Other } from '@icy-ribbon/contract';

interface Listener {
  readonly tab: string;
  readonly device: string;
  readonly tell: (live: Live) => void;
  doing: Doing | undefined;
}

/** Pages that are open now: what changes is told to all, and who does what to all others. */
export interface Hub {
  /** Listens until what it gives is called. */
  listen(tab: string, device: string, tell: (live: Live) => void): () => void;
  /** Whether the page listens. */
  say(doing: Doing): boolean;
  changed(tab: string | null, pieceId: string | null): void;
}

export function makeHub(): Hub {
  const listeners = new Set<Listener>();

  function tellOthers(): void {
    for (const listener of listeners) {
      const others: Other[] = [...listeners].flatMap(({ tab, device, doing }) =>
        tab !== listener.tab && doing?.doing ? [{ ...doing, device }] : [],
      );
      listener.tell({ kind: 'others', others });
    }
  }

  return {
    listen(tab, device, tell) {
      const listener: Listener = { tab, device, tell, doing: undefined };
      listeners.add(listener);
      tellOthers();
      return () => {
        listeners.delete(listener);
        tellOthers();
      };
    },
    say(doing) {
      const mine = [...listeners].filter(({ tab }) => tab === doing.tab);
      for (const listener of mine) listener.doing = doing;
      if (mine.length > 0) tellOthers();
      return mine.length > 0;
    },
    changed(tab, pieceId) {
      for (const listener of listeners) listener.tell({ kind: 'changed', tab, pieceId });
    },
  };
}
