import type { z } from 'zod';
import type { ReadonlyDeep } from '../../base/field/index.ts';
import type { Finish, Opacity } from '../../paint/material/index.ts';
import type { NamedCup } from '../../paint/mix/index.ts';
import { LIMITS } from '../../paint/stage/index.ts';
import type { planSchema } from './schema.ts';
import { USUAL_SETTINGS } from './ways.ts';

/** How a piece is poured: its fields are told in `schema.ts`. */
export type Plan = ReadonlyDeep<z.output<typeof planSchema>>;
export type PlanSettings = Plan['settings'];
export type PlanBase = NonNullable<Plan['base']>;
/** What stays of the base: run off at a tilt for a time, or a thickness that is aimed at. */
export type BaseFilm = PlanBase['film'];
/** Where two bases meet: a line from edge to edge that can be bent. */
export type Seam = NonNullable<PlanBase['seam']>;
/** A puddle pile, from the bottom up. */
export type PlanStack = Plan['stacks'][number];
/** Paint laid along a bent line: from start to end, drawn toward the control place (a quadratic curve). */
export type PlanPath = Plan['paths'][number];
/** One color of a stack or a path. */
export type PlanLayer = PlanStack['layers'][number];
/** One blowing pass; their order in the plan is the order of the work. */
export type PlanPass = Plan['passes'][number];
/** A place on the face, in mm from its top left corner. */
export type Place = PlanPass['at'];

/** A paint a plan pours: a cup in the tray, or one that is not mixed yet. */
export interface PlanPaint extends NamedCup {
  readonly colorHex: string;
  readonly viscosityPaS: number;
  readonly densityGPerMl: number;
  readonly opacity: Opacity;
  readonly finish: Finish;
  /** Of an activator: times the usual dose, where its recipe asks for it. */
  readonly doseFactor?: number | undefined;
}

/** A base runs off at the usual tilt. */
export const USUAL_FILM: BaseFilm = { kind: 'run-off', ...LIMITS.runOff };

export const EMPTY_PLAN: Plan = {
  base: null,
  stacks: [],
  paths: [],
  passes: [],
  settings: USUAL_SETTINGS,
};
