import fc from 'fast-check';
import { counting, readyCup } from '../../testing/index.ts';
import { materialKind, roleOf, type MaterialKind } from '../paint/material/index.ts';
import { filmVerdict, mixProperties, waterVerdict } from '../paint/mix/index.ts';
import {
  expand,
  findSchool,
  refusal,
  SCHOOLS,
  type IngredientSource,
  type Recipe,
} from '../paint/recipe/index.ts';
import { stageCenter, TECHNIQUES, type CupRole, type Technique } from '../paint/stage/index.ts';
import { amounts, baseAreas } from '../piece/amount/index.ts';
import { expectedCells, expectedOf } from './cells/index.ts';
import { coreSample, stackOf } from '../piece/stack/index.ts';
import { check, type CheckCup } from '../piece/check/index.ts';
import { runSheet } from '../piece/event/index.ts';
import {
  flowerDm2,
  layOut,
  LAYOUTS,
  type LayoutName,
  type Plan,
  type PlanPaint,
} from '../piece/plan/index.ts';
import type { SupportSize } from '../piece/support/index.ts';
import { learn } from '../thickness/learn/index.ts';
import { matchSet, type SetCup } from '../thickness/match/index.ts';
import { LIKELY, why } from './diagnose/index.ts';
import { FAULTS, type PouredCup, type PourRecord } from './outcome/index.ts';

/** A piece is planned, mixed and poured exactly as the product says: no station may accuse it then. */

/** Paints that go with each other and into no mud. */
const COLORS = ['#2f5d9b', '#3f8fb5', '#7fb8c9', '#dfe9ee'];

/** The paints a school is named with (common practice): tube where it says so, craft for the kitchen spoon. */
function paintKinds({ id, cupRoles, never }: Recipe): readonly MaterialKind[] {
  if (cupRoles.includes('activator') || never) return ['heavy-body-tube', 'artist-tube', 'student-tube'];
  if (id === 'D8') return ['craft', 'fluid'];
  if (id.startsWith('P')) return ['wall-paint'];
  if (id === 'B6') return ['fluid'];
  return ['heavy-body-tube', 'artist-tube', 'student-tube', 'soft-body', 'fluid'];
}

/** A recipe as it comes out of the scale: thinned to its stage, else as its parts make it. */
interface Made {
  readonly recipe: Recipe;
  readonly variant: string;
  readonly kind: MaterialKind;
  readonly viscosityPaS: number;
  readonly densityGPerMl: number;
  readonly waterFraction: number;
  readonly isWeak: boolean;
}

function made(recipe: Recipe, kind: MaterialKind, variant: string | null = null): Made {
  const kindOf = (of: IngredientSource): MaterialKind =>
    of.kind === 'paint' ? kind : of.kind === 'white' ? 'artist-tube' : of.material;
  const parts = recipe.variants?.find(({ name }) => name === variant)?.parts ?? recipe.parts;
  const open = expand(parts, {
    findRecipe: findSchool,
    densityOf: (source) => materialKind(kindOf(source)).densityGPerMl,
  }).map(({ of, share }) => ({ kind: kindOf(of), massG: share }));
  const mixed = mixProperties(
    open.map(({ kind: each, massG }) => ({
      ...materialKind(each),
      massG,
      waterFraction: roleOf(each) === 'water' ? 1 : 0,
    })),
  );
  const target = recipe.thinning ? stageCenter(recipe.thinning.to) : Infinity;
  return {
    ...{ recipe, kind, variant: variant ?? '' },
    viscosityPaS: Math.min(mixed.viscosityPaS, target),
    densityGPerMl: mixed.densityGPerMl,
    waterFraction: mixed.waterFraction,
    isWeak: filmVerdict(open).weak,
  };
}

const everyMade = (technique: Technique, role: CupRole): Made[] =>
  SCHOOLS.filter((recipe) => recipe.techniques.includes(technique) && recipe.cupRoles.includes(role)).flatMap(
    (recipe) =>
      [null, ...(recipe.variants ?? []).map(({ name }) => name)].flatMap((variant) =>
        paintKinds(recipe)
          .filter((kind) => refusal(recipe, kind) === undefined)
          .map((kind) => made(recipe, kind, variant)),
      ),
  );

interface Cup extends Made {
  readonly id: string;
  readonly role: CupRole;
  readonly colorHex: string;
}

