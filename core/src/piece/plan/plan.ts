import type { AirTool, AirWay, PassEnd } from '../../flow/air/index.ts';
import type { Finish, Opacity } from '../../paint/material/index.ts';
import type { NamedCup } from '../../paint/mix/index.ts';
import { LIMITS } from '../../paint/stage/index.ts';

/** A place on the face, in mm from its top left corner. */
export interface Place {
  readonly x: number;
  readonly y: number;
}

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

/** One color of a stack or a path; `massG` null is "as much as it takes" (pillow and activator only). */
export interface PlanLayer {
  readonly id: string;
  readonly cupId: string;
  readonly massG: number | null;
}

export const STACK_WAYS = ['puddles', 'ring', 'cup'] as const;
/** "puddles": one after the other; "ring": from one cup in rings; "cup": a filled cup turned over and lifted. */
export type StackWay = (typeof STACK_WAYS)[number];

/** A puddle pile, from the bottom up. */
export interface PlanStack {
  readonly id: string;
  readonly at: Place;
  /** Diameter the flower shall reach once it is blown out. */
  readonly footprintMm: number;
  /** Left out: puddles. */
  readonly way?: StackWay | undefined;
  readonly layers: readonly PlanLayer[];
}

export const PATH_KINDS = ['ribbon', 'line', 'crescent', 'flood'] as const;
/** "ribbon": several colors side by side; "line": one; "crescent": bent; "flood": base along the colors. */
export type PathKind = (typeof PATH_KINDS)[number];

export const FLOOD_MOMENTS = ['before', 'around', 'over'] as const;
/** Base is flooded before the colors, around them when they lie, or drizzled over them before the air. */
export type FloodMoment = (typeof FLOOD_MOMENTS)[number];

/** Paint laid along a bent line: from start to end, drawn toward the control place (a quadratic curve). */
export interface PlanPath {
  readonly id: string;
  readonly kind: PathKind;
  readonly start: Place;
  readonly control: Place;
  readonly end: Place;
  /** Of a flood; left out: before the colors. */
  readonly moment?: FloodMoment | undefined;
  readonly layers: readonly PlanLayer[];
}

/** One blowing pass; their order in the plan is the order of the work. */
export interface PlanPass {
  readonly id: string;
  readonly tool: AirTool;
  /** The blower on the shelf; null is the usual one of its kind. */
  readonly blowerId: string | null;
  readonly setting: string;
  readonly at: Place;
  /** Clockwise from the top edge. */
  readonly directionDeg: number;
  readonly distanceMm: number;
  /** From the surface: 90 is straight down. */
  readonly slantDeg: number;
  readonly seconds: number;
  /** How it ends, where that differs from how it begins: farther off, harder. */
  readonly end?: PassEnd | null | undefined;
  /** Left out: straight. */
  readonly way?: AirWay | undefined;
}

export const SPREADERS = ['tilting', 'dryer', 'knife', 'spinner'] as const;
/** What spreads the base over the face, corners first. */
export type Spreader = (typeof SPREADERS)[number];

export const BASE_PATTERNS = ['one', 'split', 'marbled'] as const;
export type BasePattern = (typeof BASE_PATTERNS)[number];

/** Where two bases meet: a line from edge to edge that can be bent. */
export interface Seam {
  readonly start: Place;
  readonly control: Place;
  readonly end: Place;
}

/** What stays of the base: run off at a tilt for a time, or a thickness that is aimed at. */
export type BaseFilm =
  | { readonly kind: 'run-off'; readonly tiltDeg: number; readonly seconds: number }
  | { readonly kind: 'thickness'; readonly mm: number };

export interface PlanBase {
  readonly pattern: BasePattern;
  /** One for "one", two for "split" (left of the seam first), two or three for "marbled". */
  readonly areas: readonly { readonly cupId: string; readonly share: number }[];
  /** For "split" only. */
  readonly seam: Seam | null;
  readonly film: BaseFilm;
}

export interface PlanSettings {
  /** Film that shall stay between the air's dent and the support, mm. */
  readonly marginMm: number;
  /** Thickness of the activator once blown out, mm. */
  readonly sheetMm: number;
  /** Kept back for repairs, as a share of what is laid. */
  readonly reserveShare: number;
  /** Runs off the edges while blowing, tilting and spinning, as a share of what is laid. */
  readonly dripShare: number;
  /** What stays in a cup that is poured out, g. */
  readonly cupLossG: number;
  /** Pieces or tiles poured alike in one go. */
  readonly copies: number;
  /** From the last layer to the first pass, s. */
  readonly standSeconds: number;
  /** From the last pass until it is left alone: the cells open, s. */
  readonly waitSeconds: number;
  /** Turns a minute on the spinner afterwards, and for how long in all; 0 is not spun. */
  readonly spinRpm: number;
  readonly spinSeconds: number;
  /** In so many spins, both ways in turn, with a tip test between. */
  readonly spinTimes: number;
  readonly spreadBy: Spreader;
  /** The base is blown alone before a color lies on it. */
  readonly blowTest: boolean;
  /** Drawn over with a card instead of blown. */
  readonly card: boolean;
  /** What is left in the middle is broken with a straw once the cells are open. */
  readonly straw: boolean;
  /** Petals are drawn with a skewer at the end. */
  readonly skewer: boolean;
}

export interface Plan {
  readonly base: PlanBase | null;
  readonly stacks: readonly PlanStack[];
  readonly paths: readonly PlanPath[];
  readonly passes: readonly PlanPass[];
  readonly settings: PlanSettings;
}

/** Common practice, no published source. */
export const USUAL_SETTINGS: PlanSettings = {
  marginMm: 1,
  sheetMm: LIMITS.sheetMm.aim,
  reserveShare: 0.1,
  dripShare: 0.15,
  cupLossG: 3,
  copies: 1,
  standSeconds: 20,
  waitSeconds: 120,
  spinRpm: 0,
  spinSeconds: 0,
  spinTimes: 1,
  spreadBy: 'tilting',
  blowTest: false,
  card: false,
  straw: false,
  skewer: false,
};

/** A base runs off at the usual tilt. */
export const USUAL_FILM: BaseFilm = { kind: 'run-off', ...LIMITS.runOff };

export const EMPTY_PLAN: Plan = {
  base: null,
  stacks: [],
  paths: [],
  passes: [],
  settings: USUAL_SETTINGS,
};
