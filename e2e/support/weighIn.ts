import { send, type Json } from './pieces.ts';
import type { Studio } from './studio.ts';

interface Mixed extends Json {
  readonly mixes: readonly (Json & {
    readonly ingredients: readonly (Json & { targetMg: number })[];
    readonly additions: readonly unknown[];
  })[];
}

/** What the scale would tell: every cup that is not begun is weighed in as it is planned. */
export async function weighIn(studio: Studio, pieceId: string): Promise<void> {
  for (const mix of (await send<Mixed>(studio, 'GET', `/api/pieces/${pieceId}`)).mixes) {
    if (mix.additions.length > 0) continue;
    for (const { id: ingredientId, targetMg: mg } of mix.ingredients) {
      if (mg === 0) continue;
      const body = { id: crypto.randomUUID(), ingredientId, mg, source: 'typed' };
      await send(studio, 'POST', `/api/mixes/${mix.id}/additions`, body);
    }
  }
}
