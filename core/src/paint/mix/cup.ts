import {
  densityInMix,
  isPaint,
  materialKind,
  TRUSTS,
  viscositySdLn,
  type IngredientRole,
  type MaterialKind,
  type Trust,
} from '../material/index.ts';
import type { CupRole } from '../stage/index.ts';
import { toG } from '../../base/unit/mass.ts';
import { filmVerdict, type FilmVerdict } from './film.ts';
import { actualParts } from './parts.ts';
import { mixProperties, mixSpreadLn, type MixProperties } from './properties.ts';
import { waterVerdict, type WaterVerdict } from './water.ts';

/**
 * How something leaves a cup: a share of the mixed cup taken out or drawn into another cup, water dried
 * away, all that is left thrown out or poured over into another cup.
 */
export const MOVEMENT_KINDS = ['taken-out', 'drawn', 'loss', 'thrown', 'poured-over'] as const;
export type MovementKind = (typeof MOVEMENT_KINDS)[number];

/** A cup by its name and by what it is for. */
export interface NamedCup {
  readonly id: string;
  readonly name: string;
  readonly role: CupRole;
}

/** A cup with how thick its paint is, as far as that is known. */
export interface ThickCup extends NamedCup {
  readonly viscosityPaS: number;
  /** Standard deviation of its ln(viscosity). */
  readonly spreadLn: number;
}

/** What a cup's record must hold for its state to be computed. */
export interface CupRecord {
  readonly ingredients: readonly CupIngredient[];
  readonly additions: readonly {
    readonly ingredientId: string;
    readonly mg: number;
    readonly at?: string;
    readonly place?: number;
  }[];
  /** The recipe's own limit of water, if it sets one. */
  readonly recipe?: { readonly waterLimit?: number | null; readonly doseFactor?: number | null };
  /** What left the cup other than onto a support. */
  readonly movements?: readonly {
    readonly kind: MovementKind;
    readonly mg: number;
    readonly at: string;
    readonly place?: number;
  }[];
}

export interface CupIngredient {
  readonly id: string;
  readonly role: IngredientRole;
  readonly targetMg: number;
  readonly material: {
    readonly kind: MaterialKind;
    readonly densityGPerMl: number;
    readonly viscosityPaS: number;
    readonly viscosityTrust: Trust;
    /** Spread of its ln(viscosity) where readings taught it. */
    readonly viscositySdLn?: number | null;
    /** Found by the artist for this very material, in place of the kind's usual values. */
    readonly solids?: number | null;
    readonly waterLimit?: number | null;
  };
}

export interface CupState {
  readonly phase: 'planned' | 'weighing' | 'mixed';
  readonly targetMg: number;
  readonly actualMg: number;
  readonly leftMg: number;
  /**
   * In the cup so far, one for each ingredient: weighed in, less what was taken out or dried away; water below 0 is what
   * the cup lacks, as it left the paint and the media.
   */
  readonly actualIngredientMg: readonly number[];
  /** Still to be weighed in, one for each ingredient; nothing of one that comes close enough to its target. */
  readonly toComeMg: readonly number[];
  /** What everything below is computed from: as weighed while a mixed cup holds anything, else the targets. */
  readonly shownIngredientMg: readonly number[];
  /** Parts by weight with the paint as 1: as weighed once something is, as planned before. */
  readonly parts: readonly number[];
  /** From what was weighed in once the cup is mixed, from the targets before. */
  readonly properties: MixProperties;
  readonly spreadLn: number;
  readonly trust: Trust;
  readonly water: WaterVerdict;
  readonly film: FilmVerdict;
}

const isThrown = (cup: CupRecord): boolean =>
  cup.movements?.some(({ kind }) => kind === 'thrown' || kind === 'poured-over') ?? false;

/** A cup counts as mixed when every ingredient reached this share of its target. */
const MIXED_SHARE = 0.95;

/**
 * Everything a screen says of a cup, from its record.
 *
 * @param cup its ingredients with targets, and what was weighed in
 * @param pouredMg what was laid on the support so far, whole milligrams
 */
