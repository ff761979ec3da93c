import type { Mix } from '@icy-ribbon/contract';
import { toG } from '@icy-ribbon/core/base/unit';
import type { Cup } from '../store/piece/piece.ts';
import { cupFor, levelCm, type CupLayer, type CupShape } from './cup.ts';

/** The cup a mix is drawn in: large enough for its plan, or for what is in it if that is more. */
export function shapeOf({ mix, state }: Cup): CupShape {
  const plannedMl = volumeMl(mix, (index) => mix.ingredients[index]?.targetMg ?? 0);
  const actualMl = volumeMl(mix, (index) => state.actualIngredientMg[index] ?? 0);
  return cupFor(Math.max(plannedMl, actualMl));
}

/** How high the paint that is left stands in the cup as it is drawn, from 0 to 1. */
export function fillOf(cup: Cup): number {
  const { mix, state } = cup;
  if (state.actualMg <= 0) return 0;
  const shape = shapeOf(cup);
  const inMl = volumeMl(mix, (index) => Math.max(0, state.actualIngredientMg[index] ?? 0));
  return levelCm(shape, (inMl * state.leftMg) / state.actualMg) / shape.heightCm;
}

function volumeMl(mix: Mix, mgOf: (index: number) => number): number {
  return mix.ingredients.reduce(
    (sum, each, index) => sum + toG(mgOf(index)) / each.material.densityGPerMl,
    0,
  );
}

/** What is weighed in from the bottom up, and on top of it what is still to come. */
export function layersOf({ mix, state }: Cup): CupLayer[] {
  const layer = (index: number, mg: number, place: CupLayer['state']): CupLayer => {
    const { id, role, material } = mix.ingredients[index]!;
    return {
      id,
      label: material.name,
      role,
      colorHex: material.colorHex,
      mg,
      volumeMl: toG(mg) / material.densityGPerMl,
      state: place,
    };
  };
  const inCup = state.actualIngredientMg.map((mg, index) => layer(index, mg, 'in'));
  const toCome =
    state.phase === 'mixed'
      ? []
      : mix.ingredients.map((each, index) =>
          layer(index, each.targetMg - (state.actualIngredientMg[index] ?? 0), 'toCome'),
        );
  return [...inCup, ...toCome.filter((each) => isWorthDrawing(each, mix))].filter((each) => each.mg > 0);
}

const TRIFLE = 0.03;

/** What is missing within a hand's precision is not drawn as still to come. */
function isWorthDrawing(layer: CupLayer, mix: Mix): boolean {
  const target = mix.ingredients.find((each) => each.id === layer.id)?.targetMg ?? 0;
  return layer.mg > TRIFLE * target;
}
