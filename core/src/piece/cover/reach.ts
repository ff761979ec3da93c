import type { Sheet } from '../../flow/air/index.ts';
import type { BlowerExit } from '../amount/index.ts';
import {
  curveMiddle,
  curvePlaces,
  distanceMm,
  lengthMm,
  type Place,
  type Plan,
  type PlanPaint,
} from '../plan/index.ts';
import type { SupportSize } from '../support/index.ts';
import { carriedMm } from '../rehearse/index.ts';
import { sampleLayers } from '../stack/index.ts';

/** Where a pass begins, where it carries the paint to, and how wide a petal it makes. */
export interface Petal {
  readonly passId: string;
  readonly from: Place;
  readonly tip: Place;
  readonly halfWidthMm: number;
}

/** Color that lies before the air: a puddle, or a band along a line. */
export interface Laid {
  readonly places: readonly Place[];
  readonly halfWidthMm: number;
  readonly volumeMl: number;
}

/** A ribbon lies about so thick, mm (common practice). */
const RIBBON_MM = 2;
/** A petal is about so much narrower than the puddle it is blown out of (common practice). */
const PETAL_SHARE = 0.8;

export interface CoverageInput {
  readonly plan: Plan;
  readonly paints: readonly PlanPaint[];
  readonly blowers: readonly BlowerExit[];
}

/** What the plan lays of its design, without what is flooded for it to run on. */
export function laidColors({ plan, paints, blowers }: CoverageInput): Laid[] {
  const stacks = plan.stacks
    .filter((stack) => stack.layers.length > 0)
    .map((stack): Laid => {
      const layers = sampleLayers(plan, stack, paints, { blowers, moment: 'poured' });
      return {
        places: [stack.at],
        halfWidthMm: Math.max(...layers.map(({ radiusMm }) => radiusMm)),
        volumeMl: layers.reduce((sum, { volumeMl }) => sum + volumeMl, 0),
      };
    });
  const paths = plan.paths
    .filter((path) => path.kind !== 'flood' && path.layers.length > 0)
    .map((path): Laid => {
      const places = curvePlaces(path, 24);
      const volumeMl = path.layers.reduce((sum, { cupId, massG }) => {
        const density = paints.find(({ id }) => id === cupId)?.densityGPerMl ?? 1.1;
        return sum + (massG ?? 0) / density;
      }, 0);
      const halfWidthMm = (1000 * volumeMl) / (2 * RIBBON_MM * Math.max(1, lengthMm(places)));
      return { places, halfWidthMm, volumeMl };
    });
  return [...stacks, ...paths];
}

/** Every pass with what it carries of the color it begins over; one that begins over none carries none. */
export function petals(input: CoverageInput, laid: readonly Laid[]): Petal[] {
  const { plan, blowers } = input;
  const over = plan.passes.map((pass) => laid.find((each) => liesUnder(each, pass.at)));
  const moving = movingLayers(input);
  return plan.passes.flatMap((pass, index): Petal[] => {
    const under = over[index];
    if (!under) return [];
    const reach = carriedMm(pass, blowers, moving(pass.at));
    const turn = (pass.directionDeg * Math.PI) / 180;
    const tip = { x: pass.at.x + reach * Math.sin(turn), y: pass.at.y - reach * Math.cos(turn) };
    const beside = over.filter((each) => each === under).length;
    const along = under.places.length > 1 ? lengthMm(under.places) / (2 * beside) : 0;
    const wide = pass.way === 'circling' ? 2 : 1;
    const halfWidthMm = wide * Math.max(along, PETAL_SHARE * under.halfWidthMm);
    return [{ passId: pass.id, from: pass.at, tip, halfWidthMm }];
  });
}

type Moving = Sheet['layers'];

/** What moves under the air at a place: the pile as it is blown out, or a ribbon on its base. */
function movingLayers({ plan, paints, blowers }: CoverageInput): (at: Place) => Moving {
  const piles = plan.stacks
    .filter((stack) => stack.layers.length > 0)
    .map((stack) => ({
      stack,
      layers: sampleLayers(plan, stack, paints, { blowers, moment: 'blown' }).map(
        ({ thicknessMm, paint }) => ({
          thicknessMm,
          viscosityPaS: paint.viscosityPaS,
        }),
      ),
    }));
  const colors = paints.filter(({ role }) => role === 'color' || role === 'base');
  const ln = colors.reduce((sum, { viscosityPaS }) => sum + Math.log(viscosityPaS), 0);
  const ribbon = [{ thicknessMm: RIBBON_MM, viscosityPaS: Math.exp(ln / Math.max(1, colors.length)) }];
  return (at) =>
    piles.find(({ stack }) => distanceMm(stack.at, at) <= stack.footprintMm / 2)?.layers ?? ribbon;
}

/** What a card draws over the face: from the last line that was laid, as far again beyond the middle, as wide as it is. */
export function swiped(plan: Plan, { widthMm, heightMm }: SupportSize): Petal[] {
  const path = plan.settings.card && plan.paths.findLast(({ kind }) => kind !== 'flood');
  if (!path) return [];
  const from = curveMiddle(path);
  const tip = { x: widthMm - from.x, y: heightMm - from.y };
  return [{ passId: '', from, tip, halfWidthMm: distanceMm(path.start, path.end) / 2 }];
}

/** Air that begins this near a ribbon still takes it along, mm (common practice). */
const NEAR_MM = 25;

const liesUnder = ({ places, halfWidthMm }: Laid, at: Place): boolean =>
  places.some((place) => distanceMm(place, at) <= halfWidthMm + NEAR_MM);
