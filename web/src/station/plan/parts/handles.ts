import { bearingOf } from '@icy-ribbon/core/flow/air';
import {
  bentThrough,
  curveMiddle,
  distanceMm,
  broughtOnto,
  isPath,
  isStack,
  type Place,
  type Plan,
  type PlanItem,
  type Seam,
} from '@icy-ribbon/core/piece/plan';
import type { SupportSize } from '@icy-ribbon/core/piece/support';

/** A point that can be pulled. */
export interface Handle {
  readonly name: string;
  readonly at: Place;
  readonly drag: (to: Place) => void;
}

const LEAST_FOOTPRINT_MM = 5;

/** What can be pulled of an item: ends and bend of a line, direction of a pass, size of a flower. */
export function itemHandles(
  item: PlanItem,
  support: SupportSize,
  take: (changed: PlanItem) => void,
): Handle[] {
  if (isPath(item)) return curveHandles(item, (bent) => take({ ...item, ...bent }));
  if (isStack(item)) {
    const sizeMm = (to: Place) => Math.max(LEAST_FOOTPRINT_MM, Math.round(2 * distanceMm(item.at, to)));
    return [
      {
        name: 'size',
        at: { x: item.at.x + item.footprintMm / 2, y: item.at.y },
        drag: (to) => take({ ...item, footprintMm: sizeMm(to) }),
      },
    ];
  }
  const angle = (item.directionDeg * Math.PI) / 180;
  const length = Math.max(40, 0.2 * support.widthMm);
  const direction = (to: Place) => Math.round(bearingOf(to.x - item.at.x, to.y - item.at.y)) % 360;
  return [
    {
      name: 'direction',
      at: { x: item.at.x + length * Math.sin(angle), y: item.at.y - length * Math.cos(angle) },
      drag: (to) => take({ ...item, directionDeg: direction(to) }),
    },
  ];
}

/** The seam of a split base, as it is or as it is just being pulled; its ends stay on the support. */
export function seamHandles(
  base: Plan['base'],
  pulled: Seam | null,
  support: SupportSize,
  take: (bent: Seam) => void,
): Handle[] {
  if (base?.pattern !== 'split' || !base.seam) return [];
  return curveHandles(pulled ?? base.seam, ({ start, control, end }) =>
    take({ start: broughtOnto(support, start), control, end: broughtOnto(support, end) }),
  );
}

function curveHandles(curve: Seam, take: (bent: Seam) => void): Handle[] {
  const { start, control, end } = curve;
  return [
    { name: 'start', at: start, drag: (to) => take({ start: to, control, end }) },
    {
      name: 'bend',
      at: curveMiddle(curve),
      drag: (to) => take({ start, control: bentThrough({ start, end }, to), end }),
    },
    { name: 'end', at: end, drag: (to) => take({ start, control, end: to }) },
  ];
}
