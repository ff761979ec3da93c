import {
  api,
  type Addition,
  type Mix,
  type MovementCreate,
  type Reading,
  type ReadingInput,
} from '@icy-ribbon/contract';
import type { z } from 'zod';
import { call } from '../../api/client.ts';
import { inTurn } from '../inTurn.ts';
import { sendVersioned } from '../versioned.ts';
import type { InHand } from './inHand.ts';

type MixInput = z.input<typeof api.mixes.create.body>;

/** What is done to the cups of the piece in hand, and what is read of them. */
export function cupWrites(hand: InHand) {
  function replaceMix(mix: Mix): void {
    const found = hand.current();
    if (mix.pieceId !== found.id) return;
    const mixes = found.mixes.some((each) => each.id === mix.id)
      ? found.mixes.map((each) => (each.id === mix.id ? mix : each))
      : [...found.mixes, mix];
    hand.change({ mixes: mixes.filter((each) => each.deletedAt === null) });
  }

  /**
   * Writes to a cup when what this page writes to it already is done.
   *
   * @param write is told the version that gave, unless the cup is not on the bench any more
   */
  function writeCup(id: string, write: (version?: number) => Promise<Mix | undefined>): Promise<void> {
    return inTurn(`cup ${id}`, async () => {
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
    mixId: string,
    ingredientId: string,
    mg: number,
    source: 'typed' | 'scale' | 'stand-in',
  ): Promise<void> {
    const body = { id: crypto.randomUUID(), ingredientId, mg, source };
    await writeCup(mixId, () => call(api.mixes.add, { params: { id: mixId }, body }));
  }

  /** Makes room in a cup for a material its recipe does not have; gives the cup with it. */
  async function addIngredient(mixId: string, materialId: string): Promise<Mix> {
    const body = { id: crypto.randomUUID(), materialId };
    return inTurn(`cup ${mixId}`, async () => {
      const mix = await call(api.mixes.addIngredient, { params: { id: mixId }, body });
      replaceMix(mix);
      return mix;
    });
  }

  /** Pours some of a medium on the bench into another cup. */
  async function draw(mixId: string, fromMixId: string, mg: number): Promise<void> {
    const body = { id: crypto.randomUUID(), fromMixId, mg };
    await inTurn(`cup ${fromMixId}`, () =>
      writeCup(mixId, async () => {
        const { mix, from } = await call(api.mixes.draw, { params: { id: mixId }, body });
        replaceMix(from);
        return mix;
      }),
    );
  }

  /** Strikes out an addition; what came from another cup goes back there. */
  async function takeBackAddition(mixId: string, { id, drawId }: Addition): Promise<void> {
    await writeCup(mixId, () => call(api.mixes.takeBack, { params: { id: mixId, additionId: id } }));
    if (drawId !== null) await hand.reload();
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

  async function moveOut(mixId: string, kind: MovementCreate['kind'], mg: number): Promise<void> {
    const body = { id: crypto.randomUUID(), kind, mg };
    await writeCup(mixId, () => call(api.mixes.move, { params: { id: mixId }, body }));
  }

  function setReadings(next: Reading[]): void {
    hand.change({ readings: next });
  }

  /** Keeps readings of cups, or all lanes of a race. */
  async function addReadings(input: readonly ReadingInput[]): Promise<void> {
    const { id: pieceId } = hand.current();
    const answer = await call(api.readings.add, { params: { pieceId }, body: { readings: [...input] } });
    setReadings(answer.readings);
  }

  async function strikeReading(id: string, struck: boolean): Promise<void> {
    const answer = await call(api.readings.strike, { params: { id }, body: { struck } });
    setReadings(answer.readings);
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

/** What stands weighed in of one ingredient. */
function weighedMg(mix: Mix, ingredientId: string): number {
  return mix.additions
    .filter((addition) => addition.ingredientId === ingredientId)
    .reduce((sum, { mg }) => sum + mg, 0);
}
