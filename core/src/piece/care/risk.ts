import { normalBelow } from '../../base/statistics/index.ts';
import { LIMITS } from '../../paint/stage/index.ts';
import { supportTraits, type SupportKind } from '../support/index.ts';

export const RISK_CODES = ['middle-last', 'cracks', 'rim-cracks', 'warps', 'sags'] as const;
export type RiskCode = (typeof RISK_CODES)[number];

export interface DryingRisk {
  readonly code: RiskCode;
  /** That it happens: a half at the line where the trade says it does. */
  readonly chance: number;
}

/** From this chance on a risk is spoken of. */
const SPEAKS_FROM = 0.4;
/** How unsure the logarithm of a depth worked out of a record is, and that of the trade's lines (estimates). */
const DEPTH_SD_LN = 0.25;
const LINE_SD_LN = 0.25;
/** A board bows toward wet paint of this thickness on one face (an assumption), mm. */
const BOWS_FROM_MM = 1;

/**
 * What may happen to a piece as it dries, the likeliest first: where it stays too thick it cracks, its middle dries last, a
 * bare rim cracks, a board warps, cloth sags in the middle; each as a chance, from how unsure depth and lines are. Lines: `LIMITS` (common practice, no published source).
 *
 * @param film.thickMm where most of the paint lies
 * @example dryingRisks({ thickMm: 3, isMiddle: false, kind: 'panel' })[0].code // 'warps'
 */
export function dryingRisks({
  thickMm,
  isMiddle,
  kind,
}: {
  readonly thickMm: number;
  /** It lies so in the middle of a flower, and not all over. */
  readonly isMiddle: boolean;
  readonly kind: SupportKind | undefined;
}): DryingRisk[] {
  const { thick } = isMiddle ? LIMITS.middleMm : LIMITS.filmMm;
  const chance = (times: number, lineMm: number = thick) =>
    normalBelow(Math.log((times * thickMm) / lineMm), 0, Math.hypot(DEPTH_SD_LN, LINE_SD_LN));
  const { hasBareRim, warps, sags } = supportTraits(kind);
  const risks: DryingRisk[] = [
    { code: 'middle-last', chance: chance(sags ? 1.1 : 0.9) },
    { code: 'cracks', chance: chance(1) },
    ...(hasBareRim ? [{ code: 'rim-cracks', chance: chance(1.1) } as const] : []),
    ...(warps ? [{ code: 'warps', chance: chance(1, BOWS_FROM_MM) } as const] : []),
    ...(sags ? [{ code: 'sags', chance: chance(0.9) } as const] : []),
  ];
  return risks.filter((risk) => risk.chance >= SPEAKS_FROM).sort((a, b) => b.chance - a.chance);
}
