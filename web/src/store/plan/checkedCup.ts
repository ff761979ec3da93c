import type { CheckCup } from '@icy-ribbon/core/piece/check';
import { holdsSilicone } from '@icy-ribbon/core/paint/material';
import type { PlanPaint } from '@icy-ribbon/core/piece/plan';
import dayjs from 'dayjs';
import type { Cup } from '../piece/piece.ts';

const HOUR_MS = 3_600_000;
/** Spread of ln(viscosity) of a cup that is only planned: what typical values of its materials leave open. */
const PLANNED_SPREAD_LN = 0.4;

/** A cup on the bench as the check before the pour sees it. */
export function checkedCup({ mix, state }: Cup, now: Date): CheckCup {
  const isMixed = state.phase === 'mixed';
  const mixedAt = Date.parse(mix.additions.at(-1)?.at ?? '');
  const restedHours = Number.isFinite(mixedAt) ? (now.getTime() - mixedAt) / HOUR_MS : 0;
  const dayStart = dayjs(now).startOf('day').valueOf();
  return {
    id: mix.id,
    name: mix.name,
    role: mix.role,
    viscosityPaS: state.properties.viscosityPaS,
    spreadLn: state.spreadLn,
    mixed: isMixed,
    leftG: isMixed ? state.leftMg / 1000 : 0,
    testedToday: state.lastReadAt !== null && Date.parse(state.lastReadAt) >= dayStart,
    restHours: Math.max(0, (mix.recipe.restHours ?? 0) - restedHours),
    water: state.water.level,
    weakFilm: state.film.weak,
    silicone: holdsSilicone(mix.ingredients, state.shownIngredientMg),
  };
}

/** A cup that is only planned; none when its recipe cannot be opened up. */
export function plannedCup(paint: PlanPaint | undefined): CheckCup[] {
  if (!paint) return [];
  return [
    {
      ...paint,
      spreadLn: PLANNED_SPREAD_LN,
      mixed: false,
      leftG: 0,
      testedToday: false,
      restHours: 0,
      water: 'fine',
      weakFilm: false,
      silicone: false,
    },
  ];
}
