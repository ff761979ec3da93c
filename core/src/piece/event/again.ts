import { paintedArea, type SupportSize } from '../support/index.ts';
import { airPassOf, USUAL_SETTINGS, type Plan, type PlanLayer, type PlanPass } from '../plan/index.ts';
import type { CupRole } from '../../paint/stage/index.ts';
import { dataOf, type EventData, type LoggedEvent } from './event.ts';
import { inForce } from './log.ts';
import { isLaidPath, type LaidPath, type LaidShape, type LaidStack } from './shape.ts';

/** A cup that was poured, as far as a plan of it must know. */
export interface PouredPaint {
  readonly id: string;
  readonly role: CupRole;
  readonly densityGPerMl: number;
}

type Laid = EventData['layer'];

/** Its step says so: see `repairIdOf`. */
const isOfRepair = (event: LoggedEvent): boolean =>
  'stepId' in event.data && (event.data.stepId?.startsWith('repair:') ?? false);

const FOOTPRINT = 0.62;
const MOST_SPINS = 20;

/**
 * What was really done, as a plan: the film of base that was laid, the colors in the order and grams they went on,
 * every pass as it was blown, the waits and the spin. Paint lies where it was laid and as it lay; where that was not
 * logged, it is kept from the plan it was poured by, and without one it stands in the middle.
 *
 * @param newId makes an id; @param log the events of the pour
 */
export function planOfPour(
  log: readonly LoggedEvent[],
  paints: readonly PouredPaint[],
  support: SupportSize,
  newId: () => string,
): Plan {
  // A repair is no part of the recipe.
  const events = inForce(log).filter((event) => !isOfRepair(event));
  const laid = dataOf(events, 'layer');
  const roleOf = (id: string) => paints.find((paint) => paint.id === id)?.role;
  const before = dataOf(events, 'plan')[0];
  const onFace = ({ cupId, shape }: Laid) => (shape ? shape.kind === 'face' : roleOf(cupId) === 'base');
  const base = laid.filter(onFace);
  const piled = laid.filter((each) => !onFace(each) && !each.shape);
  const placed = laid.flatMap(({ shape, ...each }) => (shape ? [{ ...each, shape }] : []));
  const middle = { x: support.widthMm / 2, y: support.heightMm / 2 };
  const spins = dataOf(events, 'spin');
  const waits = dataOf(events, 'wait');
  return {
    base: baseOf(base, paints, support),
    stacks: [
      ...stacksOf(placed, newId),
      ...(piled.length === 0
        ? []
        : (before?.stacks.length ?? 0) > 1
          ? sharedOut(before!, piled, newId)
          : [
              {
                id: newId(),
                at: before?.stacks[0]?.at ?? middle,
                footprintMm:
                  before?.stacks[0]?.footprintMm ?? FOOTPRINT * Math.min(support.widthMm, support.heightMm),
                layers: piled.map(({ cupId, mg }) => ({ id: newId(), cupId, massG: mg / 1000 })),
              },
            ]),
    ],
    paths: pathsOf(placed, newId),
    passes: dataOf(events, 'pass').map((pass): PlanPass => ({
      ...airPassOf(pass),
      id: newId(),
      blowerId: pass.blower?.id ?? null,
      at: { x: (pass.from?.x ?? 0.5) * support.widthMm, y: (pass.from?.y ?? 0.5) * support.heightMm },
    })),
    settings: {
      ...(before?.settings ?? USUAL_SETTINGS),
      ...(waits.length > 0 && { waitSeconds: waits.reduce((sum, wait) => sum + wait.seconds, 0) }),
      ...(spins.length > 0 && {
        spinRpm: Math.max(...spins.map((spin) => spin.rpm)),
        spinSeconds: spins.reduce((sum, spin) => sum + spin.seconds, 0),
        spinTimes: Math.min(MOST_SPINS, spins.length),
      }),
      ...(dataOf(events, 'straw').length > 0 && { straw: true }),
      ...(dataOf(events, 'skewer').length > 0 && { skewer: true }),
      ...(dataOf(events, 'card').length > 0 && { card: true }),
      ...(dataOf(events, 'blow-test').length > 0 && { blowTest: true }),
    },
  };
}

type Placed<Shape> = Laid & { readonly shape: Shape };

