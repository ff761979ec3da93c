import type { SupportSize } from '../support/index.ts';

/** A slot of a shelf: as wide as it is seen from the front, as deep as the shelf. */
export interface RackSlot {
  readonly id: string;
  readonly widthMm: number;
}
export interface RackShelf {
  readonly id: string;
  readonly depthMm: number;
  readonly slots: readonly RackSlot[];
}

/** What lies between two pieces, so that a wet rim touches nothing (common practice), mm. */
export const GAP_MM = 20;

type Outline = Pick<SupportSize, 'widthMm' | 'heightMm'>;

/** How a piece lies in a slot: turned when only so it fits. */
export interface Lying {
  readonly isTurned: boolean;
  /** Along the front of the shelf. */
  readonly frontMm: number;
}

/**
 * How a piece would lie in what is free of a slot: as it is if the shelf is deep enough, else turned by a quarter.
 *
 * @returns null when it fits neither way
 * @example lyingIn({ widthMm: 300, heightMm: 500 }, { freeMm: 600, depthMm: 400 }) // { isTurned: true, frontMm: 500 }
 */
export function lyingIn(
  { widthMm, heightMm }: Outline,
  { freeMm, depthMm }: { readonly freeMm: number; readonly depthMm: number },
): Lying | null {
  const ways = [
    { isTurned: false, frontMm: widthMm, backMm: heightMm },
    { isTurned: true, frontMm: heightMm, backMm: widthMm },
  ].filter(({ frontMm, backMm }) => frontMm <= freeMm && backMm <= depthMm);
  const best = ways.sort((a, b) => a.frontMm - b.frontMm)[0];
  return best ? { isTurned: best.isTurned, frontMm: best.frontMm } : null;
}

/**
 * What is free of a slot along its front, beside the pieces that lie there; below 0 when more lie there than fit.
 *
 * @example freeMm({ id: 'a', widthMm: 1000 }, 500, [{ widthMm: 300, heightMm: 300 }]) // 680
 */
export function freeMm(slot: RackSlot, depthMm: number, pieces: readonly Outline[]): number {
  return pieces.reduce((free, piece) => {
    const { frontMm } = lyingIn(piece, { freeMm: Infinity, depthMm }) ?? { frontMm: piece.widthMm };
    return free - frontMm - GAP_MM;
  }, slot.widthMm);
}

/**
 * Which of some sizes still fit on a shelf, and how many of each beside what lies there.
 *
 * @param lying the pieces by their slot
 */
export function stillFits<Size extends Outline>(
  shelf: RackShelf,
  lying: (slotId: string) => readonly Outline[],
  sizes: readonly Size[],
): { readonly size: Size; readonly count: number }[] {
  return sizes
    .map((size) => {
      const count = shelf.slots.reduce((sum, slot) => {
        const free = freeMm(slot, shelf.depthMm, lying(slot.id));
        const way = lyingIn(size, { freeMm: free, depthMm: shelf.depthMm });
        return way ? sum + Math.floor((free + GAP_MM) / (way.frontMm + GAP_MM)) : sum;
      }, 0);
      return { size, count };
    })
    .filter(({ count }) => count > 0);
}
