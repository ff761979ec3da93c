import type { PourEvent } from '@icy-ribbon/contract';
import type { Mark } from '@icy-ribbon/core/piece/event';
import { watchEffect, type Ref } from 'vue';
import { usePiece } from '#store/piece/piece.ts';
import { newId } from '#store/plan/plan.ts';
import { formRow, type EventField, type FormKind } from '#words/event.ts';
import type { DrawnFor, EventDraft } from './eventDraft.ts';
import { shapeOf, usualKind, type Stroke } from './laidShape.ts';
import { markOf } from './mark.ts';

const NOTHING_LIES = { stacks: [], paths: [] };

/** Keeps what is made of a stroke up to date: the place as drawn; else as planned, or as it was logged. */
export function usePlaceDrawn(
  kind: FormKind,
  given: { readonly changing: PourEvent | undefined; readonly planned: Mark | null | undefined },
  draft: Ref<EventDraft>,
  stroke: Ref<Stroke | null>,
  drawn: Ref<DrawnFor>,
): void {
  const store = usePiece();
  const asks = (field: EventField) => formRow(kind).fields.includes(field);

  watchEffect(() => {
    const support = store.piece?.support;
    if (!support || !asks('place')) {
      drawn.value = { mark: null, shape: null };
      return;
    }
    if (asks('cup')) {
      const cup = store.paints.find(({ mix }) => mix.id === draft.value.cupId);
      const { value: line } = stroke;
      const how = cup && usualKind(cup.mix.role, line);
      const mg = draft.value.mg ?? 0;
      const shape = line && how ? shapeOf(how, line, support, NOTHING_LIES, mg, newId) : null;
      drawn.value = { mark: null, shape };
      return;
    }
    const { changing, planned } = given;
    const own = markOf(stroke.value, support, asks('radius') ? draft.value.radiusMm : null);
    const logged = changing && 'mark' in changing.data ? changing.data.mark : null;
    drawn.value = { mark: own ?? logged ?? planned ?? null, shape: null };
  });
}