/** What lies on one pile or line, in the order it was laid. */
function byItem<Shape extends LaidStack | LaidPath>(
  placed: readonly Placed<LaidShape>[],
  ofKind: (shape: LaidShape) => Shape | null,
): { readonly shape: Shape; readonly laid: readonly Laid[] }[] {
  const items = new Map<string, { shape: Shape; laid: Laid[] }>();
  for (const each of placed) {
    const shape = ofKind(each.shape);
    if (!shape) continue;
    const item = items.get(shape.itemId) ?? { shape, laid: [] };
    item.laid.push(each);
    items.set(shape.itemId, item);
  }
  return [...items.values()];
}

const layersOf = (laid: readonly Laid[], newId: () => string): PlanLayer[] =>
  laid.map(({ cupId, mg }) => ({ id: newId(), cupId, massG: mg / 1000 }));

function stacksOf(placed: readonly Placed<LaidShape>[], newId: () => string): Plan['stacks'] {
  return byItem(placed, (shape) => (shape.kind === 'stack' ? shape : null)).map(
    ({ shape: { at, footprintMm, way }, laid }) => ({
      id: newId(),
      at,
      footprintMm,
      ...(way && { way }),
      // Into a cup that is turned over goes first what shall lie on top.
      layers: layersOf(way && way !== 'puddles' ? laid.toReversed() : laid, newId),
    }),
  );
}

function pathsOf(placed: readonly Placed<LaidShape>[], newId: () => string): Plan['paths'] {
  return byItem(placed, (shape) => (isLaidPath(shape) ? shape : null)).map(
    ({ shape: { kind, start, control, end, moment }, laid }) => ({
      id: newId(),
      kind,
      start,
      control,
      end,
      ...(moment && { moment }),
      layers: layersOf(laid, newId),
    }),
  );
}

/** The base as the film that its grams make over face and sides. */
function baseOf(laid: readonly Laid[], paints: readonly PouredPaint[], support: SupportSize): Plan['base'] {
  if (laid.length === 0) return null;
  const { faceCm2, sidesCm2 } = paintedArea(support);
  const total = laid.reduce((sum, { mg }) => sum + mg, 0);
  const volumeMl = laid.reduce((sum, { cupId, mg }) => {
    const density = paints.find((paint) => paint.id === cupId)?.densityGPerMl ?? 1.1;
    return sum + mg / 1000 / density;
  }, 0);
  const byCup = new Map<string, number>();
  for (const { cupId, mg } of laid) byCup.set(cupId, (byCup.get(cupId) ?? 0) + mg);
  const areas = [...byCup].slice(0, 3).map(([cupId, mg]) => ({ cupId, share: mg / total }));
  const face = laid.flatMap(({ shape }) => (shape?.kind === 'face' ? [shape] : []))[0];
  const isSplit = face?.pattern === 'split' && areas.length === 2;
  const mm = Math.min(6, Math.max(0.05, (10 * volumeMl) / (faceCm2 + sidesCm2)));
  return {
    pattern: isSplit ? 'split' : areas.length > 1 ? 'marbled' : 'one',
    areas,
    seam: isSplit ? face.seam : null,
    film: { kind: 'thickness', mm },
  };
}

/** Several piles: what was laid of each cup goes to the layers of the old plan in proportion. */
function sharedOut(before: Plan, piled: readonly Laid[], newId: () => string): Plan['stacks'] {
  const laidOf = (cupId: string) =>
    piled.filter((layer) => layer.cupId === cupId).reduce((sum, { mg }) => sum + mg / 1000, 0);
  const layers = before.stacks.flatMap((stack) => stack.layers);
  const weight = (layer: PlanLayer) => layer.massG ?? 1;
  const plannedOf = (cupId: string) =>
    layers.filter((layer) => layer.cupId === cupId).reduce((sum, layer) => sum + weight(layer), 0);
  // Cups that were poured together since, or never planned, go onto all piles alike.
  const unplanned = [...new Set(piled.map(({ cupId }) => cupId))].filter((id) => plannedOf(id) === 0);
  return before.stacks.map((stack) => ({
    ...stack,
    id: newId(),
    layers: [
      ...stack.layers
        .filter((layer) => laidOf(layer.cupId) > 0)
        .map((layer) => ({
          ...layer,
          id: newId(),
          massG: (laidOf(layer.cupId) * weight(layer)) / plannedOf(layer.cupId),
        })),
      ...unplanned.map((cupId) => ({
        id: newId(),
        cupId,
        massG: laidOf(cupId) / before.stacks.length,
      })),
    ],
  }));
}
