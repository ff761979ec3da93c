import { airArrow } from './airArrow.ts';
import type { Mark } from '@icy-ribbon/core/piece/event';
import type { SupportSize } from '@icy-ribbon/core/piece/support';

export interface DrawnPass {
  readonly directionDeg: number;
  readonly seconds: number;
  /** Shares of the face; the middle when it was not drawn. */
  readonly from: { readonly x: number; readonly y: number } | null;
}

const PUDDLE_DEPTH_MM = 3;
const MG_PER_MM3 = 1.1;

/** Radius of a puddle that stands about 3 mm deep, for drawing a pile. */
export function puddleRadiusMm(mg: number): number {
  return Math.sqrt(mg / MG_PER_MM3 / PUDDLE_DEPTH_MM / Math.PI);
}

/** A blowing pass as an arrow of air in millimeters on the support; longer passes are drawn longer. */
export function airPath(pass: DrawnPass, support: SupportSize): string {
  const span = Math.min(support.widthMm, support.heightMm);
  const from = { x: (pass.from?.x ?? 0.5) * support.widthMm, y: (pass.from?.y ?? 0.5) * support.heightMm };
  const length = span * (0.18 + 0.2 * Math.min(1, pass.seconds / 8));
  const angle = (pass.directionDeg * Math.PI) / 180;
  const tip = { x: from.x + length * Math.sin(angle), y: from.y - length * Math.cos(angle) };
  const { outline } = airArrow(from, tip, span * 0.05);
  return `M${outline.map(({ x, y }) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}Z`;
}

/** A place that was touched: a circle of its width, or the stroke with a bar at its end. */
export function markPath(mark: Mark, { widthMm, heightMm }: SupportSize): string {
  const mm = ({ x, y }: { readonly x: number; readonly y: number }) => ({ x: x * widthMm, y: y * heightMm });
  if (mark.kind === 'spot') {
    const { x, y } = mm(mark.at);
    const r = mark.radiusMm;
    return `M${(x - r).toFixed(1)} ${y.toFixed(1)}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`;
  }
  const [from, to] = [mm(mark.from), mm(mark.to)];
  const bar = Math.min(widthMm, heightMm) * 0.02;
  const along = Math.atan2(to.y - from.y, to.x - from.x) + Math.PI / 2;
  const [dx, dy] = [bar * Math.cos(along), bar * Math.sin(along)];
  const at = (x: number, y: number) => `${x.toFixed(1)} ${y.toFixed(1)}`;
  return `M${at(from.x, from.y)}L${at(to.x, to.y)}M${at(to.x - dx, to.y - dy)}L${at(to.x + dx, to.y + dy)}`;
}

const CIRCLE_STEPS = 48;

/** The outline of a touched place in mm, to be drawn on a photo. */
export function markOutline(mark: Mark, { widthMm, heightMm }: SupportSize): { x: number; y: number }[] {
  const mm = ({ x, y }: { readonly x: number; readonly y: number }) => ({ x: x * widthMm, y: y * heightMm });
  if (mark.kind === 'stroke') return [mm(mark.from), mm(mark.to)];
  const { x, y } = mm(mark.at);
  return Array.from({ length: CIRCLE_STEPS + 1 }, (_, step) => {
    const turn = (2 * Math.PI * step) / CIRCLE_STEPS;
    return { x: x + mark.radiusMm * Math.cos(turn), y: y + mark.radiusMm * Math.sin(turn) };
  });
}
