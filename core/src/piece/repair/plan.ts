import type { CupRole } from '../../paint/stage/index.ts';
import {
  dataOf,
  inForce,
  isLaidPath,
  type EventData,
  type LoggedEvent,
  type RepairLayer,
  type Spot,
} from '../event/index.ts';
import { curvePlaces, distanceMm, type Place } from '../plan/index.ts';
import { paintedArea, type SupportSize } from '../support/index.ts';
import { repairIdOf } from './steps.ts';

/** A cup that a repair may take from. */
export interface RepairCup {
  readonly id: string;
  readonly role: CupRole;
  readonly leftMg: number;
}

export interface RepairPlan {
  /** The ground first, then the colors in the order they were first laid. */
  readonly layers: readonly RepairLayer[];
  /** What is wanted of a cup that holds less. */
  readonly short: readonly { readonly cupId: string; readonly wantedMg: number; readonly leftMg: number }[];
  /** Farthest from every pass so far. */
  readonly directionDeg: number;
  /** The spot reaches the edge: the sides are wiped too. */
  readonly atEdge: boolean;
}

/** Less of a color cannot be laid with a stick, mg (common practice). */
const LEAST_MG = 300;
const TENTH_G = 100;

/**
 * What a spot that is scraped off takes: fresh ground, and the same colors in their first order, as much on a square
 * centimeter as lay there before, as far as the cups hold it.
 *
 * Law: mass goes with the area; a color's area is the flower or line it was laid on, else the face (geometry).
 */
export function planRepair(
  spot: Spot,
  log: readonly LoggedEvent[],
  cups: readonly RepairCup[],
  support: SupportSize,
): RepairPlan {
  const events = inForce(log);
  const first = events.flatMap((event) =>
    event.kind === 'layer' && repairIdOf(event) === null ? [event.data] : [],
  );
  const at = { x: spot.at.x * support.widthMm, y: spot.at.y * support.heightMm };
  const faceMm2 = 100 * paintedArea(support).faceCm2;
  const spotMm2 = Math.min(faceMm2, Math.PI * spot.radiusMm ** 2);
  const roleOf = (id: string) => cups.find((cup) => cup.id === id)?.role;
  const isGround = ({ cupId }: Laid) => ['base', 'pillow'].includes(roleOf(cupId) ?? '');
  const near = (laid: Laid) => liesNear(laid, at, spot.radiusMm);
  const colors = first.filter((laid) => !isGround(laid) && roleOf(laid.cupId) !== undefined);
  const wanted = [
    ...wantedOf(first.filter(isGround), spotMm2, () => faceMm2),
    ...wantedOf(colors.some(near) ? colors.filter(near) : colors, spotMm2, (laid) => areaOf(laid, faceMm2)),
  ];
  const leftOf = (id: string) => cups.find((cup) => cup.id === id)?.leftMg ?? 0;
  const layers = wanted.map(({ cupId, mg }) => ({ cupId, mg: Math.min(mg, leftOf(cupId)) }));
  return {
    layers: layers.filter(({ mg }) => mg > 0),
    short: wanted
      .filter(({ cupId, mg }) => mg > leftOf(cupId))
      .map(({ cupId, mg: wantedMg }) => ({ cupId, wantedMg, leftMg: leftOf(cupId) })),
    directionDeg: farthestFrom(dataOf(events, 'pass').map((pass) => pass.directionDeg)),
    atEdge: reachesEdge(at, spot.radiusMm, support),
  };
}

type Laid = EventData['layer'];

/** Grams for the spot by cup, in the order they were first laid. */
function wantedOf(laid: readonly Laid[], spotMm2: number, area: (laid: Laid) => number): RepairLayer[] {
  const byCup = new Map<string, number>();
  for (const each of laid) {
    const mg = each.mg * Math.min(1, spotMm2 / area(each));
    byCup.set(each.cupId, (byCup.get(each.cupId) ?? 0) + mg);
  }
  return [...byCup].map(([cupId, mg]) => ({
    cupId,
    mg: Math.max(LEAST_MG, TENTH_G * Math.round(mg / TENTH_G)),
  }));
}

/** A ribbon is blown out to about so wide, mm (common practice). */
const BLOWN_MM = 160;

/** The area over which a layer was blown out, mm2. */
function areaOf({ shape }: Laid, faceMm2: number): number {
  if (shape?.kind === 'stack') return Math.min(faceMm2, (Math.PI / 4) * shape.footprintMm ** 2);
  if (shape && isLaidPath(shape)) {
    return Math.min(faceMm2, BLOWN_MM * Math.max(BLOWN_MM, distanceMm(shape.start, shape.end)));
  }
  return faceMm2;
}

/** Whether the design that began with this layer reaches the spot. */
function liesNear({ shape }: Laid, at: Place, radiusMm: number): boolean {
  if (shape?.kind === 'stack') return distanceMm(shape.at, at) <= shape.footprintMm / 2 + radiusMm;
  if (shape && isLaidPath(shape)) {
    return curvePlaces(shape, 12).some((place) => distanceMm(place, at) <= BLOWN_MM / 2 + radiusMm);
  }
  return false;
}

const STEP_DEG = 15;

/** The bearing that lies farthest from all that was blown already. */
function farthestFrom(directions: readonly number[]): number {
  const apart = (deg: number) =>
    Math.min(180, ...directions.map((each) => Math.abs(((each - deg + 540) % 360) - 180)));
  const bearings = Array.from({ length: 360 / STEP_DEG }, (_, index) => index * STEP_DEG);
  return bearings.reduce((best, deg) => (apart(deg) > apart(best) + 1e-9 ? deg : best), 0);
}

function reachesEdge(at: Place, radiusMm: number, { shape, widthMm, heightMm }: SupportSize): boolean {
  if (shape === 'round') {
    return distanceMm(at, { x: widthMm / 2, y: heightMm / 2 }) + radiusMm >= widthMm / 2;
  }
  return Math.min(at.x, at.y, widthMm - at.x, heightMm - at.y) <= radiusMm;
}
