import type { FacePlace, Mark } from '@icy-ribbon/core/piece/event';
import type { SupportSize } from '@icy-ribbon/core/piece/support';
import { isTap, type Stroke } from './laidShape.ts';

const within = (share: number) => Math.min(1, Math.max(0, share));

/** What a hand drew on the support, as the part of the face that is touched: a tap is a spot, else a stroke. */
export function markOf(
  stroke: Stroke | null,
  { widthMm, heightMm }: SupportSize,
  radiusMm: number | null,
): Mark | null {
  if (!stroke) return null;
  const share = ({ x, y }: { x: number; y: number }) => ({ x: within(x / widthMm), y: within(y / heightMm) });
  return isTap(stroke) && radiusMm !== null
    ? { kind: 'spot', at: share(stroke.start), radiusMm }
    : { kind: 'stroke', from: share(stroke.start), to: share(stroke.end) };
}

/** "0.25,0.6" of an address as a place of the face; null for anything else. */
export function placeOfQuery(query: unknown): FacePlace | null {
  const [x, y, ...more] = typeof query === 'string' ? query.split(',').map(Number) : [];
  if (x === undefined || y === undefined || more.length > 0) return null;
  return x >= 0 && x <= 1 && y >= 0 && y <= 1 ? { x, y } : null;
}
