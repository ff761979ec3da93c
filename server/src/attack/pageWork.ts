import type { Piece } from '@icy-ribbon/contract';
import { cupColor } from '@icy-ribbon/core/color';
import { pourRecordOf, quantitiesOf } from '@icy-ribbon/core/compare';
import { cupStates, evidenceOf } from '@icy-ribbon/core/learn';
import { laidMgOf, standing } from '@icy-ribbon/core/pour';
import { stageOf } from '@icy-ribbon/core/thickness';

/** What the pages work out of a piece when it is opened: why they could not, undefined when they can. */
export function whyOf(piece: Piece): string | undefined {
  try {
    const { states } = cupStates(piece.mixes, piece.readings, (id) => laidMgOf(piece.events, id));
    for (const [index, mix] of piece.mixes.entries()) {
      cupColor(mix.ingredients);
      stageOf(states[index]!.properties.viscosityPaS);
      evidenceOf(mix.id, piece.mixes, piece.readings);
    }
    standing(piece.events);
    quantitiesOf(pourRecordOf(piece));
    return piece.damaged ? `it has ${piece.damaged.length} damaged records` : undefined;
  } catch (error) {
    return error instanceof Error ? error.message : String(error);
  }
}
