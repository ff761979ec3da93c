/** Corners of a flat thing in a picture, pixels: top left, top right, bottom right, bottom left. */
export type FrameCorners = [[number, number], [number, number], [number, number], [number, number]];

export const CORNER_NAMES = ['top left', 'top right', 'bottom right', 'bottom left'] as const;

const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** How far a key moves a corner, in pixels of the photo: one, or ten with Shift. */
export function cornerStep(key: string, isFar: boolean): readonly [number, number] | undefined {
  const step = STEPS[key];
  const far = isFar ? 10 : 1;
  return step && [far * step[0], far * step[1]];
}
