import { CUT_OFFS_MM } from '../../picture/index.ts';
import type { PourNumbers } from './madeTheDifference.ts';

/**
 * The numbers of pours with their cells counted from one size on that every photo of them could show: a photo from
 * farther off loses the small cells, which raises the median of the rest.
 *
 * @returns the size, in mm; null where the photos do not tell what they could show, and the numbers are as they were
 */
export function onCommonCells<Pour extends PourNumbers>(
  pours: readonly Pour[],
): { readonly fromMm: number | null; readonly pours: readonly Pour[] } {
  const measured = pours.filter((pour) => typeof pour.cellsPerCm2 === 'number');
  const fromMm = CUT_OFFS_MM.find((mm) =>
    measured.every((pour) => typeof pour[`cellsPerCm2 from ${mm}`] === 'number'),
  );
  if (fromMm === undefined || measured.length === 0) return { fromMm: null, pours };
  return {
    fromMm,
    pours: pours.map((pour) => {
      const perCm2 = pour[`cellsPerCm2 from ${fromMm}`];
      if (typeof perCm2 !== 'number') return pour;
      const cellMm = perCm2 > 0 ? (pour[`cellMm from ${fromMm}`] ?? null) : null;
      return { ...pour, cellMm, cellsPerCm2: perCm2 };
    }),
  };
}
