import type { CoatKind } from '../../flow/drying/index.ts';
import { type CareData, type LoggedCare } from './event.ts';
import { CARE_CHECKS, type CareCheck, type Decision } from './choices.ts';
import { careState, isDone, isGone } from './state.ts';

/** What lists say of the log after a pour. */
export interface CareInShort {
  readonly place: { readonly shelfId: string; readonly slotId: string | null } | null;
  readonly level: CareData['level'] | null;
  readonly decision: Decision | null;
  readonly coats: { readonly kind: CoatKind; readonly at: string }[];
  readonly checked: CareCheck[];
  readonly show: CareData['show'] | null;
  readonly price: CareData['price'] | null;
  readonly sale: (CareData['sale'] & { readonly at: string }) | null;
  readonly isGone: boolean;
  readonly isDone: boolean;
}

/**
 * What the log after a pour comes to, in short.
 *
 * @param topCoatedAt when a top coat was only ticked off: it counts as one of resin
 * @example careInShort([], null).coats // []
 */
export function careInShort(log: readonly LoggedCare[], topCoatedAt: string | null): CareInShort {
  const state = careState(log);
  const { place, level, decision, show, price, sale } = state;
  const coats = state.coats.map(({ at, data }) => ({ kind: data.kind, at }));
  return {
    place: place?.shelfId ? { shelfId: place.shelfId, slotId: place.slotId } : null,
    level,
    decision: decision?.data.what ?? null,
    coats: coats.length === 0 && topCoatedAt !== null ? [{ kind: 'resin', at: topCoatedAt }] : coats,
    checked: CARE_CHECKS.filter((what) => state.checks[what]),
    show: show?.data ?? null,
    price: price?.data ?? null,
    sale: sale && { ...sale.data, at: sale.at },
    isGone: isGone(state),
    isDone: isDone(state),
  };
}
