import type { Amounts } from '@icy-ribbon/core/piece/amount';

export interface PlanCost {
  readonly cents: number;
  /** Paints whose price is not known. */
  readonly unknown: number;
}

/** What a plan's paint costs, by what a gram of each cup costs. */
export function planCost(amounts: Amounts | null, perG: ReadonlyMap<string, number | null>): PlanCost {
  return (amounts?.paints ?? []).reduce<PlanCost>(
    (sum, { cupId, massG }) => {
      const cents = perG.get(cupId) ?? null;
      return cents === null
        ? { ...sum, unknown: sum.unknown + 1 }
        : { ...sum, cents: sum.cents + cents * massG };
    },
    { cents: 0, unknown: 0 },
  );
}

/** "costs 8.40, 1 without a price". */
export function centsWords({ cents, unknown }: PlanCost, show: (cents: number) => string): string {
  if (cents === 0 && unknown > 0) return 'no prices on the shelf';
  const lacking = unknown > 0 ? `, ${unknown} without a price` : '';
  return `costs ${show(cents)}${lacking}`;
}
