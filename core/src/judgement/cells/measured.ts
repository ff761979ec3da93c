import { isPaint, type MaterialKind } from '../../paint/material/index.ts';
import type { CupRole } from '../../paint/stage/index.ts';
import { pourRecordOf, type ComparedPiece, type PourRecord } from '../outcome/index.ts';
import { expectedOf, opensByItself } from './expected.ts';
import type { MeasuredCells } from './ownCells.ts';

/** What is read of a cup to know its activator again. */
export interface ActivatorCup {
  readonly id: string;
  readonly role: CupRole;
  readonly recipe?: { readonly id?: string | null } | null;
  readonly ingredients: readonly {
    readonly targetMg: number;
    readonly material: { readonly materialId: string; readonly kind: MaterialKind };
  }[];
}

/**
 * Which activator, or swiped color, opens the cells: its recipe and its paint.
 *
 * @param laid whether a cup takes part
 * @returns null where there is none
 */
export function activatorOf(cups: readonly ActivatorCup[], laid: (cupId: string) => boolean): string | null {
  const cup = cups.find(({ id, role }) => opensByItself(role) && laid(id));
  if (!cup) return null;
  const paint = cup.ingredients
    .filter(({ material }) => isPaint(material.kind))
    .sort((a, b) => b.targetMg - a.targetMg)[0];
  return activatorKey(cup.recipe?.id, paint?.material.materialId);
}

/**
 * How an activator of a recipe and a paint is known again; null stands for none.
 *
 * @example activatorKey('A1', null) // 'A1 none'
 */
export const activatorKey = (recipeId: string | null | undefined, cupId: string | null | undefined): string =>
  `${recipeId ?? 'own'} ${cupId ?? 'none'}`;

/**
 * The cells of a poured piece beside what the laws expect of it; null when none were measured, or the laws expect none.
 */
export function measuredCells(
  piece: ComparedPiece & { readonly mixes: readonly ActivatorCup[] },
  pour: PourRecord = pourRecordOf(piece),
): MeasuredCells | null {
  const { outcome, technique } = pour;
  const expected = pour.pouredAt === null ? null : expectedOf(pour);
  if (!expected || !outcome || outcome.cellCount < LEAST_CELLS || !(outcome.cellMm > 0)) return null;
  const laid = (cupId: string) => pour.cups.some(({ id, laidMg }) => id === cupId && laidMg > 0);
  return { technique, activator: activatorOf(piece.mixes, laid), ...expected, measuredMm: outcome.cellMm };
}

/** A median of fewer cells tells little. */
const LEAST_CELLS = 10;
