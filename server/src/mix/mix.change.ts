import { randomUUID } from 'node:crypto';
import {
  MOST_CUP_MG,
  type ActualUpdate,
  type AdditionCreate,
  type IngredientCreate,
  type Mix,
  type MixUpdate,
} from '@icy-ribbon/contract';
import { roleOf } from '@icy-ribbon/core/paint/material';
import { splitMg, toG } from '@icy-ribbon/core/base/unit';
import type { LearnedThickness } from '@icy-ribbon/core/thickness/learn';
import { doneAt, found, withoutUndefined, timestamp, updateVersioned, type Writer } from '../db/record.ts';
import { taken, unfit } from '../http/problem.ts';
import { findMaterial } from '../material/material.queries.ts';
import { learnedFromReadings } from '../reading/learned.queries.ts';
import { findMix, insertAddition, insertIngredient, liveMix, nextPlace } from './mix.queries.ts';
import { snapshotOf } from './plan.ts';

/** Renames a cup or changes its amount; the amount is fixed once something has been weighed in. */
export async function updateMix(trx: Writer, id: string, input: MixUpdate): Promise<Mix> {
  const mix = await liveMix(trx, id);
  await updateVersioned(
    trx,
    'mix',
    { id, version: input.version },
    withoutUndefined({
      name: input.name,
      lid: input.lid === undefined ? undefined : Number(input.lid),
      dryColorHex: input.dryColorHex,
    }),
    () => Promise.resolve(mix),
  );
  if (input.totalMg !== undefined) await resize(trx, mix, input.totalMg);
  return found(await findMix(trx, id), 'cup');
}

async function resize(trx: Writer, mix: Mix, totalMg: number): Promise<void> {
  if (mix.additions.length > 0) {
    throw unfit('totalMg', 'Something has been weighed in: the amount of this cup is fixed.');
  }
  const targets = splitMg(
    totalMg,
    mix.ingredients.map((each) => each.share),
  );
  for (const [index, ingredient] of mix.ingredients.entries()) {
    await trx
      .updateTable('mixIngredient')
      .set({ targetMg: targets[index] ?? 0 })
      .where('id', '=', ingredient.id)
      .execute();
  }
}

/** Makes room for a material the recipe does not have; one that is there already is left as it is. */
export async function addIngredient(
  trx: Writer,
  id: string,
  input: IngredientCreate,
  taught?: ReadonlyMap<string, LearnedThickness>,
): Promise<Mix> {
  const mix = await liveMix(trx, id);
  const material = await findMaterial(trx, input.materialId);
  if (!material || material.deletedAt !== null) throw unfit('materialId', 'Choose it from the shelf.');
  if (mix.ingredients.some((each) => each.material.materialId === material.id)) return mix;
  const learned = (taught ?? (await learnedFromReadings(trx, mix.pieceId))).get(material.id);
  await insertIngredient(trx, id, mix.ingredients.length, {
    id: input.id,
    role: roleOf(material.kind),
    share: 0,
    targetMg: 0,
    material: snapshotOf(material, learned),
  });
  await touch(trx, mix);
  return found(await findMix(trx, id), 'cup');
}

/** Logs something weighed in. The same addition sent again changes nothing. */
export async function addToMix(trx: Writer, id: string, input: AdditionCreate): Promise<Mix> {
  const mix = await liveMix(trx, id);
  requireIngredient(mix, input.ingredientId);
  const known = await trx
    .selectFrom('mixAddition')
    .select('cupId')
    .where('id', '=', input.id)
    .executeTakeFirst();
  if (known && known.cupId !== id) throw taken('cup');
  if (!known) {
    await insertAddition(trx, id, {
      ...input,
      at: doneAt(input.at),
      drawId: null,
      place: await nextPlace(trx, id),
    });
    await touch(trx, mix);
    await requireFits(trx, id);
  }
  return found(await findMix(trx, id), 'cup');
}

