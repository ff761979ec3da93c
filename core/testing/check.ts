import { amounts } from '../src/piece/amount/index.ts';
import type { CheckCup, CheckInput } from '../src/piece/check/index.ts';
import { layOut, type Plan, type PlanPaint } from '../src/piece/plan/index.ts';
import type { SupportSize } from '../src/piece/support/index.ts';
import { counting, paint } from './plan.ts';

/** A bloom on a board of 30 x 40 cm whose thicknesses contrast as they should, for tests of the check. */
export const BOARD: SupportSize = { shape: 'rectangle', widthMm: 300, heightMm: 400, sideDepthMm: 20 };
export const RUST = paint('rust', { colorHex: '#9c4a2c', densityGPerMl: 1.2 });
export const BLOOM_PAINTS = [
  paint('wall', { role: 'pillow', viscosityPaS: 4, densityGPerMl: 1.35, colorHex: '#f4f2ee' }),
  RUST,
  paint('tide', { colorHex: '#b8452c', densityGPerMl: 1.12, viscosityPaS: 2.2 }),
  paint('net', { role: 'activator', colorHex: '#f3f2ec', viscosityPaS: 0.6, densityGPerMl: 1.2 }),
] as const;
export const BLOOM = layOut('center-bloom', {
  support: BOARD,
  technique: 'bloom',
  paints: BLOOM_PAINTS,
  newId: counting(),
});

/** A cup that is mixed, full, rested and tested. */
export const readyCup = (
  { id, name, role, viscosityPaS }: PlanPaint,
  changes: Partial<CheckCup> = {},
): CheckCup => ({
  ...{ id, name, role, viscosityPaS },
  spreadLn: 0.1,
  mixed: true,
  leftG: 2000,
  testedToday: true,
  restHours: 0,
  water: 'fine',
  weakFilm: false,
  silicone: false,
  ...changes,
});

/** All that the check reads, every cup ready. */
export function checkInput(plan: Plan, changes: Partial<CheckInput> = {}): CheckInput {
  const all = changes.paints ?? BLOOM_PAINTS;
  return {
    technique: 'bloom',
    support: BOARD,
    plan,
    paints: all,
    cups: all.map((each) => readyCup(each)),
    blowers: [],
    amounts: amounts(BOARD, plan, all),
    ticked: [],
    ...changes,
  };
}
