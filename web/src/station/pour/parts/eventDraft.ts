import type { PourEvent, PourEventKind } from '@icy-ribbon/contract';
import type { LaidShape, Mark } from '@icy-ribbon/core/piece/event';
import { formOf, formRow, type EventField, type FormKind } from '#words/event.ts';

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
  /** What was seen at a test; null until it is said. */
  moves: boolean | null;
  runsOver: boolean | null;
}

const USUAL_SECONDS: Partial<Record<FormKind, number>> = { wait: 120, torch: 3 };
/** What the words of a form are in its event. */
const WORDS_OF: Partial<Record<PourEventKind, string>> = { wait: 'forWhat', note: 'text' };

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
    tiltDeg: null,
    moves: null,
    runsOver: null,
    ...given,
  };
}

/** An event as its form shows it. */
export function draftOf({ kind, data }: PourEvent): EventDraft {
  const told = data as Partial<EventDraft> & { readonly mark?: Mark | null };
  const words = (data as Record<string, unknown>)[WORDS_OF[kind] ?? 'note'];
  const draft = newDraft(formOf(kind) ?? 'note');
  const known = Object.keys(draft).filter((key) => told[key as keyof EventDraft] !== undefined);
  return {
    ...draft,
    ...Object.fromEntries(known.map((key) => [key, told[key as keyof EventDraft]])),
    seconds: told.seconds ?? null,
    words: typeof words === 'string' ? words : '',
    ...(told.mark?.kind === 'spot' && { radiusMm: told.mark.radiusMm }),
  };
}

/** What was drawn for it on the support. */
export interface DrawnFor {
  readonly mark: Mark | null;
  readonly shape: LaidShape | null;
}

/** What a field of the form puts into the event. */
const GIVES: Readonly<
  Record<EventField, (draft: EventDraft, drawn: DrawnFor, kind: PourEventKind) => object>
> = {
  direction: ({ directionDeg }) => ({ directionDeg }),
  rpm: ({ rpm }) => ({ rpm }),
  way: ({ way }) => ({ way }),
  seconds: ({ seconds }) => ({ seconds }),
  cup: ({ cupId, mg }) => ({ cupId: cupId ?? '', mg: mg ?? 0 }),
  words: ({ words }, _drawn, kind) => ({ [WORDS_OF[kind] ?? 'note']: words }),
  place: (_draft, { mark, shape }) => ({ ...(mark && { mark }), ...(shape && { shape }) }),
  radius: () => ({}),
  tilt: ({ tiltDeg }) => ({ tiltDeg }),
  moves: ({ moves }) => ({ moves }),
  runsOver: ({ runsOver }) => ({ runsOver }),
};

/** What the log is told: the kind of event and its data, to be checked by the contract. */
export function eventOf(
  form: FormKind,
  draft: EventDraft,
  drawn: DrawnFor = { mark: null, shape: null },
): { kind: PourEventKind; data: object } {
  const isAdded = form === 'add-base' || form === 'add-color';
  const kind = isAdded ? 'layer' : form;
  const given = formRow(form).fields.map((field) => GIVES[field](draft, drawn, kind));
  return { kind, data: Object.assign(isAdded ? { moment: 'add' } : {}, ...given) as object };
}
