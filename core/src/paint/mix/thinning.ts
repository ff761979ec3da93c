import { materialKind, type MaterialKind } from '../material/index.ts';
import { stageCenter, stageOf, STAGES, type StageName } from '../stage/index.ts';
import { toG, toMg } from '../../base/unit/mass.ts';
import type { CupRecord, CupState } from './cup.ts';
import { thin } from './thin.ts';

export interface ThinningStep {
  readonly ingredientId: string;
  /** What to stir in now: 80 % of the computed need, whole milligrams. */
  readonly mg: number;
  readonly needMg: number;
}

/**
 * The next step of thinning a mixed cup to a stage: what to stir in before looking again.
 *
 * @returns `undefined` when the cup is at the stage or thinner already, or has no such thinner
 */
export function thinningStep(
  cup: CupRecord,
  state: CupState,
  thinning: { readonly with: MaterialKind; readonly to: StageName },
): ThinningStep | undefined {
  const order = STAGES.map((stage) => stage.name);
  const now = order.indexOf(stageOf(state.properties.viscosityPaS).name as StageName);
  if (now >= order.indexOf(thinning.to)) return undefined;
  const thinner = cup.ingredients.find((each) => each.material.kind === thinning.with);
  if (!thinner) return undefined;
  const parts = cup.ingredients.map((each, index) => ({
    massG: toG(state.actualIngredientMg[index] ?? 0),
    viscosityPaS: each.material.viscosityPaS,
    densityGPerMl: each.material.densityGPerMl,
  }));
  const target = Math.max(stageCenter(thinning.to), 1.05 * materialKind(thinning.with).viscosityPaS);
  if (target >= state.properties.viscosityPaS) return undefined;
  const { addG, adviseG } = thin(parts, target, thinner.material);
  return { ingredientId: thinner.id, mg: toMg(adviseG), needMg: toMg(addG) };
}