/** The cups of a piece, brought to where Thickness sends them. */
function cupsOf(technique: Technique, color: Made, above: Made, ground: Made): Cup[] {
  const cup = (id: string, role: CupRole, from: Made, colorHex: string): Cup => ({
    ...from,
    id,
    role,
    colorHex,
  });
  const cups = [
    cup('ground', technique === 'bloom' ? 'pillow' : 'base', ground, '#f4f2ee'),
    ...COLORS.map((hex, index) => cup(`color ${index}`, 'color', color, hex)),
    ...(technique === 'bloom' || technique === 'swipe'
      ? [cup('above', technique === 'bloom' ? 'activator' : 'swipe', above, '#f3f2ec')]
      : []),
  ];
  const set = cups.map(asSetCup);
  const matched = matchSet(learn(set as never, []), technique, set);
  return cups.map((each, index) => {
    const { addition, targetPaS } = matched.cups[index]!;
    const isMoved = addition.kind === 'thin' || addition.kind === 'thicken';
    return isMoved ? { ...each, viscosityPaS: targetPaS! } : each;
  });
}

/** A cup whose thickness was measured. */
function asSetCup({ id, role, viscosityPaS }: Cup): SetCup {
  const part = (name: string, kind: MaterialKind, paS: number, share: number) => ({
    id: `${id} ${name}`,
    role: roleOf(kind),
    share,
    material: {
      ...{ materialId: `${id} ${name}`, name, kind, viscosityPaS: paS, densityGPerMl: 1.1 },
      ...{ viscosityTrust: 'measured' as const, viscositySdLn: 0.05, waterBend: { mean: 0, sd: 0.3 } },
    },
  });
  return {
    ...{ id, name: id, role, contentsMg: [100_000, 0], capacityMl: 500, waterLimit: 0.5 },
    ingredients: [
      part('paint', 'artist-tube', viscosityPaS, 1),
      part('water', 'water', materialKind('water').viscosityPaS, 0),
    ],
  };
}

const asPaint = ({ id, role, colorHex, viscosityPaS, densityGPerMl, recipe }: Cup): PlanPaint => ({
  ...{ id, name: id, role, colorHex, viscosityPaS, densityGPerMl },
  ...{ opacity: 'semi-opaque', finish: 'plain', doseFactor: recipe.doseFactor },
});

const asCheckCup = (cup: Cup): CheckCup =>
  readyCup(asPaint(cup), {
    leftG: 1e5,
    water: waterVerdict(cup.waterFraction, cup.kind, cup.recipe.waterLimit ?? null).level,
    weakFilm: cup.isWeak,
    silicone: false,
  });

/** The piece poured exactly by its plan. */
function poured(technique: Technique, support: SupportSize, plan: Plan, cups: readonly Cup[]): PourRecord {
  const paints = cups.map(asPaint);
  const { layers } = amounts(support, plan, paints);
  const grams = (id: string) => layers.find((each) => each.id === id)!.massG;
  const steps = runSheet(plan, support, {
    layer: (item, layer) => grams(`${item} ${layer}`),
    base: (area) => grams(`base.${area}`),
  });
  const laid = steps.filter((step) => step.kind === 'lay');
  return {
    ...{ id: 'x', name: 'x', technique, support, pouredAt: '2026-03-01T10:00:00Z' },
    cups: cups.map((cup): PouredCup => ({
      ...asPaint(cup),
      laidMg: laid.filter(({ cupId }) => cupId === cup.id).reduce((sum, { mg }) => sum + mg, 0),
      waterFraction: cup.waterFraction,
      waterLimit: cup.recipe.waterLimit ?? null,
      doseFactor: cup.recipe.doseFactor ?? null,
      ...{ partsWords: '', restedHours: cup.recipe.restHours ?? 12 },
      hasSilicone: false,
      hasWeakBinder: materialKind(cup.kind).binder < 0.22,
    })),
    order: laid.map(({ cupId }) => cupId),
    passes: plan.passes,
    torches: steps.filter(({ kind }) => kind === 'torch').length,
    torchedAfterAir: false,
    waitSeconds: plan.settings.waitSeconds,
    spins: steps.filter((step) => step.kind === 'spin').map(({ rpm, seconds }) => ({ rpm, seconds })),
    tilts: 0,
    addedMg: 0,
    temperatureC: 20,
    humidityPercent: 50,
    outcome: null,
    rating: null,
    faults: [],
    flowersDm2: plan.stacks.reduce((sum, { footprintMm }) => sum + flowerDm2(footprintMm), 0),
    onFace: plan.base?.areas.map(({ cupId }) => cupId) ?? [],
  };
}

