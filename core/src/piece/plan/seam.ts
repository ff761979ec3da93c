import type { SupportSize } from '../support/index.ts';
import { curvePlaces } from './curve.ts';
import type { Place, Seam } from './plan.ts';

const CORNERS = 4;
const ROUND_STEPS = 180;

/**
 * The two sides of a seam as outlines on the face: left of it (as seen walking from its start to its end),
 * then right of it. Ends that do not touch the edge are drawn out to the nearest place on it.
 *
 * @returns outlines in mm, closed, without the first place again at the end
 */
export function seamSides(support: SupportSize, seam: Seam): [Place[], Place[]] {
  const line = curvePlaces(seam).map((place) => broughtOnto(support, place));
  const from = alongRim(support, line[0]!);
  const to = alongRim(support, line.at(-1)!);
  const right = [...line, ...rim(support, to, from)];
  const left = [...line.toReversed(), ...rim(support, from, to)];
  return [left, right];
}

/** Shares of the face left and right of a seam; they add up to 1. */
export function seamShares(support: SupportSize, seam: Seam): [number, number] {
  const [left, right] = seamSides(support, seam).map(areaMm2) as [number, number];
  const total = left + right;
  if (total <= 0) return [0.5, 0.5];
  return [left / total, right / total];
}

/** Area inside an outline (shoelace formula), mm2. */
export function areaMm2(outline: readonly Place[]): number {
  const twice = outline.reduce((sum, place, index) => {
    const next = outline[(index + 1) % outline.length]!;
    return sum + place.x * next.y - next.x * place.y;
  }, 0);
  return Math.abs(twice) / 2;
}

/** The nearest place that lies on the face. */
export function broughtOnto(support: SupportSize, place: Place): Place {
  if (support.shape === 'round') {
    const radius = support.widthMm / 2;
    const away = Math.hypot(place.x - radius, place.y - radius);
    if (away <= radius) return place;
    const pull = radius / away;
    return { x: radius + (place.x - radius) * pull, y: radius + (place.y - radius) * pull };
  }
  return {
    x: Math.min(support.widthMm, Math.max(0, place.x)),
    y: Math.min(support.heightMm, Math.max(0, place.y)),
  };
}

/** Where on the rim a place lies, or the nearest rim to it, counted clockwise from the top left: 0 to 4. */
function alongRim(support: SupportSize, place: Place): number {
  if (support.shape === 'round') {
    const radius = support.widthMm / 2;
    const turn = Math.atan2(place.y - radius, place.x - radius) / (2 * Math.PI);
    return ((turn + 1) % 1) * CORNERS;
  }
  const { widthMm, heightMm } = support;
  const sides = [
    { away: place.y, at: place.x / widthMm },
    { away: widthMm - place.x, at: 1 + place.y / heightMm },
    { away: heightMm - place.y, at: 3 - place.x / widthMm },
    { away: place.x, at: 4 - place.y / heightMm },
  ];
  return sides.reduce((best, side) => (side.away < best.away ? side : best)).at % CORNERS;
}

function rimPlace(support: SupportSize, at: number): Place {
  if (support.shape === 'round') {
    const radius = support.widthMm / 2;
    const angle = (at / CORNERS) * 2 * Math.PI;
    return { x: radius + radius * Math.cos(angle), y: radius + radius * Math.sin(angle) };
  }
  const { widthMm, heightMm } = support;
  const share = at % 1;
  switch (Math.floor(at) % CORNERS) {
    case 0:
      return { x: share * widthMm, y: 0 };
    case 1:
      return { x: widthMm, y: share * heightMm };
    case 2:
      return { x: (1 - share) * widthMm, y: heightMm };
    default:
      return { x: 0, y: (1 - share) * heightMm };
  }
}

/** Places along the rim clockwise from one place on it to another, with the corners between. */
function rim(support: SupportSize, from: number, to: number): Place[] {
  const end = to < from ? to + CORNERS : to;
  const step = support.shape === 'round' ? CORNERS / ROUND_STEPS : 1;
  const places = [rimPlace(support, from)];
  for (let at = Math.floor(from / step) * step + step; at < end; at += step) {
    places.push(rimPlace(support, at));
  }
  return [...places, rimPlace(support, end)];
}
