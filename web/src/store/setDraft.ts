import { withNewNames } from '@icy-ribbon/contract';
import { CUP_ROLES, type CupRole } from '@icy-ribbon/core/paint/stage';
import { useSessionStorage, type RemovableRef } from '@vueuse/core';

/** What the next cups of a role are made of, on the bench one by one or as a whole set. */
export interface RoleDraft {
  recipeId: string;
  variant: string;
  /** As typed; null: as much as the piece needs. */
  totalMg: number | null;
  /** Paints chosen for the whole set. */
  materialIds: string[];
  /** Paints that are to be stirred together into one cup, with their parts. */
  blend: { materialId: string; parts: number }[];
}

export type SetDraft = Record<CupRole, RoleDraft>;

export const emptySet = (): SetDraft =>
  Object.fromEntries(
    CUP_ROLES.map((role) => [role, { recipeId: '', variant: '', totalMg: null, materialIds: [], blend: [] }]),
  ) as unknown as SetDraft;

/** The draft of a piece's cups; it outlives a look at another station and a reload. */
export const useSetDraft = (pieceId: string): RemovableRef<SetDraft> =>
  useSessionStorage(`icy-ribbon.set.${pieceId}`, emptySet(), {
    mergeDefaults: (kept, empty) =>
      Object.fromEntries(
        CUP_ROLES.map((role) => [role, { ...empty[role], ...withNewNames(kept[role]) }]),
      ) as unknown as SetDraft,
  });
