import type { AirTool } from '../../flow/air/index.ts';
import type { Technique } from '../../paint/stage/index.ts';

/** What the record holds for or against each cause, and what to change: numbers with their units in their names. */
export interface CauseFacts {
  readonly 'colors-thin': { technique: Technique; colorPaS: number; limitPaS: number; aimPaS: number };
  readonly 'colors-thick': { colorPaS: number; limitPaS: number; aimPaS: number };
  readonly 'activator-thick': { activatorPaS: number; colorPaS: number; sank: boolean; aimPaS: number };
  readonly 'activator-much': DoseFacts;
  readonly 'activator-little': DoseFacts;
  readonly 'air-dug': {
    /** Counted from 1. */
    pass: number;
    tool: AirTool;
    distanceMm: number;
    slantDeg: number;
    seconds: number;
    straightDown: boolean;
    dentMm: number;
    groundMm: number;
    aimDistanceMm: number;
    /** Null where it slants enough. */
    aimSlantDeg: number | null;
  };
  readonly 'pillow-thin': { groundMm: number; aimMg: number };
  readonly 'colors-unequal': {
    thick: { name: string; paS: number };
    thin: { name: string; paS: number };
    ratio: number;
  };
  readonly 'color-heavy': { name: string; gPerMl: number; othersGPerMl: number };
  readonly 'color-thin': { name: string; paS: number; othersPaS: number };
  readonly 'opaque-low': { name: string; opacity: string; place: number | null; of: number };
  readonly 'color-little': { laidMg: number; share: number; aimMg: number };
  readonly 'base-little': { gPerDm2: number; usualGPerDm2: number; aimMg: number };
  readonly 'air-little': { seconds: number; passes: number; sPerDm2: number };
  /** Share of their color that the mixture of two neighbors keeps. */
  readonly 'neighbors-muddy': { lower: string; upper: string; keptShare: number };
  readonly overworked: { seconds: number; sPerDm2: number };
  readonly 'over-thinned': {
    name: string;
    waterFraction: number;
    hasWeakBinder: boolean;
    most: number;
  };
  /** Blown with a jet this narrow. */
  readonly 'air-narrow': { tool: AirTool | null; passes: number };
  readonly 'base-much': { gPerDm2: number; usualGPerDm2: number; ranOver: boolean; aimMg: number };
  readonly 'color-much': { name: string; laidMg: number; share: number; aimMg: number };
  readonly 'neon-bleeds': { name: string; finish: string | null };
  readonly 'under-activator': { name: string; share: number; equalShare: number };
  /** How much the design stands out from its ground, CIEDE2000. */
  readonly 'patch-contrast': { difference: number; repairs: number };
  readonly 'torched-late': { torchedAfterAir: boolean };
  readonly 'spun-fast': { rpm: number; mostRpm: number };
  readonly 'paint-much': { mm: number };
  readonly 'not-level': { slopeMmPerM: number; driftMm: number };
  readonly 'not-torched': { torches: number };
  readonly 'mix-fresh': { restedHours: number };
  /** Cups that hold silicone, by name. */
  silicone: { names: string[] };
  readonly 'mica-coarse': { names: readonly string[]; finish: string | null };
}
/** Shares of activator to colors, by mass. */
interface DoseFacts {
  activatorMg: number;
  colorMg: number;
  share: number;
  least: number;
  most: number;
  aimMg: number;
}
export type CauseCode = keyof CauseFacts;

/** What the record would need to hold, or never holds, to tell. */
export type Missing =
  | 'colors'
  | 'activator'
  | 'activator-grams'
  | 'passes'
  | 'depth'
  | 'pillow'
  | 'which-color'
  | 'base'
  | 'laid'
  | 'mixed-when'
  | 'level'
  | 'ceiling-paint'
  | 'skin'
  | 'top-coat'
  | 'repair'
  | 'corners';

/** A possible cause of a fault, weighed against the record. */
export type Cause<Code extends CauseCode = CauseCode> = {
  readonly [Each in Code]: {
    readonly code: Each;
    /** From 0, the record speaks against it, to 1, it says so clearly. */
    readonly weight: number;
    /** Whether the record speaks for it. */
    readonly isLikely: boolean;
    readonly facts: CauseFacts[Each];
  };
}[Code];

/** What a cause says of a pour: how likely it is with its facts; what is missing; or nothing, when it cannot be. */
export type Weighed<Code extends CauseCode> =
  { readonly weight: number; readonly facts: CauseFacts[Code] } | { readonly missing: Missing } | null;
