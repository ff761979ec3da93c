import type {
  EventOf,
  LayerEvent,
  PassData,
  PourEvent,
  PourEventKind,
  RoomEvent,
} from '@icy-ribbon/contract';
import { layProblem } from '@icy-ribbon/core/piece/event';
import { isPrepareStep } from '@icy-ribbon/core/piece/prepare';
import { fieldProblem } from '#api/problem.ts';
import { checkedEvent } from './checkedEvent.ts';
import { usePiece } from './piece.ts';

/** The room and what is got ready can be logged long before. */
const beginsPour = (event: PourEvent): boolean =>
  event.kind !== 'room' && !(event.kind === 'step' && isPrepareStep(event.data.stepId));

/** What is logged of the pour of the piece in hand; it brings the schemas, which only pages that pour need. */
export function usePourWrites() {
  const store = usePiece();

  /**
   * Logs an event of the pour: it is checked and kept in the browser at once, and sent when the server answers.
   *
   * @throws ApiProblem with the field when it cannot have happened
   */
  function record<Kind extends PourEventKind>(kind: Kind, data: EventOf<Kind>['data']): PourEvent {
    const { id: pieceId } = store.current();
    const event = checkedEvent({ id: crypto.randomUUID(), at: new Date().toISOString(), kind, data });
    if (event.kind === 'layer') requireInCup(event.data);
    if (kind !== 'plan' && kind !== 'void' && beginsPour(event)) keepPlan(pieceId);
    log(pieceId, event);
    return event;
  }

  const log = (pieceId: string, event: PourEvent): void =>
    store.keep(pieceId, event.id, { kind: 'event', event });

  /** A pour keeps the plan it began with. */
  function keepPlan(pieceId: string): void {
    const plan = store.piece?.plan;
    if (!plan || store.events.some(beginsPour)) return;
    const { version, createdAt, updatedAt, ...body } = plan;
    void [version, createdAt, updatedAt];
    log(
      pieceId,
      checkedEvent({ id: crypto.randomUUID(), at: new Date().toISOString(), kind: 'plan', data: body }),
    );
  }

  /**
   * Sets right what was logged: the correction takes its place, at the time it happened.
   *
   * @throws ApiProblem with the field when it cannot have happened
   */
  function correct(was: PourEvent, data: object): PourEvent {
    const { kind, at, id: insteadOf } = was;
    const event = checkedEvent({ id: crypto.randomUUID(), at, kind, data, insteadOf });
    if (event.kind === 'layer') requireInCup(event.data, was.kind === 'layer' ? was.data : undefined);
    log(store.current().id, event);
    return event;
  }

  /** A correction may use what the layer that it corrects took. */
  function requireInCup({ cupId, mg }: LayerEvent['data'], instead?: LayerEvent['data']): void {
    const cup = store.cups.find((each) => each.mix.id === cupId);
    if (!cup) return;
    const leftMg = cup.state.leftMg + (instead?.cupId === cupId ? instead.mg : 0);
    const problem = layProblem({ name: cup.mix.name, leftMg }, mg);
    if (problem) throw fieldProblem('data.mg', problem);
  }

  const layDown = (cupId: string, mg: number, more: Partial<LayerEvent['data']> = {}) =>
    record('layer', { cupId, mg, ...more });
  const logPass = (data: PassData) => record('pass', data);
  const logRoom = (data: RoomEvent['data']) => record('room', data);
  const takeBackEvent = (eventId: string) => record('void', { eventId });

  return { record, correct, layDown, logPass, logRoom, takeBackEvent };
}
