import { randomUUID } from 'node:crypto';
import type { Combine, DrawCreate, Ingredient, Mix, MovementCreate, Retarget } from '@icy-ribbon/contract';
import { cupState, dryableMg } from '@icy-ribbon/core/paint/mix';
import { laidMgOf } from '@icy-ribbon/core/piece/event';
import { splitMg, toG } from '@icy-ribbon/core/base/unit';
import { found, newRecord, timestamp, updateVersioned, type Writer } from '../db/record.ts';
import { requirePiece } from '../db/ofPiece.ts';
import { taken, unfit } from '../http/problem.ts';
import { plansOf, putPlan } from '../plan/plan.queries.ts';
import { eventsOf } from '../pour/pour.queries.ts';
import { findMix, insertAddition, insertMix, liveMix, nextPlace, nextPosition } from './mix.queries.ts';
import { addIngredient, requireFits } from './mix.change.ts';

/** What is left in a cup now, whole milligrams. */
async function leftMg(trx: Writer, mix: Mix): Promise<number> {
  return cupState(mix, laidMgOf(await eventsOf(trx, [mix.pieceId]), mix.id)).leftMg;
}

/** Logs what left a cup. The same movement sent again changes nothing. */
export async function moveOut(trx: Writer, id: string, input: MovementCreate): Promise<Mix> {
  const mix = await liveMix(trx, id);
  if (mix.movements.some((each) => each.id === input.id)) return mix;
  await requireFreshMovement(trx, input.id);
  const left = await leftMg(trx, mix);
  if (input.mg > left) {
    throw unfit('mg', `"${mix.name}" holds ${toG(left).toFixed(1)} g: give that much or less.`);
  }
  const { version } = input.kind === 'loss' ? await withWater(trx, mix, input.mg) : mix;
  await trx
    .insertInto('mixMovement')
    .values({ ...input, cupId: id, at: timestamp(), voidedAt: null, place: await nextPlace(trx, id) })
    .execute();
  await updateVersioned(trx, 'mix', { id, version }, {}, () => Promise.resolve(mix));
  return found(await findMix(trx, id), 'cup');
}

/**
 * What dries away is water, of which a mix has some even where none was added: it gets a place in the cup then.
 *
 * @throws HttpProblem 422 when that much water is not in it, or the shelf knows no water
 */
async function withWater(trx: Writer, mix: Mix, mg: number): Promise<Mix> {
  const most = dryableMg(mix);
  if (mg > most) {
    throw unfit(
      'mg',
      `Only about ${toG(most).toFixed(1)} g in "${mix.name}" is water: log what was taken out as taken out.`,
    );
  }
  if (mix.ingredients.some(({ material }) => material.kind === 'water')) return mix;
  const water = await trx
    .selectFrom('material')
    .select('id')
    .where('kind', '=', 'water')
    .where('deletedAt', 'is', null)
    .orderBy('createdAt')
    .executeTakeFirst();
  if (!water)
    throw unfit('mg', 'Put water on the shelf first: it is what dries away and is stirred in again.');
  return addIngredient(trx, mix.id, { id: randomUUID(), materialId: water.id });
}

async function requireFreshMovement(trx: Writer, id: string): Promise<void> {
  const known = await trx.selectFrom('mixMovement').select('id').where('id', '=', id).executeTakeFirst();
  if (known) throw taken('cup');
}

/** New targets for an over-poured cup; nothing can be taken out, so none may lie below what is in. */
export async function retarget(trx: Writer, id: string, input: Retarget): Promise<Mix> {
  const mix = await liveMix(trx, id);
  await updateVersioned(trx, 'mix', { id, version: input.version }, {}, () => Promise.resolve(mix));
  const { actualIngredientMg } = cupState(mix);
  for (const [index, target] of input.targets.entries()) {
    const at = mix.ingredients.findIndex((each) => each.id === target.ingredientId);
    if (at < 0) {
      throw unfit(`targets.${index}.ingredientId`, 'This ingredient is not in the cup’s recipe.');
    }
    if (target.targetMg < (actualIngredientMg[at] ?? 0)) {
      throw unfit(`targets.${index}.targetMg`, 'More than that is in the cup already.');
    }
    await trx
      .updateTable('mixIngredient')
      .set({ targetMg: target.targetMg })
      .where('id', '=', target.ingredientId)
      .execute();
  }
  return found(await findMix(trx, id), 'cup');
}

