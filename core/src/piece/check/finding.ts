import type { AirTool } from '../../flow/air/index.ts';
import type { Amounts, BlowerExit } from '../amount/index.ts';
import type { ThickCup } from '../../paint/mix/index.ts';
import type { ContrastFinding } from '../../thickness/match/index.ts';
import type { Coverage } from '../cover/index.ts';
import type { Plan, PlanPaint } from '../plan/index.ts';
import type { SupportSize } from '../support/index.ts';
import type { Aims, Technique } from '../../paint/stage/index.ts';
import type { Fix } from './fix.ts';

/** What is known of a cup that the plan pours. */
export interface CheckCup extends ThickCup {
  /** False for one that is only planned. */
  readonly mixed: boolean;
  readonly leftG: number;
  readonly testedToday: boolean;
  /** Hours it still has to rest; 0 when it is rested or needs none. */
  readonly restHours: number;
  readonly water: 'fine' | 'caution' | 'stop';
  readonly weakFilm: boolean;
  /** Silicone was mixed in. */
  readonly silicone: boolean;
}

/** What each finding is about: numbers with their units in their names. */
export interface FindingFacts {
  readonly empty: object;
  readonly 'no-air': object;
  /** How the cups' thicknesses go together. */
  readonly contrast: ContrastFinding;
  readonly dent: {
    /** Counted from 1. */
    readonly pass: number;
    /** It reaches the support. */
    readonly bare: boolean;
    readonly tool: AirTool;
    readonly distanceMm: number;
    readonly slantDeg: number;
    readonly dentMm: number;
    readonly depthMm: number;
    /** What shall stay in the middle. */
    readonly marginMm: number;
  };
  readonly short: {
    readonly name: string;
    readonly isMixed: boolean;
    readonly wantedG: number;
    readonly leftG: number;
  };
  /** A neon among other colors; its share of them by mass, and an equal share. */
  readonly neon: { readonly name: string; readonly share: number; readonly equalShare: number };
  readonly 'weak-film': { readonly name: string; readonly isAboveWaterLimit: boolean };
  readonly fresh: { readonly name: string; readonly restHours: number };
  readonly untested: { readonly name: string };
  readonly 'too-much': { readonly filmMm: number };
  /** `usualMm` stays of a base as thick after a usual run-off. */
  readonly 'base-thin': { readonly name: string; readonly filmMm: number; readonly usualMm: number };
  readonly 'base-thick': { readonly name: string; readonly filmMm: number; readonly usualMm: number };
  readonly 'no-base': { readonly filmMm: number };
  /** Shares of the face that the design covers; what is wanted of it, and whether bare support would show beside it. */
  readonly coverage: {
    readonly covered: number;
    readonly low: number;
    readonly high: number;
    readonly wants: 'full' | 'space' | 'ground';
    readonly bare: boolean;
  };
  /** Petals, counted from 1, that end just before the edge or just beyond it, and how far from it. */
  readonly 'petal-ends': {
    readonly kind: 'falls-short' | 'lone-drip';
    readonly passes: readonly number[];
    readonly mm: number;
  };
  /** A spin that pulls at the rim more than cells bear; what it may turn there. */
  readonly 'spin-fast': { readonly rpm: number; readonly shearPa: number; readonly aimRpm: number };
  /** What the middle of the flower keeps after the spin. */
  readonly 'middle-thick': { readonly middleMm: number };
  /** Share of their color that the mixture of two neighbors keeps. */
  readonly mud: { readonly lower: string; readonly upper: string; readonly keptShare: number };
  readonly sinks: {
    readonly upper: string;
    readonly lower: string;
    readonly upperGPerMl: number;
    readonly lowerGPerMl: number;
    readonly fromSeconds: number;
    readonly toSeconds: number;
  };
  readonly 'opens-early': {
    readonly name: string;
    readonly fromSeconds: number;
    readonly toSeconds: number;
    readonly blowSeconds: number;
  };
  readonly 'opens-late': {
    readonly name: string;
    readonly fromSeconds: number;
    readonly toSeconds: number;
    readonly waitSeconds: number;
  };
  readonly 'dose-little': { readonly name: string; readonly sheetMm: number };
  readonly 'dose-much': { readonly name: string; readonly sheetMm: number };
  /** Silicone in a cup that is poured: for every top coat, and for the torch. */
  readonly silicone: { readonly name: string };
  readonly level: object;
  readonly torch: object;
  readonly spinner: object;
  readonly mains: object;
  readonly breath: object;
}
export type FindingCode = keyof FindingFacts;

/** Something to be seen to before the pour; `web/words/finding` says it. */
export type Finding<Code extends FindingCode = FindingCode> = {
  readonly [Each in Code]: {
    readonly id: string;
    /** "wrong" spoils the piece, "look" may, "do" is to be done before the pour. */
    readonly level: 'wrong' | 'look' | 'do';
    readonly code: Each;
    readonly facts: FindingFacts[Each];
    readonly fix: Fix | null;
  };
}[Code];

export interface CheckInput {
  readonly technique: Technique;
  /** What the artist wants of it; left out, nothing in particular. */
  readonly aims?: Aims | undefined;
  readonly support: SupportSize;
  readonly plan: Plan;
  readonly paints: readonly PlanPaint[];
  readonly cups: readonly CheckCup[];
  readonly blowers: readonly BlowerExit[];
  readonly amounts: Amounts;
  /** The forecast of coverage, where it is there already; left out: it is worked out. */
  readonly coverage?: Coverage | null | undefined;
  /** What own pours say of a forecast of coverage; left out: the forecast alone. */
  readonly covers?: ((forecast: number) => { covered: number; low: number; high: number }) | undefined;
  /** Findings the artist has seen to: the table is level, cautions were read. */
  readonly ticked: readonly string[];
}
