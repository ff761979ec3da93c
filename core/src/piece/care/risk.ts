import { LIMITS, type Technique } from '../../paint/stage/index.ts';
import { supportTraits, type SupportKind } from '../support/index.ts';

export const RISK_CODES = ['middle-last', 'cracks', 'rim-cracks', 'warps', 'sags'] as const;
export type RiskCode = (typeof RISK_CODES)[number];

export interface DryingRisk {
  readonly code: RiskCode;
  /** 0 hardly, 1 at the line where the trade says it happens; above that more. */
  readonly weight: number;
}

/** From this share of the line on a risk is spoken of. */
const SPEAKS_FROM = 0.75;
/** A board bows toward wet paint of this thickness on one face (an assumption), mm. */
const BOWS_FROM_MM = 1;

/**
 * What may happen to a piece as it dries, the likeliest first: where it stays too thick it cracks, its middle dries last, a
 * bare rim cracks, a board warps, cloth sags in the middle. Lines: `LIMITS` (common practice, no published source).
 *
 * @param film.thickMm where most of the paint lies
 * @example dryingRisks({ technique: 'dutch', thickMm: 3, kind: 'panel' })[0].code // 'warps'
 */
export function dryingRisks({
  technique,
  thickMm,
  kind,
}: {
  readonly technique: Technique;
  readonly thickMm: number;
  readonly kind: SupportKind | undefined;
}): DryingRisk[] {
  const thick = technique === 'bloom' ? LIMITS.middleMm.thick : LIMITS.filmMm.thick;
  const weight = thickMm / thick;
  const { hasBareRim, warps, sags } = supportTraits(kind);
  const risks: DryingRisk[] = [
    { code: 'middle-last', weight: weight * (sags ? 1.1 : 0.9) },
    { code: 'cracks', weight },
    ...(hasBareRim ? [{ code: 'rim-cracks', weight: 1.1 * weight } as const] : []),
    ...(warps ? [{ code: 'warps', weight: thickMm / BOWS_FROM_MM } as const] : []),
    ...(sags ? [{ code: 'sags', weight: 0.9 * weight } as const] : []),
  ];
  return risks.filter((risk) => risk.weight >= SPEAKS_FROM).sort((a, b) => b.weight - a.weight);
}
