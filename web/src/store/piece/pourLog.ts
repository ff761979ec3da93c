import type { LayerEvent, PassEvent, RoomEvent } from '@icy-ribbon/contract';
import { inForce } from '@icy-ribbon/core/piece/event';
import { computed } from 'vue';
import type { TableQueue } from '../tableQueue.ts';
import type { InHand } from './inHand.ts';
import { waitingEvents } from './waiting.ts';

/** The log of the piece in hand: what the server has, then what waits in the browser; both count. */
export function pourLog(hand: InHand, queue: TableQueue) {
  const log = computed(() => {
    const known = new Set(hand.piece.value?.events.map((event) => event.id));
    return [
      ...(hand.piece.value?.events ?? []),
      ...waitingEvents(queue.waiting.value).filter((event) => !known.has(event.id)),
    ];
  });
  const events = computed(() => inForce(log.value));
  const layers = computed(() => events.value.filter((event): event is LayerEvent => event.kind === 'layer'));
  const passes = computed(() => events.value.filter((event): event is PassEvent => event.kind === 'pass'));
  const room = computed(() =>
    events.value.filter((event): event is RoomEvent => event.kind === 'room').at(-1),
  );
  return { log, events, layers, passes, room };
}
