import { normalizeDeg } from '../../flow/air/index.ts';
import type { SupportSize } from '../support/index.ts';
import type { Place, Plan, PlanPass, PlanPath, PlanStack } from './plan.ts';

/** What can be taken hold of on the support: its stacks, paths and passes, by id. */
export type PlanItem = PlanStack | PlanPath | PlanPass;

export const isStack = (item: PlanItem): item is PlanStack => 'footprintMm' in item;
export const isPath = (item: PlanItem): item is PlanPath => 'control' in item;
const isPass = (item: PlanItem): item is PlanPass => 'slantDeg' in item;

export function findItem(plan: Plan, id: string): PlanItem | undefined {
  return [...plan.stacks, ...plan.paths, ...plan.passes].find((item) => item.id === id);
}

/** The middle of an item, by which it is aligned. */
export function placeOf(item: PlanItem): Place {
  if (!isPath(item)) return item.at;
  return { x: (item.start.x + item.end.x) / 2, y: (item.start.y + item.end.y) / 2 };
}

/** Changes the items with these ids and leaves the others. */
function changeItems(
  plan: Plan,
  ids: readonly string[],
  change: <Item extends PlanItem>(item: Item) => Item,
): Plan {
  const changed = <Item extends PlanItem>(items: readonly Item[]): Item[] =>
    items.map((item) => (ids.includes(item.id) ? change(item) : item));
  return {
    ...plan,
    stacks: changed(plan.stacks),
    paths: changed(plan.paths),
    passes: changed(plan.passes),
  };
}

/** Puts a changed item in the place of the one with its id. */
export function replaceItem(plan: Plan, item: PlanItem): Plan {
  const put = <Item extends PlanItem>(items: readonly Item[], changed: Item): Item[] =>
    items.map((each) => (each.id === changed.id ? changed : each));
  if (isStack(item)) return { ...plan, stacks: put(plan.stacks, item) };
  if (isPath(item)) return { ...plan, paths: put(plan.paths, item) };
  return { ...plan, passes: put(plan.passes, item) };
}

/** A pass some places earlier (below 0) or later in the order of the work; beyond the ends it stays. */
export function moveInOrder(plan: Plan, passId: string, by: number): Plan {
  const from = plan.passes.findIndex(({ id }) => id === passId);
  const to = from + by;
  const pass = plan.passes[from];
  if (!pass || to < 0 || to >= plan.passes.length) return plan;
  const passes = plan.passes.toSpliced(from, 1).toSpliced(to, 0, pass);
  return { ...plan, passes };
}

const shift = (place: Place, dx: number, dy: number): Place => ({ x: place.x + dx, y: place.y + dy });

/** Moves every place of an item by a change of places. */
function mapPlaces<Item extends PlanItem>(item: Item, map: (place: Place) => Place): Item {
  if (isPath(item)) {
    return { ...item, start: map(item.start), control: map(item.control), end: map(item.end) };
  }
  return { ...item, at: map(item.at) };
}

export function moveItems(plan: Plan, ids: readonly string[], dx: number, dy: number): Plan {
  return changeItems(plan, ids, (item) => mapPlaces(item, (place) => shift(place, dx, dy)));
}

export function removeItems(plan: Plan, ids: readonly string[]): Plan {
  const kept = <Item extends PlanItem>(items: readonly Item[]) => items.filter(({ id }) => !ids.includes(id));
  return { ...plan, stacks: kept(plan.stacks), paths: kept(plan.paths), passes: kept(plan.passes) };
}

/** Copies items a little beside themselves; @returns the plan and the copies' ids */
export function duplicateItems(
  plan: Plan,
  ids: readonly string[],
  newId: () => string,
  asideMm = 20,
): { plan: Plan; ids: string[] } {
  const fresh: string[] = [];
  const copies = <Item extends PlanItem>(items: readonly Item[]): Item[] =>
    items
      .filter(({ id }) => ids.includes(id))
      .map((item) => {
        const id = newId();
        fresh.push(id);
        const layers = isPass(item) ? {} : { layers: item.layers.map((each) => ({ ...each, id: newId() })) };
        return mapPlaces({ ...item, ...layers, id }, (place) => shift(place, asideMm, asideMm));
      });
  return {
    plan: {
      ...plan,
      stacks: [...plan.stacks, ...copies(plan.stacks)],
      paths: [...plan.paths, ...copies(plan.paths)],
      passes: [...plan.passes, ...copies(plan.passes)],
    },
    ids: fresh,
  };
}

/** Mirrors items, or with no ids the whole plan with its seam, left to right or top to bottom. */
export function mirror(
  plan: Plan,
  ids: readonly string[],
  support: SupportSize,
  axis: 'left-right' | 'top-bottom',
): Plan {
  const flip = ({ x, y }: Place): Place =>
    axis === 'left-right' ? { x: support.widthMm - x, y } : { x, y: support.heightMm - y };
  const turn = (deg: number) => normalizeDeg(axis === 'left-right' ? -deg : 180 - deg);
  const all = [...plan.stacks, ...plan.paths, ...plan.passes].map(({ id }) => id);
  const flipped = changeItems(plan, ids.length > 0 ? ids : all, (item) => {
    const moved = mapPlaces(item, flip);
    return isPass(moved) ? { ...moved, directionDeg: turn(moved.directionDeg) } : moved;
  });
  if (ids.length > 0 || !plan.base?.seam) return flipped;
  const { start, control, end } = plan.base.seam;
  // Left and right of the seam change places with its direction, so it is walked the other way.
  const seam = { start: flip(end), control: flip(control), end: flip(start) };
  return { ...flipped, base: { ...plan.base, seam } };
}

/** Lines items up with one another, or one alone with the middle of the support. */
export function align(
  plan: Plan,
  ids: readonly string[],
  support: SupportSize,
  along: 'row' | 'column',
): Plan {
  const items = ids.map((id) => findItem(plan, id)).filter((item) => item !== undefined);
  const places = items.map(placeOf);
  const axis = along === 'row' ? 'y' : 'x';
  const middle = along === 'row' ? support.heightMm / 2 : support.widthMm / 2;
  const line =
    places.length === 1 ? middle : places.reduce((sum, place) => sum + place[axis], 0) / places.length;
  return items.reduce((so, item) => {
    const by = line - placeOf(item)[axis];
    return moveItems(so, [item.id], axis === 'x' ? by : 0, axis === 'y' ? by : 0);
  }, plan);
}
