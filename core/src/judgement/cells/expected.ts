import { stackCells } from '../../flow/cell/index.ts';
import type { CupRole } from '../../paint/stage/index.ts';
import { takesMetallicParts } from '../../paint/material/index.ts';
import { stackForecast, type StackLayer } from '../../piece/stack/index.ts';
import { paintedArea } from '../../piece/support/index.ts';
import type { PouredCup, PourRecord } from '../outcome/record.ts';

/** What opens the cells that one will see. */
export const CELL_CAUSES = ['weight', 'sheet', 'metallic'] as const;
export type CellCause = (typeof CELL_CAUSES)[number];

/** What the laws say of a stack's cells before any pour was measured. */
export interface ExpectedCells {
  readonly mm: number;
  readonly by: CellCause;
}

/** Cells that a metallic throws, mm (common practice, no published source). */
const USUAL_THROWN_MM = 2.5;

/** By how much a sheet is taken to be heavier than what it lies on where something else opens it, as a share. */
const DRIVEN_BY = 0.05;

/**
 * The cells one will see: those of the topmost interface that opens. Where weight opens it, the spacing of the stack's
 * law; where a thin sheet opens by itself, the spacing that the same law finds for the two layers if they were driven apart,
 * which hardly depends on how hard (assumption: what drives the sheet changes the time rather than the spacing); where a
 * metallic throws them, what is usual.
 *
 * @param layers from the support up
 * @returns null where nothing opens
 */
export function expectedCells(layers: readonly StackLayer[]): ExpectedCells | null {
  for (const { lower, verdict, cells, also } of stackForecast(layers).reverse()) {
    if (verdict === 'opens' && !cells.stable) return { mm: cells.wavelengthMm, by: 'weight' };
    if (verdict !== 'opens-otherwise') continue;
    if (also.includes('thin-sheet')) return drivenApart(layers[lower]!, layers[lower + 1]!);
    return { mm: USUAL_THROWN_MM, by: 'metallic' };
  }
  return null;
}

function drivenApart(lower: StackLayer, upper: StackLayer): ExpectedCells | null {
  const heavier = { ...upper, densityKgM3: (1 + DRIVEN_BY) * lower.densityKgM3 };
  const cells = stackCells([lower, heavier])[0]!;
  return cells.stable ? null : { mm: cells.wavelengthMm, by: 'sheet' };
}

/** Share of the face that the flowers of an unplanned bloom take (common practice, no published source). */
const USUAL_FLOWER_SHARE = 0.4;

/**
 * The layers of a pour once they were blown out: paint of the face evenly over face and sides, the rest over the
 * flowers of a bloom, or over the face; each cup where it was laid first.
 *
 * @returns from the support up
 */
export function pouredStack(pour: PourRecord): StackLayer[] {
  const { faceCm2, sidesCm2 } = paintedArea(pour.support);
  const bloomCm2 = 100 * (pour.flowersDm2 ?? 0) || USUAL_FLOWER_SHARE * faceCm2;
  const flowersCm2 = pour.technique === 'bloom' ? bloomCm2 : faceCm2;
  return [...new Set(pour.order)].flatMap((id) => {
    const cup = pour.cups.find((each) => each.id === id);
    if (!cup || cup.laidMg <= 0) return [];
    const isOnFace = cup.role === 'base' || (pour.onFace?.includes(id) ?? false);
    return [layerOf(cup, isOnFace ? faceCm2 + sidesCm2 : flowersCm2)];
  });
}

function layerOf(cup: PouredCup, areaCm2: number): StackLayer {
  return {
    thicknessMm: (10 * cup.laidMg) / 1000 / cup.densityGPerMl / areaCm2,
    viscosityPaS: cup.viscosityPaS,
    densityKgM3: 1000 * cup.densityGPerMl,
    isSheet: opensByItself(cup.role),
    isMetallic: cup.finish !== null && takesMetallicParts(cup.finish as 'plain'),
  };
}

/**
 * A cup whose thin sheet opens into cells.
 *
 * @example opensByItself('activator') // true
 */
export const opensByItself = (role: CupRole): boolean => role === 'activator' || role === 'swipe';

/** What the laws expect of a pour as it was poured; null where nothing opens or nothing was laid. */
export const expectedOf = (pour: PourRecord): ExpectedCells | null => expectedCells(pouredStack(pour));