/** Pours what is left of cups, of any piece, into a new one; the old ones are empty afterwards. */
export async function combine(trx: Writer, pieceId: string, input: Combine): Promise<Mix> {
  const existing = await findMix(trx, input.id);
  if (existing && existing.pieceId !== pieceId) throw taken('cup');
  if (existing) return existing;
  await requirePiece(trx, pieceId);
  const at = timestamp();
  const poured: { ingredient: Ingredient; mg: number }[] = [];
  let lackedMg = 0;
  const mixes: Mix[] = [];
  for (const [index, cupId] of input.cupIds.entries()) {
    const mix = await liveMix(trx, cupId);
    const left = await leftMg(trx, mix);
    if (left === 0) {
      throw unfit(`cupIds.${index}`, `Nothing of "${mix.name}" is left.`);
    }
    const { actualIngredientMg, actualMg } = cupState(mix);
    lackedMg += Math.round((-Math.min(0, ...actualIngredientMg) * left) / actualMg);
    mix.ingredients.forEach((ingredient, place) => {
      const mg = Math.round(((actualIngredientMg[place] ?? 0) * left) / actualMg);
      if (mg > 0) poured.push({ ingredient, mg });
    });
    mixes.push(mix);
    await trx
      .insertInto('mixMovement')
      .values({
        ...{ id: randomUUID(), cupId, kind: 'poured-over', mg: left, at, voidedAt: null },
        place: await nextPlace(trx, cupId),
      })
      .execute();
    await updateVersioned(trx, 'mix', mix, {}, () => Promise.resolve(mix));
  }
  const totalMg = poured.reduce((sum, each) => sum + each.mg, 0);
  const ingredients = [...groupByMaterial(poured)].map(([, { ingredient, mg }]): Ingredient => ({
    ...ingredient,
    id: randomUUID(),
    share: mg / totalMg,
    targetMg: mg,
  }));
  const mix: Mix = {
    ...newRecord(input.id, at),
    pieceId,
    name: input.name,
    role: mixes[0]!.role,
    recipe:
      mixes.length === 1
        ? mixes[0]!.recipe
        : {
            id: 'combined',
            name: 'Combined cups',
            variant: null,
            thinning: null,
            restHours: null,
            waterLimit: null,
            doseFactor: null,
            blend: null,
          },
    position: await nextPosition(trx, pieceId),
    ingredients,
    // Poured together, paint is as old as the oldest of it.
    additions: ingredients.map((each, index) => ({
      id: randomUUID(),
      ingredientId: each.id,
      mg: each.targetMg,
      source: 'poured',
      at: oldest(mixes) ?? at,
      drawId: null,
      place: index + 1,
    })),
    movements: [],
    lid: true,
    dryColorHex: null,
  };
  await insertMix(trx, mix);
  await requireFits(trx, mix.id);
  // Water that one of them lacked is lacking in the new cup.
  if (lackedMg > 0) await moveOut(trx, mix.id, { id: randomUUID(), kind: 'loss', mg: lackedMg });
  await pourInstead(trx, pieceId, new Set(input.cupIds), mix.id);
  return found(await findMix(trx, mix.id), 'cup');
}

/** The plan of the piece goes on pouring what was poured together, under its new cup. */
async function pourInstead(
  trx: Writer,
  pieceId: string,
  oldIds: ReadonlySet<string>,
  newId: string,
): Promise<void> {
  const plan = (await plansOf(trx, [pieceId])).get(pieceId);
  if (!plan) return;
  const swapped = <Item extends { readonly cupId: string }>(item: Item): Item =>
    oldIds.has(item.cupId) ? { ...item, cupId: newId } : item;
  const layered = <Item extends { readonly layers: readonly { readonly cupId: string }[] }>(item: Item) => ({
    ...item,
    layers: item.layers.map(swapped),
  });
  await putPlan(trx, pieceId, {
    ...plan,
    base: plan.base && { ...plan.base, areas: plan.base.areas.map(swapped) },
    stacks: plan.stacks.map(layered) as typeof plan.stacks,
    paths: plan.paths.map(layered) as typeof plan.paths,
  });
}

/**
 * Pours some of a mixed cup into another: each of its materials counts for the ingredient of the same
 * material, or kind, in the other. The same draw sent again changes nothing.
 *
 * @throws HttpProblem 422 when the cup holds less, or holds something the other has no place for
 */
export async function draw(trx: Writer, id: string, input: DrawCreate): Promise<{ mix: Mix; from: Mix }> {
  const mix = await liveMix(trx, id);
  const from = found(await findMix(trx, input.fromCupId), 'cup');
  if (mix.additions.some((each) => each.drawId === input.id)) return { mix, from };
  await liveMix(trx, from.id);
  await requireFreshMovement(trx, input.id);
  const left = await leftMg(trx, from);
  if (from.id === mix.id) throw unfit('fromCupId', 'A cup cannot be poured into itself.');
  if (input.mg > left) {
    throw unfit('mg', `"${from.name}" holds ${toG(left).toFixed(1)} g: pour that much or less.`);
  }
  const contents = cupState(from).actualIngredientMg;
  // Water that it lacks goes with what is drawn: the grams are right, and what is poured counts as mixed as it was.
  const shares = splitMg(
    input.mg,
    contents.map((mg) => Math.max(0, mg)),
  );
  const at = timestamp();
  for (const [index, { material }] of from.ingredients.entries()) {
    const mg = shares[index] ?? 0;
    if (mg === 0) continue;
    const into =
      mix.ingredients.find((each) => each.material.materialId === material.materialId) ??
      mix.ingredients.find((each) => each.material.kind === material.kind);
    if (!into) throw unfit('fromCupId', `"${mix.name}" takes no ${material.name.toLowerCase()}.`);
    await insertAddition(trx, id, {
      id: randomUUID(),
      ingredientId: into.id,
      mg,
      source: 'poured',
      at,
      drawId: input.id,
      place: await nextPlace(trx, id),
    });
  }
  await trx
    .insertInto('mixMovement')
    .values({
      ...{ id: input.id, cupId: from.id, kind: 'drawn', mg: input.mg, at, voidedAt: null },
      place: await nextPlace(trx, from.id),
    })
    .execute();
  await updateVersioned(trx, 'mix', from, {}, () => Promise.resolve(from));
  await updateVersioned(trx, 'mix', mix, {}, () => Promise.resolve(mix));
  await requireFits(trx, id);
  return { mix: found(await findMix(trx, id), 'cup'), from: found(await findMix(trx, from.id), 'cup') };
}

/** When the oldest of some cups was last added to. */
const oldest = (mixes: readonly Mix[]): string | undefined =>
  mixes.flatMap(({ additions }) => additions.at(-1)?.at ?? []).sort()[0];

function groupByMaterial(poured: readonly { ingredient: Ingredient; mg: number }[]) {
  const groups = new Map<string, { ingredient: Ingredient; mg: number }>();
  for (const { ingredient, mg } of poured) {
    const key = ingredient.material.materialId;
    groups.set(key, { ingredient, mg: mg + (groups.get(key)?.mg ?? 0) });
  }
  return groups;
}
