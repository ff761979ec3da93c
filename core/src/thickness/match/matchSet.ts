import { thicknessOf, type Belief } from '../learn/index.ts';
import type { NamedCup } from '../../paint/mix/index.ts';
import {
  chanceInside,
  LIMITS,
  NO_AIMS,
  windowFor,
  type Aims,
  type Technique,
  type ThicknessWindow,
} from '../../paint/stage/index.ts';
import {
  nextAddition,
  SURE_SHARE,
  type AdditionOptions,
  type MatchCup,
  type NextAddition,
} from './nextAddition.ts';

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
/** Cups that are laid side by side come this near to their one target: two of them are alike then. */
const SIDE_BY_SIDE_LN = Math.log(LIMITS.alikeRatio) / 2;
/** One cup that cannot get there costs more than any amount of paint. */
const STUCK_MG = 1e9;

/**
 * Brings all cups of a piece to where the technique wants them, by additions only, with the least added.
 *
 * Rules (common practice, no published source): a group that is laid side by side (base and colors of a
 * Dutch pour or a swipe) stays as it is when it is alike inside its window; else it gets one thickness, wherever in the
 * band that is aimed at that costs the least paint and keeps every water limit and cup, or in the whole window where the
 * band cannot be reached. Pillow, colors and activator of a bloom each come into their own; an activator or a swiped
 * color clearly thinner than the colors under it.
 */
export function matchSet(
  belief: Belief,
  technique: Technique,
  cups: readonly SetCup[],
  aims: Aims = NO_AIMS,
): MatchPlan {
  const isAbove = ({ role }: SetCup) => role === 'activator' || role === 'swipe';
  const under = matched(
    belief,
    cups.filter((cup) => !isAbove(cup)),
    (cup) => windowFor(technique, cup.role, aims),
  );
  // What lies on top is held against the colors as they will be.
  const thinnest = Math.min(
    ...under.cups.filter(({ id }) => roleIn(cups, id) === 'color').map(comingPaS(technique, aims)),
  );
  const above = matched(belief, cups.filter(isAbove), (cup) => windowOver(technique, cup, thinnest, aims));
  const all = [...under.cups, ...above.cups];
  return {
    groups: [...under.groups, ...above.groups],
    cups: cups.map((cup) => all.find((each) => each.id === cup.id)!),
    addMg: all.reduce((sum, cup) => sum + cup.addMg, 0),
    feasible: all.every((cup) => isFeasible(cup.addition)),
  };
}

const roleIn = (cups: readonly SetCup[], id: string) => cups.find((cup) => cup.id === id)?.role;

/** How thick a color will be once it is matched; one that is too thin is on its way into its own window. */
const comingPaS =
  (technique: Technique, aims: Aims) =>
  ({ targetPaS, addition }: MatchedCup): number => {
    const window = windowFor(technique, 'color', aims);
    const paS =
      addition.kind === 'thin' || addition.kind === 'thicken'
        ? (targetPaS ?? addition.now.viscosityPaS)
        : addition.now.viscosityPaS;
    return window && paS < window.thinPaS ? window.aim.thinPaS : paS;
  };

