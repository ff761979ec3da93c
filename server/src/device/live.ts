import type { Doing, Live, Other } from '@icy-ribbon/contract';

interface Listener {
  readonly tab: string;
  readonly device: string;
  /** Takes a line as it goes over the wire. */
  readonly tell: (line: string) => void;
  doing: Doing | undefined;
}

/** Pages that are open now: what changes is told to all, and who does what. */
export interface Hub {
  /** Listens until what it gives is called. */
  listen(tab: string, device: string, tell: (line: string) => void): () => void;
  /** Whether the page listens. */
  say(doing: Doing): boolean;
  changed(tab: string | null, pieceId: string | null): void;
}

/** A message as an event stream has it. */
export const lineOf = (live: Live): string => `data: ${JSON.stringify(live)}\n\n`;

/**
 * Each message is written once and told to everyone as it is. Who does what is told when it has changed, once for all that
 * changed in the same moment.
 */
export function makeHub(later: (work: () => void) => void = setImmediate): Hub {
  const listeners = new Set<Listener>();
  let told = lineOf({ kind: 'others', others: [] });
  let isComing = false;

  const nowLine = (): string => {
    const others: Other[] = [...listeners].flatMap(({ device, doing }) =>
      doing?.doing ? [{ ...doing, device }] : [],
    );
    return lineOf({ kind: 'others', others });
  };

  function tellOthers(): void {
    if (isComing) return;
    isComing = true;
    later(() => {
      isComing = false;
      const line = nowLine();
      if (line === told) return;
      told = line;
      for (const { tell } of listeners) tell(line);
    });
  }

  return {
    listen(tab, device, tell) {
      const listener: Listener = { tab, device, tell, doing: undefined };
      listeners.add(listener);
      tell(told);
      return () => {
        listeners.delete(listener);
        if (listener.doing?.doing) tellOthers();
      };
    },
    say(doing) {
      const mine = [...listeners].filter(({ tab }) => tab === doing.tab);
      for (const listener of mine) listener.doing = doing;
      if (mine.length > 0) tellOthers();
      return mine.length > 0;
    },
    changed(tab, pieceId) {
      const line = lineOf({ kind: 'changed', tab, pieceId });
      for (const { tell } of listeners) tell(line);
    },
  };
}
