import {
  airPassOf,
  EMPTY_PLAN,
  type Plan,
  type PlanPaint,
  type PlanPass,
  type PlanPath,
  type PlanStack,
} from '../../piece/plan/index.ts';
import { sceneOf, type Scene } from '../../piece/rehearse/index.ts';
import { paintedArea } from '../../piece/support/index.ts';
import { OPACITIES } from '../../paint/material/index.ts';
import type { BlownPass, PourRecord, PouredCup } from '../outcome/index.ts';

/** A breath of a record is taken to begin this far from the middle, mm: where it began is not in it (common practice). */
const FROM_MIDDLE_MM = 14;
/** A record of a Dutch pour is taken to lie along this share of the face's width, at this share of its height (common practice). */
const ALONG = 0.6;
const LOWER = 0.55;

/**
 * What was recorded of a pour as a scene: its paint where it was laid, and its passes. Where that was not all logged it lies as usual: a bloom is one
 * pile in the middle, everything else a ribbon across with the activator beside it.
 *
 * @param strength of the artist's breath
 * @throws InputError for a record that cannot be laid
 */
export function sceneOfPour(pour: PourRecord, strength?: number): Scene {
  const cups = [...new Set(pour.order)]
    .map((id) => pour.cups.find((cup) => cup.id === id))
    .filter((cup): cup is PouredCup => cup !== undefined && cup.laidMg > 0);
  const exits = pour.passes.flatMap(({ exit }, index) =>
    exit ? [{ ...exit, id: exitId(exit, index) }] : [],
  );
  return sceneOf(pour.support, pour.asPoured ?? usualPlan(pour, cups), cups.map(paintOf), exits, strength);
}

const exitId = ({ id }: NonNullable<BlownPass['exit']>, index: number): string => id ?? `exit ${index}`;

function usualPlan(pour: PourRecord, cups: readonly PouredCup[]): Plan {
  const onFace = (cup: PouredCup) => cup.role === 'base' || (pour.onFace?.includes(cup.id) ?? false);
  const { widthMm, heightMm } = pour.support;
  const middle = { x: widthMm / 2, y: heightMm / 2 };
  const [base, design] = [cups.filter(onFace), cups.filter((cup) => !onFace(cup))];
  const layer = (cup: PouredCup) => ({ id: cup.id, cupId: cup.id, massG: cup.laidMg / 1000 });
  const isPile = pour.technique === 'bloom' || pour.technique === 'ring' || pour.technique === 'lifted-cup';
  const sheets = design.filter(({ role }) => role === 'activator' || role === 'swipe');
  const ribbon = design.filter((cup) => !sheets.includes(cup));
  const line = (id: string, kind: PlanPath['kind'], y: number, laid: readonly PouredCup[]): PlanPath => ({
    ...{ id, kind, layers: laid.map(layer) },
    start: { x: (0.5 - ALONG / 2) * widthMm, y },
    control: { x: middle.x, y: y - 0.04 * heightMm },
    end: { x: (0.5 + ALONG / 2) * widthMm, y },
  });
  const stacks: PlanStack[] =
    isPile && design.length > 0
      ? [{ id: 'pile', at: middle, footprintMm: footprintMm(pour), layers: design.map(layer) }]
      : [];
  const paths: PlanPath[] = isPile
    ? []
    : [
        ...(ribbon.length > 0 ? [line('ribbon', 'ribbon', LOWER * heightMm, ribbon)] : []),
        ...sheets.map((cup, index) => line(`sheet ${index}`, 'line', (LOWER + 0.06) * heightMm, [cup])),
      ];
  return {
    ...EMPTY_PLAN,
    base: baseOf(pour, base),
    ...{ stacks, paths },
    passes: pour.passes.map((pass, index): PlanPass => {
      const turn = (pass.directionDeg * Math.PI) / 180;
      const out = isPile ? FROM_MIDDLE_MM : 0;
      const aside = isPile ? 0 : ((index + 0.5) / pour.passes.length - 0.5) * ALONG * widthMm;
      return {
        ...airPassOf(pass),
        id: `pass ${index}`,
        blowerId: pass.exit ? exitId(pass.exit, index) : null,
        at: {
          x: middle.x + out * Math.sin(turn) + aside,
          y: (isPile ? middle.y : (LOWER + 0.1) * heightMm) - out * Math.cos(turn),
        },
      };
    }),
    settings: {
      ...EMPTY_PLAN.settings,
      waitSeconds: pour.waitSeconds ?? EMPTY_PLAN.settings.waitSeconds,
      spinRpm: pour.spins[0]?.rpm ?? 0,
      spinSeconds: pour.spins.reduce((sum, { seconds }) => sum + seconds, 0),
    },
  };
}

/** One base for all that lay on the face: the film that its grams make. */
function baseOf({ support }: PourRecord, cups: readonly PouredCup[]): Plan['base'] {
  const volumeMl = cups.reduce((sum, { laidMg, densityGPerMl }) => sum + laidMg / 1000 / densityGPerMl, 0);
  const [first] = cups;
  if (!first || volumeMl <= 0) return null;
  const { faceCm2, sidesCm2 } = paintedArea(support);
  return {
    ...{ pattern: 'one', areas: [{ cupId: first.id, share: 1 }], seam: null },
    film: { kind: 'thickness', mm: (10 * volumeMl) / (faceCm2 + sidesCm2) },
  };
}

/** The flower's diameter: of the plan it was poured from, or 60 % of the shorter side. */
function footprintMm({ flowersDm2, support }: PourRecord): number {
  const usual = 0.6 * Math.min(support.widthMm, support.heightMm);
  return flowersDm2 ? Math.sqrt((flowersDm2 * 10_000 * 4) / Math.PI) : usual;
}

const paintOf = (cup: PouredCup): PlanPaint => ({
  ...{ id: cup.id, name: cup.name, role: cup.role, colorHex: cup.colorHex },
  ...{ viscosityPaS: cup.viscosityPaS, densityGPerMl: cup.densityGPerMl },
  opacity: OPACITIES.find((each) => each === cup.opacity) ?? 'semi-opaque',
  finish: 'plain',
  ...(cup.doseFactor ? { doseFactor: cup.doseFactor } : {}),
});
