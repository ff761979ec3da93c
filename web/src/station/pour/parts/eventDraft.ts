import type { PourEvent, PourEventKind } from '@icy-ribbon/contract';
import type { LaidShape, Mark } from '@icy-ribbon/core/piece/event';
import type { FreeEvent } from '../../../words/event.ts';

/** What one form enters: a free event, or a layer that is being corrected. Passes and repairs have forms of their own. */
export type FormKind = Exclude<FreeEvent, 'pass' | 'repair'> | 'layer';

export type SpinWay = 'clockwise' | 'counterclockwise' | 'both';

/** Everything a form may ask for; each kind uses some of it. */
export interface EventDraft {
  seconds: number | null;
  rpm: number | null;
  way: SpinWay;
  directionDeg: number;
  words: string;
  cupId: string | null;
  mg: number | null;
  /** How wide the spot is. */
  radiusMm: number | null;
  tiltDeg: number | null;
  moves: boolean;
  runsOver: boolean;
}

export type EventField =
  | 'direction'
  | 'rpm'
  | 'way'
  | 'seconds'
  | 'cup'
  | 'words'
  | 'place'
  | 'radius'
  | 'tilt'
  | 'moves'
  | 'runsOver';

/** What each kind asks for, in the order of the form; a "place" is drawn on the support. */
export const EVENT_FIELDS: Readonly<Record<FormKind, readonly EventField[]>> = {
  torch: ['seconds'],
  wait: ['seconds', 'words'],
  spin: ['rpm', 'way', 'seconds'],
  tilt: ['direction', 'seconds'],
  'add-base': ['cup', 'place'],
  'add-color': ['cup', 'place'],
  layer: ['cup'],
  'blow-test': ['moves', 'runsOver'],
  'tip-test': ['tilt', 'moves'],
  card: ['place', 'words'],
  scrape: ['place', 'radius', 'words'],
  straw: ['place', 'radius', 'words'],
  skewer: ['place', 'words'],
  note: ['words'],
  photo: ['words'],
};

const USUAL_SECONDS: Partial<Record<FormKind, number>> = { wait: 120, torch: 3 };

export function newDraft(kind: FormKind, given: Partial<EventDraft> = {}): EventDraft {
  return {
    seconds: USUAL_SECONDS[kind] ?? 10,
    rpm: 40,
    way: 'both',
    directionDeg: 0,
    words: '',
    cupId: null,
    mg: 5000,
    radiusMm: 20,
    tiltDeg: 10,
    moves: true,
    runsOver: false,
    ...given,
  };
}

/** The form that corrects an event; undefined for what is only taken back. */
export function formOf(kind: PourEventKind): FormKind | undefined {
  return kind in EVENT_FIELDS ? (kind as FormKind) : undefined;
}

/** An event as its form shows it. */
export function draftOf({ kind, data }: PourEvent): EventDraft {
  const told = data as Partial<EventDraft> & {
    note?: string;
    text?: string;
    forWhat?: string;
    mark?: Mark | null;
  };
  const known = (key: 'rpm' | 'way' | 'directionDeg' | 'cupId' | 'mg' | 'tiltDeg' | 'moves' | 'runsOver') =>
    told[key] === undefined ? {} : { [key]: told[key] };
  return newDraft(formOf(kind) ?? 'note', {
    seconds: told.seconds ?? null,
    words: told.note ?? told.text ?? told.forWhat ?? '',
    ...{ ...known('rpm'), ...known('way'), ...known('directionDeg'), ...known('cupId'), ...known('mg') },
    ...{ ...known('tiltDeg'), ...known('moves'), ...known('runsOver') },
    ...(told.mark?.kind === 'spot' && { radiusMm: told.mark.radiusMm }),
  });
}

/** What was drawn for it on the support. */
export interface DrawnFor {
  readonly mark: Mark | null;
  readonly shape: LaidShape | null;
}

/** What the log is told: the kind of event and its data, to be checked by the contract. */
export function eventOf(
  kind: FormKind,
  draft: EventDraft,
  drawn: DrawnFor = { mark: null, shape: null },
): { kind: PourEventKind; data: object } {
  const { seconds, rpm, way, directionDeg, words, cupId, mg, tiltDeg, moves, runsOver } = draft;
  const place = drawn.mark && { mark: drawn.mark };
  switch (kind) {
    case 'torch':
      return { kind, data: { seconds } };
    case 'wait':
      return { kind, data: { seconds, forWhat: words } };
    case 'spin':
      return { kind, data: { rpm, way, seconds } };
    case 'tilt':
      return { kind, data: { directionDeg, seconds } };
    case 'layer':
      return { kind, data: { cupId: cupId ?? '', mg: mg ?? 0 } };
    case 'add-base':
    case 'add-color':
      return {
        kind: 'layer',
        data: {
          ...{ cupId: cupId ?? '', mg: mg ?? 0, moment: 'add' },
          ...(drawn.shape && { shape: drawn.shape }),
        },
      };
    case 'blow-test':
      return { kind, data: { moves, runsOver } };
    case 'tip-test':
      return { kind, data: { tiltDeg, moves } };
    case 'note':
      return { kind, data: { text: words } };
    case 'card':
    case 'scrape':
    case 'straw':
    case 'skewer':
      return { kind, data: { note: words, ...place } };
    case 'photo':
      return { kind, data: { note: words } };
  }
}
