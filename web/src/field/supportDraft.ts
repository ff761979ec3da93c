import type { SupportKind, SupportShape } from '@icy-ribbon/core/piece/support';

/** A support while it is being entered; numbers may still be missing. */
export interface SupportDraft {
  name: string;
  kind: SupportKind;
  shape: SupportShape;
  widthMm: number | null;
  heightMm: number | null;
  sideDepthMm: number | null;
}

export const emptySupport = (): SupportDraft => ({
  name: '',
  kind: 'canvas',
  shape: 'rectangle',
  widthMm: 300,
  heightMm: 400,
  sideDepthMm: 18,
});
