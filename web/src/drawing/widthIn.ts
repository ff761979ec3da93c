/** How wide a support is drawn so that its longer side is as long as told, px. */
export const widthIn = (
  boxPx: number,
  { widthMm, heightMm }: { readonly widthMm: number; readonly heightMm: number },
): number => (boxPx * widthMm) / Math.max(widthMm, heightMm);