/** Cups of one part of a set, each group brought into its window. */
function matched(
  belief: Belief,
  cups: readonly SetCup[],
  windowOf: (cup: SetCup) => ThicknessWindow | undefined,
): Pick<MatchPlan, 'groups' | 'cups'> {
  const groups = new Map<string, { window: ThicknessWindow; cups: SetCup[] }>();
  const others: MatchedCup[] = [];
  for (const cup of cups) {
    const window = windowOf(cup);
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
  return {
    groups: plans.map((plan) => plan.group),
    cups: [...plans.flatMap((plan) => plan.cups), ...others],
  };
}

/** What lies on top of the colors has to be clearly thinner than the thinnest of them. */
function windowOver(
  technique: Technique,
  cup: SetCup,
  thinnest: number,
  aims: Aims,
): ThicknessWindow | undefined {
  const window = windowFor(technique, cup.role, aims);
  if (!window || thinnest === Infinity) return window;
  const { aim, most } = LIMITS.activatorToColors;
  // Over colors that are thin themselves nothing can be clearly thinner without denting them.
  const thickPaS = Math.max(ROOM * window.thinPaS, Math.min(window.thickPaS, most * thinnest));
  const aimPaS = Math.max(ROOM * window.aim.thinPaS, Math.min(window.aim.thickPaS, aim * thinnest));
  return { ...window, thickPaS, aim: { thinPaS: window.aim.thinPaS, thickPaS: Math.min(aimPaS, thickPaS) } };
}

/** A window is at least so wide, thick to thin. */
const ROOM = 1.4;

const isFeasible = (addition: NextAddition): boolean =>
  addition.kind === 'there' ||
  addition.kind === 'read' ||
  (addition.kind !== 'stuck' && addition.limit === null);

function toTarget(belief: Belief, cup: SetCup, targetPaS: number, options?: AdditionOptions): MatchedCup {
  const addition = nextAddition(belief, cup, targetPaS, options);
  const addMg = 'need' in addition ? addition.need.reduce((sum, each) => sum + each.mg, 0) : 0;
  return { id: cup.id, name: cup.name, targetPaS, addition, addMg };
}

/** The thickness to which all of them come with the least added. */
function oneThickness(belief: Belief, window: ThicknessWindow, cups: readonly SetCup[]) {
  const asTheyAre = alikeAlready(belief, window, cups);
  if (asTheyAre) return asTheyAre;
  const inAim = cheapest(belief, window.aim, cups);
  const best =
    inAim.cost < STUCK_MG
      ? inAim
      : [inAim, cheapest(belief, window, cups)].sort((a, b) => a.cost - b.cost)[0]!;
  return besidePace(belief, window, cups, groupOf(window, best.targetPaS, best.cups));
}

/** Cups that are alike inside their window need nothing. */
function alikeAlready(belief: Belief, window: ThicknessWindow, cups: readonly SetCup[]) {
  const logs = cups.map((cup) => Math.log(thicknessOf(belief, cup.ingredients, cup.contentsMg).viscosityPaS));
  const targetPaS = Math.exp((Math.min(...logs) + Math.max(...logs)) / 2);
  if (targetPaS < window.thinPaS || targetPaS > window.thickPaS) return undefined;
  if (Math.max(...logs) - Math.min(...logs) > Math.log(LIMITS.alikeRatio)) return undefined;
  const members = cups.map((cup) => toTarget(belief, cup, targetPaS, { window, nearLn: SIDE_BY_SIDE_LN }));
  return besidePace(belief, window, cups, groupOf(window, targetPaS, members));
}

/**
 * Where the cup that sets the pace stays as it is, the others have to be level with it, whatever its own thickness is in
 * Pa.s: a race tells that better than anything, and without a reference.
 */
function besidePace(
  belief: Belief,
  window: ThicknessWindow,
  cups: readonly SetCup[],
  matched: ReturnType<typeof groupOf>,
): ReturnType<typeof groupOf> {
  const pace = cups.find(({ id }) => id === matched.group.paceId);
  const own = matched.cups.find(({ id }) => id === pace?.id);
  if (!pace || !own || own.addMg > 0 || !isFeasible(own.addition)) return matched;
  const { now } = own.addition;
  const stays: MatchedCup = {
    ...own,
    addition:
      chanceInside(now, window) >= SURE_SHARE ? { kind: 'there', now } : { kind: 'read', now, need: [] },
  };
  const options = { nearLn: SIDE_BY_SIDE_LN, against: pace };
  const { targetPaS } = matched.group;
  const members = cups.map((cup) => (cup.id === pace.id ? stays : toTarget(belief, cup, targetPaS, options)));
  return { group: matched.group, cups: members };
}

function cheapest(
  belief: Belief,
  { thinPaS, thickPaS }: { readonly thinPaS: number; readonly thickPaS: number },
  cups: readonly SetCup[],
) {
  const own = cups
    .map((cup) => thicknessOf(belief, cup.ingredients, cup.contentsMg).viscosityPaS)
    .filter((paS) => paS >= thinPaS && paS <= thickPaS);
  const span = Math.log(thickPaS / thinPaS);
  const grid = Array.from({ length: STEPS + 1 }, (_, step) => thinPaS * Math.exp((span * step) / STEPS));
  let best: { cost: number; targetPaS: number; cups: MatchedCup[] } | undefined;
  for (const targetPaS of [...own, ...grid]) {
    const members = cups.map((cup) => toTarget(belief, cup, targetPaS, { nearLn: SIDE_BY_SIDE_LN }));
    const cost = members.reduce((sum, cup) => sum + cup.addMg + (isFeasible(cup.addition) ? 0 : STUCK_MG), 0);
    if (!best || cost < best.cost) best = { cost, targetPaS, cups: members };
  }
  return best!;
}

function groupOf({ label }: ThicknessWindow, targetPaS: number, members: MatchedCup[]) {
  const off = (cup: MatchedCup) => Math.abs(Math.log(cup.addition.now.viscosityPaS / targetPaS));
  const pace =
    members.find((cup) => !isFeasible(cup.addition)) ??
    [...members].sort((a, b) => a.addMg - b.addMg || off(a) - off(b))[0];
  return { group: { label, targetPaS, paceId: pace?.id ?? null }, cups: members };
}

/** Each one into the window by itself, from the nearer end. */
function ownWindows(belief: Belief, window: ThicknessWindow, cups: readonly SetCup[]) {
  const members = cups.map((cup): MatchedCup => {
    const now = thicknessOf(belief, cup.ingredients, cup.contentsMg);
    const { aim } = window;
    const isOut = now.viscosityPaS > window.thickPaS || now.viscosityPaS < window.thinPaS;
    const thick = (isOut ? aim : window).thickPaS * Math.exp(-INSIDE_LN);
    const thin = (isOut ? aim : window).thinPaS * Math.exp(INSIDE_LN);
    if (chanceInside(now, window) >= SURE_SHARE) {
      const addition = { kind: 'there', now } as const;
      return { id: cup.id, name: cup.name, targetPaS: now.viscosityPaS, addition, addMg: 0 };
    }
    return toTarget(belief, cup, Math.min(thick, Math.max(thin, now.viscosityPaS)), { window });
  });
  return { group: { label: window.label, targetPaS: null, paceId: null }, cups: members };
}
