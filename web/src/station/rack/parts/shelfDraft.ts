import type { Equipment, Shelf } from '@icy-ribbon/contract';

/** A shelf while it is being entered; sizes may still be missing. */
export interface ShelfDraft {
  name: string;
  depthMm: number | null;
  slots: { id: string; name: string; widthMm: number | null }[];
}

const slotNames = ['left', 'middle', 'right'];

/** A slot for a piece of up to 50 x 70 cm. */
export const emptySlot = (index: number): ShelfDraft['slots'][number] => ({
  id: crypto.randomUUID(),
  name: slotNames[index] ?? `slot ${index + 1}`,
  widthMm: 600,
});

export const emptyShelf = (): ShelfDraft => ({ name: '', depthMm: 500, slots: [0, 1].map(emptySlot) });

export const shelfDraft = ({ name, depthMm, slots }: Shelf): ShelfDraft => ({
  name,
  depthMm,
  slots: slots.map((slot) => ({ ...slot })),
});

/** As it is sent; what is missing is said by the server at its field. */
export const shelfInput = (draft: ShelfDraft) =>
  ({ kind: 'shelf', ...draft }) as Omit<Shelf, keyof Equipment>;
