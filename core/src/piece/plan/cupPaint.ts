import {
  isPaint,
  materialKind,
  type Finish,
  type MaterialKind,
  type Opacity,
} from '../../paint/material/index.ts';
import type { CupRole } from '../../paint/stage/index.ts';
import type { PlanPaint } from './plan.ts';

/** A cup as a paint of the plan: its thickness and weight from its state, its look from its strongest paint. */
export function cupPaint(
  cup: {
    readonly id: string;
    readonly name: string;
    readonly role: CupRole;
    readonly recipe?: { readonly doseFactor?: number | null };
    readonly ingredients: readonly {
      readonly targetMg: number;
      readonly material: {
        readonly kind: MaterialKind;
        readonly finish: Finish;
        readonly opacity: Opacity;
      };
    }[];
  },
  state: { readonly viscosityPaS: number; readonly densityGPerMl: number },
  colorHex: string,
): PlanPaint {
  const strongest = [...cup.ingredients]
    .filter(({ material }) => isPaint(material.kind) || materialKind(material.kind).group === 'powder')
    .sort((a, b) => b.targetMg - a.targetMg)[0];
  return {
    id: cup.id,
    name: cup.name,
    role: cup.role,
    colorHex,
    viscosityPaS: state.viscosityPaS,
    densityGPerMl: state.densityGPerMl,
    opacity: strongest?.material.opacity ?? 'transparent',
    finish: strongest?.material.finish ?? 'plain',
    ...(cup.recipe?.doseFactor ? { doseFactor: cup.recipe.doseFactor } : {}),
  };
}
