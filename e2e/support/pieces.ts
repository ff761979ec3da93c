import type { Studio } from './studio.ts';

export type Json = Record<string, unknown> & { id: string };

/** Calls the API as the page does; a test that is about thickness does not mix by hand. */
export async function send<Answer = Json>(
  studio: Studio,
  method: string,
  path: string,
  body?: object,
): Promise<Answer> {
  const answer = await fetch(studio.address + path, {
    method,
    headers: { 'Content-Type': 'application/json' },
    ...(body && { body: JSON.stringify(body) }),
  });
  if (!answer.ok) throw new Error(`${method} ${path}: ${await answer.text()}`);
  return (await answer.json()) as Answer;
}

export interface Poured {
  readonly paint: string;
  readonly role: string;
  readonly recipeId: string;
  /** Grams of the recipe's ingredients in their order; what is left out is poured as planned. */
  readonly grams?: readonly number[];
  /** What the cup holds in all; 56.25 g when left out. */
  readonly totalMg?: number;
}

/** A piece whose cups are mixed. */
export async function mixedPiece(
  studio: Studio,
  technique: string,
  cups: readonly Poured[],
): Promise<string> {
  const { items: supports } = await send<{ items: Json[] }>(studio, 'GET', '/api/supports');
  const { items: shelf } = await send<{ items: (Json & { name: string })[] }>(
    studio,
    'GET',
    '/api/materials?pageSize=200',
  );
  const piece = await send(studio, 'POST', '/api/pieces', {
    name: 'Raced',
    technique,
    supportId: supports[0]!.id,
  });
  for (const { paint, role, recipeId, grams, totalMg = 56_250 } of cups) {
    const materialId = shelf.find((each) => each.name === paint)!.id;
    const mix = await send<Json & { ingredients: (Json & { targetMg: number })[] }>(
      studio,
      'POST',
      `/api/pieces/${piece.id}/mixes`,
      { role, recipeId, materialId, totalMg },
    );
    for (const [index, { id: ingredientId, targetMg }] of mix.ingredients.entries()) {
      const mg = grams?.[index] === undefined ? targetMg : Math.round(grams[index] * 1000);
      if (mg === 0) continue;
      await send(studio, 'POST', `/api/mixes/${mix.id}/additions`, {
        id: crypto.randomUUID(),
        ingredientId,
        mg,
        source: 'typed',
      });
    }
  }
  return piece.id;
}

/** Reads every cup of a piece with a drain cup of 6 mm, so that they count as tested and are as thick as said. */
export async function readCups(
  studio: Studio,
  pieceId: string,
  seconds: Readonly<Record<string, number>>,
): Promise<void> {
  const piece = await send<Json & { mixes: (Json & { name: string })[] }>(
    studio,
    'GET',
    `/api/pieces/${pieceId}`,
  );
  const readings = piece.mixes.map((mix) => ({
    id: crypto.randomUUID(),
    cupId: mix.id,
    raceId: null,
    temperatureC: 20,
    measure: {
      kind: 'drain-cup',
      cup: 'iso-6',
      own: null,
      seconds: seconds[mix.name],
      densityGPerMl: 1.1,
    },
  }));
  await send(studio, 'POST', `/api/pieces/${pieceId}/readings`, { readings });
}

/** Two bases and two colors of the measured Dutch recipe, for a split base. */
export function splitDutch(studio: Studio): Promise<string> {
  const cup = (paint: string, role: string, totalMg: number) => ({ paint, role, recipeId: 'D2', totalMg });
  return mixedPiece(studio, 'dutch', [
    cup('White', 'base', 300_000),
    cup('Lamp black', 'base', 300_000),
    cup('Deep blue', 'color', 60_000),
    cup('Sea green', 'color', 60_000),
  ]);
}

/** The id of a piece of the demo. */
export async function pieceNamed(studio: Studio, name: string): Promise<string> {
  const { items } = await send<Json & { items: (Json & { name: string })[] }>(
    studio,
    'GET',
    '/api/pieces?pageSize=200',
  );
  return items.find((piece) => piece.name === name)!.id;
}
