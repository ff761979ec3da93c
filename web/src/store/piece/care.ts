import type { CareEvent } from '@icy-ribbon/contract';
import { api } from '@icy-ribbon/contract/addresses';
import { careState, type CareData, type CareKind } from '@icy-ribbon/core/piece/care';
import { computed } from 'vue';
import { call } from '#api/client.ts';
import type { InHand } from './inHand.ts';

/**
 * Writes a line of the log after a pour.
 *
 * @param id of the line: whoever may have to send it again gives the same one
 * @returns the whole log
 * @throws ApiProblem with the field when it cannot have happened
 */
export async function sendCare<Kind extends CareKind>(
  pieceId: string,
  kind: Kind,
  data: CareData[Kind],
  id: string = crypto.randomUUID(),
): Promise<CareEvent[]> {
  const body = { id, at: new Date().toISOString(), kind, data } as CareEvent;
  return (await call(api.care.append, { params: { pieceId }, body })).care;
}

/** What happens to the piece in hand after its pour. */
export function careWrites(hand: InHand) {
  const care = computed(() => careState(hand.piece.value?.care ?? []));

  /** @returns the id of the line, for taking it back */
  async function note<Kind extends CareKind>(kind: Kind, data: CareData[Kind]): Promise<string> {
    const log = await sendCare(hand.current().id, kind, data);
    hand.change({ care: log });
    return log.at(-1)!.id;
  }

  const takeBackCare = (eventId: string) => note('void', { eventId });

  return { care, noteCare: note, takeBackCare };
}
