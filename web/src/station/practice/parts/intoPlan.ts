import { airPassOf, type PlanPass } from '@icy-ribbon/core/piece/plan';
import { newId } from '#store/plan/plan.ts';
import type { BlownStroke } from './useHand.ts';

const LONGEST_S = 60;

/** What was blown freely as passes of a plan. */
export function passesOf(strokes: readonly BlownStroke[]): PlanPass[] {
  return strokes.map((stroke): PlanPass => ({
    ...airPassOf(stroke),
    id: newId(),
    blowerId: null,
    at: { x: Math.round(stroke.at.x), y: Math.round(stroke.at.y) },
    seconds: Math.min(LONGEST_S, Math.max(0.5, stroke.seconds)),
  }));
}
