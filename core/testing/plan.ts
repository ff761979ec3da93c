import type { PlanPaint } from '../src/piece/plan/plan.ts';

/** Paints and ids for tests of plans. */
export const paint = (id: string, changes: Partial<PlanPaint> = {}): PlanPaint => ({
  id,
  name: id,
  role: 'color',
  colorHex: '#3f6f8f',
  viscosityPaS: 2.5,
  densityGPerMl: 1.1,
  opacity: 'semi-opaque',
  finish: 'plain',
  ...changes,
});

export function counting(prefix = 'n'): () => string {
  let count = 0;
  return () => `${prefix}${(count += 1)}`;
}
