import type { Addition, Mix, MovementCreate, ReadingsCreate } from '@icy-ribbon/contract';
import { api, type BodyOf } from '@icy-ribbon/contract/addresses';
import { call } from '#api/client.ts';
import { ApiProblem } from '#api/problem.ts';
import { inTurn } from '../inTurn.ts';
import { sendVersioned } from '../versioned.ts';
import type { TableQueue } from '../tableQueue.ts';
import type { InHand } from './inHand.ts';
import { replaceMix as putMix, setReadings } from './send.ts';

type MixInput = BodyOf<typeof api.mixes.create>;

/**
 * What is done to the cups of the piece in hand, and what is read of them. What is weighed, taken back and read goes on while the server is away: it
 * waits in the browser. Everything else starts from what the server says of the cup.
 */
export function cupWrites(hand: InHand, queue: TableQueue) {
  const replaceMix = (mix: Mix): void => putMix(hand, mix);

  /** What was weighed before goes first. @throws ApiProblem while it cannot */
  async function sendBefore(): Promise<void> {
    const isOfCups = () => queue.waiting.value.some(({ write }) => write.kind !== 'event');
    if (!isOfCups()) return;
    await queue.send();
    if (isOfCups()) throw AWAY;
  }

  /**
   * Writes to a cup when what this page writes to it already is done.
   *
   * @param write is told the version that gave, unless the cup is not on the bench any more
   */
  function writeCup(id: string, write: (version?: number) => Promise<Mix | undefined>): Promise<void> {
    return inTurn(`cup ${id}`, async () => {
      await sendBefore();
      const mix = await write(hand.piece.value?.mixes.find((each) => each.id === id)?.version);
      if (mix) replaceMix(mix);
      else await hand.reload();
    });
  }

  async function addCup(input: MixInput): Promise<void> {
    const body = { id: crypto.randomUUID(), ...input };
    replaceMix(await call(api.mixes.create, { params: { pieceId: hand.current().id }, body }));
  }

  async function changeCup(
    mix: Mix,
    changes: { name?: string; totalMg?: number; dryColorHex?: string | null },
  ): Promise<void> {
    await writeCup(mix.id, (now = mix.version) =>
      sendVersioned(now, changes, (version) =>
        call(api.mixes.update, { params: { id: mix.id }, body: { ...changes, version } }),
      ),
    );
  }

  async function removeCup({ id, version }: Mix): Promise<Mix> {
    return inTurn(`cup ${id}`, async () => {
      const now = hand.piece.value?.mixes.find((each) => each.id === id)?.version ?? version;
      const removed = await call(api.mixes.remove, { params: { id }, query: { version: now } });
      replaceMix(removed);
      return removed;
    });
  }

  async function restoreCup({ id, version }: Mix): Promise<void> {
    await call(api.mixes.restore, { params: { id }, body: { version } });
    await hand.reload();
  }

  async function weighIn(
    cupId: string,
    ingredientId: string,
    mg: number,
    source: 'typed' | 'scale' | 'stand-in',
  ): Promise<void> {
    const id = crypto.randomUUID();
    const addition = { id, ingredientId, mg: Math.round(mg), source, at: new Date().toISOString() };
    queue.add(hand.current().id, id, { kind: 'addition', cupId, addition });
    await queue.told(id);
  }

  /** Makes room in a cup for a material its recipe does not have; gives the cup with it. */
  async function addIngredient(cupId: string, materialId: string): Promise<Mix> {
    const body = { id: crypto.randomUUID(), materialId };
    return inTurn(`cup ${cupId}`, async () => {
      const mix = await call(api.mixes.addIngredient, { params: { id: cupId }, body });
      replaceMix(mix);
      return mix;
    });
  }

  /** Pours some of a medium on the bench into another cup. */
  async function draw(cupId: string, fromCupId: string, mg: number): Promise<void> {
    const body = { id: crypto.randomUUID(), fromCupId, mg };
    await inTurn(`cup ${fromCupId}`, () =>
      writeCup(cupId, async () => {
        const { mix, from } = await call(api.mixes.draw, { params: { id: cupId }, body });
        replaceMix(from);
        return mix;
      }),
    );
  }

  /** Strikes out an addition; what came from another cup goes back there. */
  async function takeBackAddition(cupId: string, { id: additionId, drawId }: Addition): Promise<void> {
    if (drawId !== null) {
      await writeCup(cupId, () => call(api.mixes.takeBack, { params: { id: cupId, additionId } }));
      await hand.reload();
      return;
    }
    const id = crypto.randomUUID();
    queue.add(hand.current().id, id, { kind: 'take-back', cupId, additionId });
    await queue.told(id);
  }

  async function setActual(mix: Mix, ingredientId: string, mg: number): Promise<void> {
    const send = (version: number) =>
      call(api.mixes.setActual, {
        params: { id: mix.id, ingredientId },
        body: { version, mg, source: 'typed' },
      });
    const isThere = (theirs: Mix) => weighedMg(theirs, ingredientId) === mg;
    await writeCup(mix.id, (now = mix.version) => sendVersioned(now, { mg }, send, isThere));
  }

  async function retarget(mix: Mix, targetsMg: readonly number[]): Promise<void> {
    const targets = mix.ingredients.map((each, index) => ({
      ingredientId: each.id,
      targetMg: targetsMg[index] ?? each.targetMg,
    }));
    await writeCup(mix.id, (now = mix.version) =>
      sendVersioned(now, {}, (version) =>
        call(api.mixes.retarget, { params: { id: mix.id }, body: { version, targets } }),
      ),
    );
  }

  async function moveOut(cupId: string, kind: MovementCreate['kind'], mg: number): Promise<void> {
    const body = { id: crypto.randomUUID(), kind, mg };
    await writeCup(cupId, () => call(api.mixes.move, { params: { id: cupId }, body }));
  }

  /** Keeps readings of cups, or all lanes of a race. */
  async function addReadings(readings: ReadingsCreate['readings']): Promise<void> {
    const id = crypto.randomUUID();
    queue.add(hand.current().id, id, { kind: 'readings', readings, at: new Date().toISOString() });
    await queue.told(id);
  }

  async function strikeReading(id: string, struck: boolean): Promise<void> {
    await sendBefore();
    const answer = await call(api.readings.strike, { params: { id }, body: { struck } });
    setReadings(hand, answer.readings);
  }

  return {
    addCup,
    changeCup,
    removeCup,
    restoreCup,
    weighIn,
    addIngredient,
    draw,
    takeBackAddition,
    setActual,
    retarget,
    moveOut,
    addReadings,
    strikeReading,
  };
}

const AWAY = new ApiProblem({
  type: 'about:blank',
  title: 'The server is away',
  status: 0,
  detail:
    "Can't reach the studio. What you weighed and read is saved on this device and will be sent first. Try this step again then.",
});

/** What stands weighed in of one ingredient. */
function weighedMg(mix: Mix, ingredientId: string): number {
  return mix.additions
    .filter((addition) => addition.ingredientId === ingredientId)
    .reduce((sum, { mg }) => sum + mg, 0);
}