/** Every accusation of a piece that was poured by its plan. */
function accusations(technique: Technique, layout: LayoutName, support: SupportSize, cups: readonly Cup[]) {
  const paints = cups.map(asPaint);
  const plan = layOut(layout, { support, technique, paints, newId: counting() });
  const findings = check({
    ...{ technique, support, plan, paints, blowers: [], ticked: [] },
    cups: cups.map(asCheckCup),
    amounts: amounts(support, plan, paints),
  });
  const record = poured(technique, support, plan, cups);
  const causes = FAULTS.flatMap(({ kind }) =>
    cups.flatMap(({ id }) => why(record, { kind, cupId: id }).causes.filter(({ weight }) => weight > LIKELY)),
  );
  return [
    ...findings.filter(({ level }) => level === 'wrong').map(({ code, facts }) => ({ code, facts })),
    ...causes.map(({ code, weight, facts }) => ({ code, weight, facts })),
  ];
}

const side = fc.integer({ min: 250, max: 700 });
const supports = fc.record({
  shape: fc.constantFrom('rectangle' as const, 'round' as const),
  widthMm: side,
  heightMm: side,
  sideDepthMm: fc.constantFrom(0, 10, 40),
});
const roundOr = (support: SupportSize): SupportSize =>
  support.shape === 'round' ? { ...support, heightMm: support.widthMm } : support;

const named = ({ recipe, variant, kind }: Made) => `${recipe.id} ${variant} ${kind}`.replace('  ', ' ');

describe.each(TECHNIQUES)('%s, poured by its own plan', (technique) => {
  const grounds = everyMade(technique, technique === 'bloom' ? 'pillow' : 'base');
  const aboves = technique === 'swipe' ? everyMade('swipe', 'swipe') : everyMade('bloom', 'activator');
  const layouts = LAYOUTS.filter(({ techniques }) =>
    (techniques as readonly Technique[]).includes(technique),
  );
  const colors = everyMade(technique, 'color');

  it.each(colors.map((color) => [named(color), color] as const))('%s is not accused', (_, color) => {
    // The ground of a Dutch pour and of a swipe is mixed like its colors where it can be.
    const alike = grounds.filter(
      ({ recipe, variant }) => recipe === color.recipe && variant === color.variant,
    );
    fc.assert(
      fc.property(
        supports.map(roundOr),
        fc.constantFrom(...layouts),
        fc.constantFrom(...aboves),
        fc.constantFrom(...(technique === 'bloom' ? grounds : alike.length > 0 ? alike : grounds)),
        (support, layout, above, ground) => {
          const cups = cupsOf(technique, color, above, ground);
          expect(accusations(technique, layout.name, support, cups)).toEqual([]);
        },
      ),
      { numRuns: technique === 'dutch' || technique === 'bloom' ? 6 : 2 },
    );
  });
});

it('the cells that Plan expects of a stack are those that are expected of the pour it leads to', () => {
  const layouts = LAYOUTS.filter(({ techniques }) => (techniques as readonly Technique[]).includes('bloom'));
  const [color, ground] = [everyMade('bloom', 'color')[0]!, everyMade('bloom', 'pillow')[0]!];
  fc.assert(
    fc.property(
      supports.map(roundOr),
      fc.constantFrom(...layouts),
      fc.constantFrom(...everyMade('bloom', 'activator')),
      (support, layout, activator) => {
        const cups = cupsOf('bloom', color, activator, ground);
        const paints = cups.map(asPaint);
        const plan = layOut(layout.name, { support, technique: 'bloom', paints, newId: counting() });
        const base = plan.base ? baseAreas(support, plan.base, paints)[0] : undefined;
        const pour = expectedOf(poured('bloom', support, plan, cups))!;
        for (const stack of plan.stacks) {
          const { layers } = coreSample(plan, stack, paints, { base, moment: 'blown' });
          const planned = expectedCells(stackOf(layers))!;
          expect(planned.by).toBe(pour.by);
          expect(planned.mm / pour.mm).toBeCloseTo(1, 1);
        }
      },
    ),
    { numRuns: 30 },
  );
});
