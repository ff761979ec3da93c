import type { Mix } from '@icy-ribbon/contract';
import { bendName, composition, thicknessName } from '@icy-ribbon/core/thickness/learn';
import { isPaint } from '@icy-ribbon/core/paint/material';
import { cupState } from '@icy-ribbon/core/paint/mix';
import { gaussian, seededRandom } from '@icy-ribbon/core/base/random';

/** How far the demo's paints and media really lie from the usual value of their kind, in ln(viscosity). */
const SPREAD_LN = 0.28;
const BEND_SPREAD = 1;

/**
 * How thick a demo cup really is. Each material of the invented world has a thickness and a bend with
 * water of its own, which the studio does not know; its readings find out.
 */
export function trueThickness(mix: Mix): number {
  const { weights, offset } = composition(mix.ingredients, cupState(mix).shownIngredientMg);
  const lnPaS = mix.ingredients.reduce((sum, { material }) => {
    const { ln, bend } = natureOf(material.name, material.kind === 'water');
    return (
      sum +
      (weights[thicknessName(material.materialId)] ?? 0) * (Math.log(material.viscosityPaS) + ln) +
      (isPaint(material.kind) ? (weights[bendName(material.materialId)] ?? 0) * bend : 0)
    );
  }, offset);
  return Math.exp(lnPaS);
}

function natureOf(name: string, isWater: boolean): { ln: number; bend: number } {
  if (isWater) return { ln: 0, bend: 0 };
  const random = seededRandom([...name].reduce((hash, letter) => (hash * 31 + letter.charCodeAt(0)) | 0, 7));
  return { ln: SPREAD_LN * gaussian(random), bend: BEND_SPREAD * gaussian(random) };
}
