import type { PourEvent, PourEventKind } from '@icy-ribbon/contract';
import type { FreeEvent } from '../../../words/event.ts';

/** What one form enters: a free event, or a layer that is being corrected. Passes have a form of their own. */
export type FormKind = Exclude<FreeEvent, 'pass'> | 'layer';

export type SpinWay = 'clockwise' | 'counterclockwise' | 'both';

/** Everything a form may ask for; each kind uses some of it. */
export interface EventDraft {
  seconds: number | null;
  rpm: number | null;
  way: SpinWay;
  directionDeg: number;
  words: string;
  mixId: string | null;
  mg: number | null;
}

export type EventField = 'direction' | 'rpm' | 'way' | 'seconds' | 'cup' | 'words';

/** What each kind asks for, in the order of the form. */
export const EVENT_FIELDS: Readonly<Record<FormKind, readonly EventField[]>> = {
  torch: ['seconds'],
  wait: ['seconds', 'words'],
  spin: ['rpm', 'way', 'seconds'],
  tilt: ['direction', 'seconds'],
  'add-base': ['cup'],
  'add-color': ['cup'],
  layer: ['cup'],
  scrape: ['words'],
  straw: ['words'],
  skewer: ['words'],
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
    mixId: null,
    mg: 5000,
    ...given,
  };
}

/** The form that corrects an event; undefined for what is only taken back. */
export function formOf(kind: PourEventKind): FormKind | undefined {
  return kind in EVENT_FIELDS ? (kind as FormKind) : undefined;
}

/** An event as its form shows it. */
export function draftOf({ kind, data }: PourEvent): EventDraft {
  const told = data as Partial<EventDraft> & { note?: string; text?: string; forWhat?: string };
  return newDraft(formOf(kind) ?? 'note', {
    seconds: told.seconds ?? null,
    words: told.note ?? told.text ?? told.forWhat ?? '',
    ...(told.rpm !== undefined && { rpm: told.rpm }),
    ...(told.way !== undefined && { way: told.way }),
    ...(told.directionDeg !== undefined && { directionDeg: told.directionDeg }),
    ...(told.mixId !== undefined && { mixId: told.mixId }),
    ...(told.mg !== undefined && { mg: told.mg }),
  });
}

/** What the log is told: the kind of event and its data, to be checked by the contract. */
export function eventOf(kind: FormKind, draft: EventDraft): { kind: PourEventKind; data: object } {
  const { seconds, rpm, way, directionDeg, words, mixId, mg } = draft;
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
      return { kind, data: { mixId: mixId ?? '', mg: mg ?? 0 } };
    case 'add-base':
    case 'add-color':
      return { kind: 'layer', data: { mixId: mixId ?? '', mg: mg ?? 0, moment: 'add' } };
    case 'note':
      return { kind, data: { text: words } };
    case 'scrape':
    case 'straw':
    case 'skewer':
    case 'photo':
      return { kind, data: { note: words } };
  }
}
