import { thicknessOf, type Belief } from '../learn/index.ts';
import type { NamedCup } from '../../paint/mix/index.ts';
import { windowFor, type Technique, type ThicknessWindow } from '../../paint/stage/index.ts';
import { nextAddition, type MatchCup, type NextAddition } from './nextAddition.ts';

export interface SetCup extends MatchCup, NamedCup {}

export interface MatchedCup {
  readonly id: string;
  readonly name: string;
  /** Where it is to go; null for a cup the technique asks nothing of. */
  readonly targetPaS: number | null;
  readonly addition: NextAddition;
  readonly addMg: number;
}

export interface MatchPlan {
  /** The one thickness of a matched group, with its cups; a bloom's groups have no common one. */
  readonly groups: readonly {
    readonly label: string;
    readonly targetPaS: number | null;
    /** The cup that sets the pace: the others come to it. */
    readonly paceId: string | null;
  }[];
  readonly cups: readonly MatchedCup[];
  readonly addMg: number;
  /** True when every cup gets there within its limits. */
  readonly feasible: boolean;
}

const STEPS = 80;
/** A cup that lies outside its window is brought this far inside, in ln(viscosity). */
const INSIDE_LN = 0.15;
/** One cup that cannot get there costs more than any amount of paint. */
const STUCK_MG = 1e9;

/**
 * Brings all cups of a piece to where the technique wants them, by additions only, with the least added.
 *
 * Rules (common practice, no published source): a group that is laid side by side (base and colors of a
 * Dutch pour or a swipe) gets one thickness, wherever in its window that costs the least paint and keeps
 * every water limit and cup; pillow, colors and activator of a bloom each come into their own window.
 */
export function matchSet(belief: Belief, technique: Technique, cups: readonly SetCup[]): MatchPlan {
  const groups = new Map<string, { window: ThicknessWindow; cups: SetCup[] }>();
  const others: MatchedCup[] = [];
  for (const cup of cups) {
    const window = windowFor(technique, cup.role);
    if (!window) {
      const now = thicknessOf(belief, cup.ingredients, cup.contentsMg);
      others.push({
        id: cup.id,
        name: cup.name,
        targetPaS: null,
        addition: { kind: 'there', now },
        addMg: 0,
      });
      continue;
    }
    const group = groups.get(window.label) ?? { window, cups: [] };
    groups.set(window.label, { window, cups: [...group.cups, cup] });
  }
  const plans = [...groups.values()].map(({ window, cups: members }) =>
    window.roles.includes('base')
      ? oneThickness(belief, window, members)
      : ownWindows(belief, window, members),
  );
  const matched = [...plans.flatMap((plan) => plan.cups), ...others];
  return {
    groups: plans.map((plan) => plan.group),
    cups: cups.map((cup) => matched.find((each) => each.id === cup.id)!),
    addMg: matched.reduce((sum, cup) => sum + cup.addMg, 0),
    feasible: matched.every((cup) => isFeasible(cup.addition)),
  };
}

const isFeasible = (addition: NextAddition): boolean =>
  addition.kind === 'there' || (addition.kind !== 'stuck' && addition.limit === null);

function toTarget(belief: Belief, cup: SetCup, targetPaS: number): MatchedCup {
  const addition = nextAddition(belief, cup, targetPaS);
  const addMg =
    addition.kind === 'thin' || addition.kind === 'thicken'
      ? addition.need.reduce((sum, each) => sum + each.mg, 0)
      : 0;
  return { id: cup.id, name: cup.name, targetPaS, addition, addMg };
}

/** The thickness in the window to which all of them come with the least added. */
function oneThickness(belief: Belief, window: ThicknessWindow, cups: readonly SetCup[]) {
  const own = cups
    .map((cup) => thicknessOf(belief, cup.ingredients, cup.contentsMg).viscosityPaS)
    .filter((paS) => paS >= window.thinPaS && paS <= window.thickPaS);
  const span = Math.log(window.thickPaS / window.thinPaS);
  const grid = Array.from(
    { length: STEPS + 1 },
    (_, step) => window.thinPaS * Math.exp((span * step) / STEPS),
  );
  let best: { cost: number; targetPaS: number; cups: MatchedCup[] } | undefined;
  for (const targetPaS of [...own, ...grid]) {
    const members = cups.map((cup) => toTarget(belief, cup, targetPaS));
    const cost = members.reduce((sum, cup) => sum + cup.addMg + (isFeasible(cup.addition) ? 0 : STUCK_MG), 0);
    if (!best || cost < best.cost) best = { cost, targetPaS, cups: members };
  }
  const { targetPaS, cups: members } = best!;
  const off = (cup: MatchedCup) => Math.abs(Math.log(cup.addition.now.viscosityPaS / targetPaS));
  const pace =
    members.find((cup) => !isFeasible(cup.addition)) ??
    [...members].sort((a, b) => a.addMg - b.addMg || off(a) - off(b))[0];
  return { group: { label: window.label, targetPaS, paceId: pace?.id ?? null }, cups: members };
}

/** Each one into the window by itself, from the nearer end. */
function ownWindows(belief: Belief, window: ThicknessWindow, cups: readonly SetCup[]) {
  const members = cups.map((cup): MatchedCup => {
    const now = thicknessOf(belief, cup.ingredients, cup.contentsMg);
    const thick = window.thickPaS * Math.exp(-INSIDE_LN);
    const thin = window.thinPaS * Math.exp(INSIDE_LN);
    if (now.viscosityPaS <= window.thickPaS && now.viscosityPaS >= window.thinPaS) {
      const addition = { kind: 'there', now } as const;
      return { id: cup.id, name: cup.name, targetPaS: now.viscosityPaS, addition, addMg: 0 };
    }
    return toTarget(belief, cup, now.viscosityPaS > window.thickPaS ? thick : thin);
  });
  return { group: { label: window.label, targetPaS: null, paceId: null }, cups: members };
}
