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

/** A blowing pass as an arrow in millimeters on the support; longer passes are drawn longer. */
export function arrowPath(pass: DrawnPass, support: SupportSize): string {
  const span = Math.min(support.widthMm, support.heightMm);
  const x = (pass.from?.x ?? 0.5) * support.widthMm;
  const y = (pass.from?.y ?? 0.5) * support.heightMm;
  const length = span * (0.18 + 0.2 * Math.min(1, pass.seconds / 8));
  const angle = (pass.directionDeg * Math.PI) / 180;
  const tip = { x: x + length * Math.sin(angle), y: y - length * Math.cos(angle) };
  const barb = (turn: number) => {
    const side = angle + Math.PI + turn;
    return `${(tip.x + span * 0.045 * Math.sin(side)).toFixed(1)} ${(tip.y - span * 0.045 * Math.cos(side)).toFixed(1)}`;
  };
  const end = `${tip.x.toFixed(1)} ${tip.y.toFixed(1)}`;
  return `M${x.toFixed(1)} ${y.toFixed(1)}L${end}M${barb(0.5)}L${end}L${barb(-0.5)}`;
}
