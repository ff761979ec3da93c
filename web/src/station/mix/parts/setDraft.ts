import { CUP_ROLES, type CupRole } from '@icy-ribbon/core/paint/stage';
import { useSessionStorage, type RemovableRef } from '@vueuse/core';

/** What the next cups of a role are made of, on the bench one by one or as a whole set. */
export interface RoleDraft {
  recipeId: string;
  variant: string;
  totalMg: number | null;
  /** Paints chosen for the whole set. */
  paintIds: string[];
}

export type SetDraft = Record<CupRole, RoleDraft>;

/** What an amount field starts from until the artist types another. */
const USUAL_MG: Readonly<Record<CupRole, number>> = {
  base: 150_000,
  color: 40_000,
  pillow: 150_000,
  activator: 15_000,
  swipe: 20_000,
  medium: 100_000,
};

export const emptySet = (): SetDraft =>
  Object.fromEntries(
    CUP_ROLES.map((role) => [role, { recipeId: '', variant: '', totalMg: USUAL_MG[role], paintIds: [] }]),
  ) as unknown as SetDraft;

/** The draft of a piece's cups; it outlives a look at another station and a reload. */
export const useSetDraft = (pieceId: string): RemovableRef<SetDraft> =>
  useSessionStorage(`icy-ribbon.set.${pieceId}`, emptySet(), { mergeDefaults: true });
