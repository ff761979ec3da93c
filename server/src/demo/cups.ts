import type { Addition, Material, Mix } from '@icy-ribbon/contract';
import { gaussian } from '@icy-ribbon/core/base/random';
import { weighingSteps } from '@icy-ribbon/core/paint/mix';
import { recipesFor, SCHOOLS } from '@icy-ribbon/core/paint/recipe';
import type { CupRole } from '@icy-ribbon/core/paint/stage';
import { paintedArea } from '@icy-ribbon/core/piece/support';
import type { DemoStock, DemoTools } from './stock.ts';
import type { DemoPiece } from './scenario.ts';

/** The cups of a piece as they are wanted: their paint, recipe and weight. */
export function planCups(told: DemoPiece, stock: DemoStock) {
  const { faceCm2, sidesCm2 } = paintedArea(stock.support);
  const baseG = told.technique === 'dutch' ? 0.16 * (faceCm2 + sidesCm2) : 0.16 * faceCm2;
  // A planned bloom is mixed as its plan asks.
  const bloomShare = told.layout ? 0.115 : 0.1;
  const colorG = ((told.technique === 'dutch' ? 0.035 : bloomShare) * faceCm2) / told.colors.length;
  const cup = (role: CupRole, paint: Material, grams: number) => ({
    role,
    paint,
    recipe: recipesFor(SCHOOLS, told.technique, role)[0]!,
    totalMg: Math.round(grams) * 1000,
  });
  return [
    cup(told.technique === 'dutch' ? 'base' : 'pillow', stock.paints[told.base], baseG),
    ...told.colors.map((name) =>
      cup('color', stock.paints[name], Math.max(told.technique === 'dutch' ? 5 : 12, colorG)),
    ),
    ...(told.activator
      ? [
          cup(
            'activator',
            stock.paints[told.activator],
            Math.max(
              4,
              0.008 * faceCm2 * (told.activatorDose ?? 1) * (0.75 + 0.25 * (told.activatorThinner ?? 1)),
            ),
          ),
        ]
      : []),
  ];
}

/** A hand at the scale: close to the target, a little over or under, readings in steps of 0.05 g. */
export function weighIn(
  mix: Mix,
  told: DemoPiece,
  unfinished: boolean,
  { clock, random, makeId }: Pick<DemoTools, 'random' | 'makeId'> & { clock: (minutes: number) => string },
): Mix {
  const steps = weighingSteps(mix.ingredients);
  const additions = steps.slice(0, unfinished ? 2 : undefined).map((step, index): Addition => {
    const ingredient = mix.ingredients.find((each) => each.id === step.ingredientId);
    const thinner =
      mix.role === 'activator' && ingredient?.role !== 'paint' ? (told.activatorThinner ?? 1) : 1;
    const aimMg = step.mg * (ingredient?.role === 'water' ? told.waterShare : thinner);
    const mg = Math.round((aimMg + Math.max(20, 0.006 * aimMg) * gaussian(random)) / 50) * 50;
    return {
      id: makeId(),
      ingredientId: step.ingredientId,
      mg,
      source: 'scale',
      at: clock(0.5),
      drawId: null,
      place: index + 1,
    };
  });
  return { ...mix, additions, version: 1 + additions.length };
}
