import { InputError } from '@icy-ribbon/core/base/error';
import { resinAmounts, USUAL_VARNISH, varnishAmounts } from '@icy-ribbon/core/piece/finish';
import { paintedArea, type SupportSize } from '@icy-ribbon/core/piece/support';
import type { useCoatKit } from '#store/coatKit.ts';

type Kit = ReturnType<typeof useCoatKit>;

/** Face and sides of a piece, mm². */
export const coatedMm2 = (support: SupportSize, withSides: boolean): number => {
  const { faceCm2, sidesCm2 } = paintedArea(support);
  return 100 * (faceCm2 + (withSides ? sidesCm2 : 0));
};

/** A part of a coat as it is weighed. */
export interface CoatPart {
  readonly name: string;
  readonly mg: number;
  readonly ml: number;
  /** What its bottle still holds, mg; null: not said. */
  readonly leftMg: number | null;
}

/** What one pour or coat takes, and how many of them there are; or what is wrong with what was entered. */
export type CoatAnswer =
  | { readonly parts: readonly CoatPart[]; readonly times: number; readonly wrong: '' }
  | { readonly parts: readonly []; readonly times: 0; readonly wrong: string };

/**
 * A coat over some pieces by the kit as it was entered.
 *
 * @param supports of all the pieces that are coated together
 */
export function coatAnswer(
  kind: 'resin' | 'varnish',
  kit: Pick<Kit, 'resin' | 'varnish'>,
  supports: readonly SupportSize[],
): CoatAnswer {
  try {
    return {
      ...(kind === 'resin' ? resinParts(kit.resin, supports) : varnishParts(kit.varnish, supports)),
      wrong: '',
    };
  } catch (error) {
    if (error instanceof InputError) return { parts: [], times: 0, wrong: error.message };
    throw error;
  }
}

function resinParts(kit: Kit['resin'], supports: readonly SupportSize[]) {
  const amounts = resinAmounts({
    areaMm2: supports.reduce((sum, support) => sum + coatedMm2(support, false), 0),
    // The sides as one strip: their area is what counts.
    edgeMm: supports.reduce((sum, support) => sum + coatedMm2(support, true) - coatedMm2(support, false), 0),
    sideDepthMm: 1,
    thicknessMm: kit.thicknessMm ?? 0,
    dripShare: (kit.dripPercent ?? 0) / 100,
    ratio: { by: kit.by, a: kit.a ?? 0, b: kit.b ?? 0 },
    densityAGPerMl: kit.densityA ?? 0,
    densityBGPerMl: kit.densityB ?? 0,
    maxPourMm: kit.maxPourMm ?? 0,
  });
  const { pours, aG, aMl, bG, bMl } = amounts;
  const part = (name: string, g: number, ml: number, leftMg: number | null): CoatPart => ({
    name,
    mg: Math.round((1000 * g) / pours),
    ml: ml / pours,
    leftMg,
  });
  return {
    times: pours,
    parts: [part('Part A, resin', aG, aMl, kit.leftAMg), part('Part B, hardener', bG, bMl, kit.leftBMg)],
  };
}

function varnishParts(kit: Kit['varnish'], supports: readonly SupportSize[]) {
  const { coatG, coatMl } = varnishAmounts({
    areaMm2: supports.reduce((sum, support) => sum + coatedMm2(support, true), 0),
    coats: kit.coats ?? 0,
    wetMm: kit.wetMm ?? 0,
    densityGPerMl: kit.densityGPerMl ?? 0,
    lossShare: USUAL_VARNISH.lossShare,
  });
  return {
    times: kit.coats ?? 0,
    parts: [{ name: 'Gloss varnish', mg: Math.round(1000 * coatG), ml: coatMl, leftMg: kit.leftMg }],
  };
}
