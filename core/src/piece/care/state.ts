import type { CareData, CareEventOf, CareKind, LoggedCare } from './event.ts';
import type { CareCheck, ClosingStep } from './choices.ts';

type Noted<Kind extends CareKind> = CareEventOf<Kind>;

/** What the log after a pour comes to. */
export interface CareState {
  readonly place: CareData['place'] | null;
  readonly level: CareData['level'] | null;
  readonly room: CareData['room'] | null;
  /** The newest look at each thing. */
  readonly checks: Partial<Readonly<Record<CareCheck, Noted<'check'>>>>;
  readonly decision: Noted<'decide'> | null;
  readonly coats: readonly Noted<'coat'>[];
  readonly works: readonly Noted<'work'>[];
  /** The tries of a change that were kept. */
  readonly sketches: readonly CareData['sketch'][];
  readonly closed: ReadonlySet<ClosingStep>;
  readonly show: Noted<'show'> | null;
  readonly price: Noted<'price'> | null;
  readonly sale: Noted<'sale'> | null;
}

/** The events that stand: without those that were taken back. */
export function careInForce(log: readonly LoggedCare[]): LoggedCare[] {
  const struck = new Set(log.flatMap((event) => (event.kind === 'void' ? [event.data.eventId] : [])));
  return log.filter((event) => event.kind !== 'void' && !struck.has(event.id));
}

/**
 * What the log after a pour comes to: the newest of each kind counts, coats and fine works add up.
 *
 * @param log as it was written
 * @example careState([]).coats // []
 */
export function careState(log: readonly LoggedCare[]): CareState {
  const standing = careInForce(log);
  const all = <Kind extends CareKind>(kind: Kind) =>
    standing.filter((event): event is Extract<LoggedCare, { kind: Kind }> => event.kind === kind);
  const place = all('place').at(-1)?.data ?? null;
  const show = all('show').at(-1) ?? null;
  return {
    place: place?.shelfId === null ? null : place,
    level: all('level').at(-1)?.data ?? null,
    room: all('room').at(-1)?.data ?? null,
    checks: Object.fromEntries(all('check').map((event) => [event.data.what, event])),
    decision: all('decide').at(-1) ?? null,
    coats: all('coat'),
    works: all('work'),
    sketches: [...new Map(all('sketch').map(({ data }) => [data.sketchId, data])).values()].filter(
      ({ marks }) => marks.length > 0,
    ),
    closed: new Set(all('closing').map(({ data }) => data.step)),
    show: show?.data.name === '' ? null : show,
    price: all('price').at(-1) ?? null,
    sale: all('sale').at(-1) ?? null,
  };
}

/** Of a slope both ways, how steep it is down its own fall line, mm on a meter, and where that points, clockwise from the top. */
export function fallLine({ acrossMmPerM, downMmPerM }: CareData['level']): {
  readonly slopeMmPerM: number;
  readonly directionDeg: number;
} {
  const deg = (Math.atan2(acrossMmPerM, -downMmPerM) * 180) / Math.PI;
  return { slopeMmPerM: Math.hypot(acrossMmPerM, downMmPerM), directionDeg: (deg + 360) % 360 };
}

/** Decisions after which the piece is no more: its support is free. */
const GONE: readonly CareData['decide']['what'][] = ['scrape', 'wash-off'];
/** Decisions after which nothing more is done to it. */
const DONE: readonly CareData['decide']['what'][] = ['hang', 'ground', 'crop'];

export const isGone = ({ decision }: Pick<CareState, 'decision'>): boolean =>
  decision !== null && GONE.includes(decision.data.what);
export const isDone = ({ decision, sale }: Pick<CareState, 'decision' | 'sale'>): boolean =>
  sale !== null || (decision !== null && DONE.includes(decision.data.what));