export function cupState(cup: CupRecord, pouredMg = 0): CupState {
  const actualIngredientMg = contentsMg(cup);
  const targetMg = cup.ingredients.reduce((sum, each) => sum + each.targetMg, 0);
  const actualMg = actualIngredientMg.reduce((sum, mg) => sum + mg, 0);
  const weighedMg = contentsMg(asFilled(cup));
  const toComeMg = cup.ingredients.map(({ targetMg: wanted }, index) => {
    const is = weighedMg[index] ?? 0;
    return is >= MIXED_SHARE * wanted ? 0 : wanted - is;
  });
  const mixed = toComeMg.every((mg) => mg === 0);
  const phase = mixed ? 'mixed' : actualMg > 0 ? 'weighing' : 'planned';
  const shownMg = cup.ingredients.map((each, index) =>
    phase === 'mixed' && actualMg > 0 ? (actualIngredientMg[index] ?? 0) : each.targetMg,
  );
  const properties = mixProperties(
    cup.ingredients.map((each, index) => ({
      massG: toG(shownMg[index] ?? 0),
      densityGPerMl: densityInMix(each.material),
      viscosityPaS: each.material.viscosityPaS,
      waterFraction: each.material.kind === 'water' ? 1 : 0,
    })),
  );
  const paint = cup.ingredients.find((each) => isPaint(each.material.kind));
  return {
    phase,
    targetMg,
    actualMg,
    leftMg: isThrown(cup) ? 0 : Math.max(0, actualMg - pouredMg),
    actualIngredientMg,
    toComeMg,
    shownIngredientMg: shownMg,
    parts: actualParts(cup.ingredients.map((each, index) => ({ role: each.role, mg: shownMg[index] ?? 0 }))),
    properties,
    spreadLn: mixSpreadLn(
      cup.ingredients.map((each, index) => ({
        massG: toG(shownMg[index] ?? 0),
        sdLn: each.material.viscositySdLn ?? viscositySdLn(each.material.kind, each.material.viscosityTrust),
      })),
    ),
    trust: leastTrust(cup.ingredients),
    water: waterVerdict(
      properties.waterFraction,
      paint?.material.kind ?? null,
      cup.recipe?.waterLimit ?? paint?.material.waterLimit ?? null,
    ),
    film: filmVerdict(
      cup.ingredients.map((each, index) => ({
        kind: each.material.kind,
        solids: each.material.solids ?? null,
        massG: toG(shownMg[index] ?? 0),
      })),
    ),
  };
}

/** A cup is trusted as far as the least known of its ingredients. */
const leastTrust = (ingredients: readonly CupIngredient[]): Trust =>
  TRUSTS.find((trust) =>
    ingredients.some(({ material }) => material.kind !== 'water' && material.viscosityTrust === trust),
  ) ?? 'measured';

/** Water that paint and media brought along themselves, most of which can dry away. */
function ownWaterMg(ingredients: readonly CupIngredient[], contents: readonly number[]): number {
  const mg = ingredients.reduce((sum, { material }, index) => {
    const solids = material.solids ?? materialKind(material.kind).solids;
    return sum + (material.kind === 'water' ? 0 : (1 - solids) * (contents[index] ?? 0));
  }, 0);
  return Math.floor(CAN_DRY * mg);
}

/** What does not dry in a cup before it is no paint any more. */
const CAN_DRY = 0.9;

/**
 * The most that can dry away from what a cup holds, whole milligrams: its added water and most of its paint's own.
 */
export function dryableMg(cup: CupRecord): number {
  const contents = contentsMg(cup);
  const waterMg = cup.ingredients.reduce(
    (sum, { material }, index) => sum + (material.kind === 'water' ? (contents[index] ?? 0) : 0),
    0,
  );
  return Math.max(0, waterMg + ownWaterMg(cup.ingredients, contents));
}

/** A cup from which others were filled, or that dried, stays mixed, however little is left in it. */
const asFilled = (cup: CupRecord): CupRecord => ({
  ...cup,
  movements: (cup.movements ?? []).filter(({ kind }) => kind !== 'drawn' && kind !== 'loss'),
});

/**
 * What is in a cup, ingredient by ingredient. Additions and movements count in the order of their numbers; where one has
 * none, by its time, so that a clock that was set back doesn't reverse them. A share that is taken or thrown out takes
 * the same part of every ingredient. A loss is water; where more dried away than was added, the cup lacks the rest,
 * because it came out of the paint and the media.
 *
 * @returns whole milligrams, one for each ingredient; below 0 for water that the cup lacks
 */
function contentsMg(cup: CupRecord): number[] {
  const contents = cup.ingredients.map(() => 0);
  const indexOf = new Map(cup.ingredients.map((each, index) => [each.id, index]));
  const waterIndex = cup.ingredients.findIndex((each) => each.material.kind === 'water');
  const happenings = [
    ...cup.additions.map(({ at = '', place = 0, ...addition }) => ({
      at,
      place,
      addition,
      movement: undefined,
    })),
    ...(cup.movements ?? []).map(({ at, place = 0, ...movement }) => ({
      at,
      place,
      addition: undefined,
      movement,
    })),
  ].sort((a, b) => a.place - b.place || (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));
  for (const { addition, movement } of happenings) {
    if (addition) {
      const index = indexOf.get(addition.ingredientId);
      if (index !== undefined) contents[index] = (contents[index] ?? 0) + addition.mg;
    } else if (movement?.kind === 'loss' && waterIndex >= 0) {
      const least = Math.min(contents[waterIndex]!, -ownWaterMg(cup.ingredients, contents));
      contents[waterIndex] = Math.max(least, contents[waterIndex]! - movement.mg);
    } else if (movement?.kind === 'taken-out' || movement?.kind === 'drawn') {
      const total = contents.reduce((sum, mg) => sum + mg, 0);
      const kept = total > 0 ? Math.max(0, 1 - movement.mg / total) : 1;
      contents.forEach((mg, index) => (contents[index] = Math.round(mg * kept)));
    }
  }
  return contents;
}
