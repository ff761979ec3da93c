import type { Piece } from '@icy-ribbon/contract';
import { cupColor } from '@icy-ribbon/core/paint/color';
import { quantitiesOf } from '@icy-ribbon/core/judgement/compare';
import { pourRecordOf } from '@icy-ribbon/core/judgement/outcome';
import { cupStates, evidenceOf } from '@icy-ribbon/core/thickness/learn';
import { laidMgOf, inForce } from '@icy-ribbon/core/piece/event';
import { stageOf } from '@icy-ribbon/core/paint/stage';

/** What the pages work out of a piece when it is opened: why they could not, undefined when they can. */
export function whyOf(piece: Piece): string | undefined {
  try {
    const { states } = cupStates(piece.mixes, piece.readings, (id) => laidMgOf(piece.events, id));
    for (const [index, mix] of piece.mixes.entries()) {
      cupColor(mix.ingredients);
      stageOf(states[index]!.properties.viscosityPaS);
      evidenceOf(mix.id, piece.mixes, piece.readings);
    }
    inForce(piece.events);
    quantitiesOf(pourRecordOf(piece));
    return piece.damaged ? `it has ${piece.damaged.length} damaged records` : undefined;
  } catch (error) {
    return error instanceof Error ? error.message : String(error);
  }
}