/**
 * Strikes out an addition; striking it out again changes nothing. What was drawn from another cup goes
 * back to it, with all that the same draw brought along.
 */
export async function takeBack(trx: Writer, id: string, additionId: string): Promise<Mix> {
  const mix = await liveMix(trx, id);
  const addition = mix.additions.find((each) => each.id === additionId);
  if (!addition) return mix;
  const voidedAt = timestamp();
  await trx
    .updateTable('mixAddition')
    .set({ voidedAt })
    .where('cupId', '=', id)
    .where((eb) =>
      addition.drawId === null ? eb('id', '=', additionId) : eb('drawId', '=', addition.drawId),
    )
    .execute();
  if (addition.drawId !== null) {
    await giveBack(trx, addition.drawId, voidedAt);
  }
  await touch(trx, mix);
  return found(await findMix(trx, id), 'cup');
}

/** A draw that is taken back goes into the cup it came from, which is another one then. */
async function giveBack(trx: Writer, drawId: string, voidedAt: string): Promise<void> {
  const movement = await trx
    .selectFrom('mixMovement')
    .select('cupId')
    .where('id', '=', drawId)
    .executeTakeFirst();
  await trx.updateTable('mixMovement').set({ voidedAt }).where('id', '=', drawId).execute();
  const source = movement && (await findMix(trx, movement.cupId));
  if (source) await touch(trx, source);
}

/**
 * Replaces what was weighed in of one ingredient by what the scale showed in all. What was drawn from another cup
 * stays: it is that cup's as well.
 *
 * @throws HttpProblem 422 when less is given than was drawn
 */
export async function setActual(
  trx: Writer,
  id: string,
  ingredientId: string,
  input: ActualUpdate,
): Promise<Mix> {
  const mix = await liveMix(trx, id);
  requireIngredient(mix, ingredientId);
  await updateVersioned(trx, 'mix', { id, version: input.version }, {}, () => Promise.resolve(mix));
  const drawnMg = mix.additions
    .filter((each) => each.ingredientId === ingredientId && each.drawId !== null)
    .reduce((sum, { mg }) => sum + mg, 0);
  if (input.mg < drawnMg) {
    throw unfit(
      'mg',
      `${toG(drawnMg).toFixed(1)} g of it came from another cup: give that or more, or take the draw back.`,
    );
  }
  await trx
    .updateTable('mixAddition')
    .set({ voidedAt: timestamp() })
    .where('ingredientId', '=', ingredientId)
    .where('drawId', 'is', null)
    .where('voidedAt', 'is', null)
    .execute();
  const weighedMg = input.mg - drawnMg;
  if (weighedMg > 0) {
    await insertAddition(trx, id, {
      id: randomUUID(),
      ingredientId,
      mg: weighedMg,
      source: input.source,
      at: timestamp(),
      drawId: null,
      place: await nextPlace(trx, id),
    });
    await requireFits(trx, id);
  }
  return found(await findMix(trx, id), 'cup');
}

function requireIngredient(mix: Mix, ingredientId: string): void {
  if (!mix.ingredients.some((each) => each.id === ingredientId)) {
    throw unfit('ingredientId', 'This ingredient is not in the cup’s recipe.');
  }
}

async function touch(trx: Writer, mix: Mix): Promise<void> {
  await updateVersioned(trx, 'mix', mix, {}, () => Promise.resolve(mix));
}

/** @throws HttpProblem 422 when a cup would hold more than a cup can */
export async function requireFits(trx: Writer, cupId: string): Promise<void> {
  const { held } = await trx
    .selectFrom('mixAddition')
    .select(({ fn }) => fn.sum<number>('mg').as('held'))
    .where('cupId', '=', cupId)
    .where('voidedAt', 'is', null)
    .executeTakeFirstOrThrow();
  if (Number(held ?? 0) > MOST_CUP_MG) throw unfit('mg', 'More than a ton does not fit a cup.');
}
