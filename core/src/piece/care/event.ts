import type { CoatKind } from '../../flow/drying/index.ts';
import type { Sketch } from '../sketch/index.ts';

/** What is looked at once a piece has dried. */
export const CARE_CHECKS = ['wet-against-dry', 'cracks', 'drift', 'pinholes', 'flatness'] as const;
export type CareCheck = (typeof CARE_CHECKS)[number];

/** What may become of a piece. */
export const DECISIONS = [
  'finish',
  'hang',
  'alter',
  'pour-over',
  'scrape',
  'wash-off',
  'ground',
  'crop',
] as const;
export type Decision = (typeof DECISIONS)[number];

/** Lines, inlays and crystals, as they are laid on a dry piece. */
export const FINE_WORKS = ['resin-line', 'outliner', 'metal-line', 'inlay', 'crystals'] as const;
export type FineWork = (typeof FINE_WORKS)[number];

/** What is cleaned and kept after a pour. */
export const CLOSING_STEPS = ['left-overs', 'tools', 'spinner', 'bottles', 'tape', 'drain'] as const;
export type ClosingStep = (typeof CLOSING_STEPS)[number];

/** Everything that happens to a piece after its pour, by its kind, with what is noted of it. */
export interface CareData {
  /** Where it lies; null: it was taken off the rack. */
  readonly place: { readonly shelfId: string | null; readonly slotId: string | null };
  /** What a bubble level showed both ways, mm on a meter: positive when the right end or the lower edge lies deeper. */
  readonly level: { readonly acrossMmPerM: number; readonly downMmPerM: number };
  /** The room it dries in, with the air that moves over it. */
  readonly room: {
    readonly temperatureC: number;
    readonly humidityPercent: number | null;
    readonly airMS: number;
    /** Told by a stand-in for a device that is not there. */
    readonly standIn?: boolean | undefined;
  };
  readonly check: {
    readonly what: CareCheck;
    readonly found: boolean;
    /** How far it drifted or bows, where that was measured. */
    readonly mm: number | null;
    readonly note: string;
  };
  readonly decide: { readonly what: Decision; readonly note: string };
  readonly coat: {
    readonly kind: CoatKind;
    /** Of all its parts together, whole milligrams; null when it was not weighed. */
    readonly mg: number | null;
    /** Pieces that were coated from one pot name the same pot. */
    readonly potId: string | null;
    readonly note: string;
  };
  /** A try of a change; the newest of each id counts, one without marks is thrown away. */
  readonly sketch: Sketch;
  readonly work: { readonly what: FineWork; readonly step: string; readonly note: string };
  readonly closing: { readonly step: ClosingStep };
  /** A show it goes to, how it hangs there; an empty name takes it out again. */
  readonly show: { readonly name: string; readonly opensOn: string | null; readonly hanging: string };
  readonly price: {
    readonly hours: number;
    readonly paintCents: number;
    readonly supportCents: number;
    readonly coatCents: number;
    readonly otherCents: number;
    readonly askedCents: number | null;
  };
  readonly sale: { readonly to: string; readonly cents: number };
  readonly void: { readonly eventId: string };
}

export type CareKind = keyof CareData;
export type CareEventOf<Kind extends CareKind> = Kind extends CareKind
  ? { readonly id: string; readonly at: string; readonly kind: Kind; readonly data: CareData[Kind] }
  : never;
/** One line of the log after a pour. */
export type LoggedCare = CareEventOf<CareKind>;
