import { expectedOf } from '@icy-ribbon/core/judgement/cells';
import { withValues } from '@icy-ribbon/core/judgement/fit';
import type { PourRecord } from '@icy-ribbon/core/judgement/outcome';
import { sceneOfPour, spacingForCells } from '@icy-ribbon/core/judgement/rehearsal';
import { rehearseWhole, type Rehearsal } from '@icy-ribbon/core/piece/rehearse';
import type { MakeKernel } from '@icy-ribbon/core/flow/solver';

/** Cells along the longer side: what a photo can tell, at a bearable time. */
const CELLS = 112;

/**
 * What is true in the stand-in's invented world and nobody there knows: how hard its artist blows, how the air rubs and the paint thins, how a sheet
 * opens, and that cells come out larger than the laws expect. Who measures enough pours finds it out.
 *
 * Invented for the camera stand-in only; the application claims nothing from it.
 */
export const WORLD = {
  strength: 2.6,
  friction: 0.03,
  tauHalfPa: 4,
  ruptureM: 2.2e-4,
  spreadingNM: 4e-3,
  netM: 4e-4,
  /** Cells as wide as the laws expect times this, mm within bounds. */
  cellsTimes: 1.5,
  cellsMm: [1.5, 5],
} as const;

/** What came of a pour in that world: the film of what was recorded, blown from the first pass to the last and left to stand. */
export function filmOfPour(pour: PourRecord, makeKernel: MakeKernel): Rehearsal {
  const { strength, cellsTimes, cellsMm } = WORLD;
  const [least, most] = cellsMm;
  const expectedMm = expectedOf(pour)?.mm ?? least / cellsTimes;
  const cellMm = Math.min(most, Math.max(least, cellsTimes * expectedMm));
  const unknowns = withValues(WORLD);
  const cells = { ...unknowns.cells, spacingM: spacingForCells(cellMm) };
  return rehearseWhole(sceneOfPour(pour, strength), CELLS, makeKernel, { ...unknowns, cells });
}
