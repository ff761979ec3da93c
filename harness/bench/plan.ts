import { amounts } from '@icy-ribbon/core/piece/amount';
import { check, type CheckCup } from '@icy-ribbon/core/piece/check';
import type { OrderLayer } from '@icy-ribbon/core/piece/order';
import { layOut, type Plan, type PlanPaint } from '@icy-ribbon/core/piece/plan';

/** A made-up plan of twelve stacks and sixty strokes, and eight colors to be put in order. */
const HEXES = ['#9c4a2c', '#26333f', '#8a9a5b', '#e6e1d6', '#c08a2e', '#6f93a8', '#7a2f4a', '#1f7f74'];

const colors = HEXES.map((colorHex, index): PlanPaint => ({
  id: `c${index}`,
  name: `color ${index}`,
  role: 'color',
  colorHex,
  viscosityPaS: 2 + 0.1 * index,
  densityGPerMl: 1.06 + 0.03 * index,
  opacity: index % 2 === 0 ? 'opaque' : 'transparent',
  finish: index === 4 ? 'metallic' : 'plain',
}));

let round = 0;

/** Eight colors that were not seen before, so that nothing about them is known yet. */
export function freshLayers(): OrderLayer[] {
  round += 1;
  return colors.map((paint) => {
    const channels = Number.parseInt(paint.colorHex.slice(1), 16) ^ (round % 4096);
    const colorHex = `#${channels.toString(16).padStart(6, '0')}`;
    return { id: paint.id, paint: { ...paint, colorHex }, massG: 10 };
  });
}

const support = { shape: 'rectangle', widthMm: 700, heightMm: 500, sideDepthMm: 20 } as const;
let count = 0;
const newId = () => `n${(count += 1)}`;
const paints = colors.slice(0, 5);
const one = layOut('center-bloom', { support, technique: 'bloom', paints, newId });

const twelve: Plan = {
  ...one,
  stacks: Array.from({ length: 12 }, (_, index) => ({
    ...one.stacks[0]!,
    id: newId(),
    footprintMm: 140,
    at: { x: 80 + 170 * (index % 4), y: 80 + 165 * Math.floor(index / 4) },
  })),
};
export const largePlan: Plan = {
  ...twelve,
  passes: twelve.stacks.flatMap((stack) =>
    Array.from({ length: 5 }, (_, index) => ({
      ...one.passes[0]!,
      id: newId(),
      at: stack.at,
      directionDeg: 72 * index,
    })),
  ),
};

const cups: readonly CheckCup[] = paints.map((paint) => ({
  ...paint,
  spreadLn: 0.1,
  mixed: true,
  leftG: 500,
  testedToday: true,
  restHours: 0,
  water: 'fine',
  weakFilm: false,
  silicone: false,
}));

/** Everything the Plan station works out anew at a change. */
export function workOut(): void {
  const found = amounts(support, largePlan, paints);
  check({
    technique: 'bloom',
    support,
    plan: largePlan,
    paints,
    cups,
    blowers: [],
    amounts: found,
    ticked: [],
  });
}
