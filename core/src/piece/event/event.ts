import type { LaidShape } from './shape.ts';
import type { FacePlace, Mark, Spot } from './mark.ts';
import type { AirTool, AirWay, PassEnd } from '../../flow/air/index.ts';
import type { Plan } from '../plan/index.ts';

interface OfStep {
  /** The step of the run sheet that the event carries out. */
  readonly stepId?: string | undefined;
}
interface Placed extends OfStep {
  readonly at?: FacePlace | null | undefined;
}
interface Touch extends Placed {
  readonly note: string;
  /** What of the face was touched. */
  readonly mark?: Mark | null | undefined;
}

/** One blowing pass: millimeters, degrees from the surface, degrees clockwise from the top edge. */
export interface PassData extends OfStep {
  readonly tool: AirTool;
  readonly setting: string;
  readonly distanceMm: number;
  readonly slantDeg: number;
  readonly directionDeg: number;
  readonly seconds: number;
  /** The very blower, as it was then; null when it was not said. */
  readonly blower?: {
    readonly id: string;
    readonly name: string;
    readonly exitDiameterMm: number;
    readonly exitSpeedMS: number;
  } | null;
  /** Where it began; null when not drawn. */
  readonly from: FacePlace | null;
  /** How it ended, where that differs from how it began. */
  readonly end?: PassEnd | null | undefined;
  /** Left out: straight. */
  readonly way?: AirWay | undefined;
}

/** What is laid again where something was scraped off, whole milligrams, in its first order. */
export interface RepairLayer {
  readonly cupId: string;
  readonly mg: number;
}

/** Everything that can happen while a piece is poured, by its kind, with what is logged of it. */
export interface EventData {
  /** Paint of a cup laid on the support, whole milligrams; "add" when it came on after the first air. */
  readonly layer: Placed & {
    readonly cupId: string;
    readonly mg: number;
    readonly moment?: 'lay' | 'add' | undefined;
    /** Where and how it lies; left out by who did not say. */
    readonly shape?: LaidShape | null | undefined;
  };
  readonly pass: PassData;
  readonly room: {
    readonly temperatureC: number;
    readonly humidityPercent: number | null;
    /** Told by a stand-in for a device that is not there: it is no evidence. */
    readonly standIn?: boolean | undefined;
  };
  readonly torch: Placed & { readonly seconds: number | null };
  readonly wait: OfStep & { readonly seconds: number; readonly forWhat: string };
  readonly spin: OfStep & {
    readonly rpm: number;
    readonly seconds: number;
    readonly way: 'clockwise' | 'counterclockwise' | 'both';
  };
  readonly tilt: OfStep & { readonly directionDeg: number; readonly seconds: number | null };
  readonly scrape: Touch;
  readonly straw: Touch;
  readonly skewer: Touch;
  /** Paint drawn over the others with a card. */
  readonly card: Touch;
  /** A cup turned over on the support and lifted off. */
  readonly lift: Placed & { readonly note: string };
  /** The base blown alone: whether it moves easily, whether paint still runs over the edge. */
  readonly 'blow-test': OfStep & { readonly moves: boolean; readonly runsOver: boolean };
  /** The support tipped by so much from level: whether the middle moves. */
  readonly 'tip-test': OfStep & { readonly tiltDeg: number; readonly moves: boolean };
  /** The beginning of a repair: where, and what is laid there again. Its steps name it in their step ids. */
  readonly repair: {
    readonly mark: Spot;
    readonly layers: readonly RepairLayer[];
    /** The new angle of the air. */
    readonly directionDeg: number;
    readonly note: string;
  };
  readonly note: { readonly text: string };
  readonly photo: { readonly photoId: string | null; readonly note: string };
  /** A step of the plan that was seen to without paint or air, or left out. */
  readonly step: { readonly stepId: string; readonly outcome: 'done' | 'skipped'; readonly note: string };
  /** The plan as it was when the pour began. */
  readonly plan: Plan;
  /** Takes back the event it names. */
  readonly void: { readonly eventId: string };
}
export type EventKind = keyof EventData;

/** One entry of the log of a pour. */
export type LoggedEvent<Kind extends EventKind = EventKind> = {
  [Each in Kind]: {
    readonly id: string;
    readonly kind: Each;
    readonly data: EventData[Each];
    /** The event that this one corrects, in whose place it stands. */
    readonly insteadOf?: string | undefined;
  };
}[Kind];

/**
 * The entries of one kind, in their order.
 *
 * @param events any entries, with whatever else they carry (a time, say)
 */
export function eventsOfKind<Event extends LoggedEvent, Kind extends EventKind>(
  events: readonly Event[],
  kind: Kind,
): Extract<Event, { kind: Kind }>[] {
  return events.filter((event): event is Extract<Event, { kind: Kind }> => event.kind === kind);
}

/** What was logged of one kind, in its order. */
export function dataOf<Kind extends EventKind>(
  events: readonly LoggedEvent[],
  kind: Kind,
): EventData[Kind][] {
  return events.filter((event) => event.kind === kind).map(({ data }) => data as EventData[Kind]);
}
