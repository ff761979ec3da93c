import { hasPart, overfull, type Endpoint } from '@icy-ribbon/contract';
import type { Response, Router } from 'express';
import type { z } from 'zod';
import { found } from '../db/record.ts';
import { answerOf, onBehalf } from '../device/owed.ts';
import { invalid, unfit } from './problem.ts';

interface Input<Params, Query, Body> {
  readonly params: Params;
  readonly query: Query;
  readonly body: Body;
}

/**
 * Serves one endpoint of the contract: checks parameters, query and body on the way in and the answer
 * on the way out, so that nothing crosses the wire that the contract does not describe.
 */
export function route<P extends z.ZodType, Q extends z.ZodType, B extends z.ZodType, R extends z.ZodType>(
  router: Router,
  endpoint: Endpoint<P, Q, B, R>,
  handle: (
    input: Input<z.output<P>, z.output<Q>, z.output<B>>,
    response: Response,
  ) => Promise<z.input<R>> | z.input<R>,
): void {
  const method = endpoint.method.toLowerCase() as 'get' | 'post' | 'put' | 'patch' | 'delete';
  router[method](endpoint.path, async (request, response) => {
    const params = check(endpoint.params, request.params);
    const query = check(endpoint.query, request.query);
    const body = check(endpoint.body, request.body ?? {});
    const work = async () => {
      const answer = await handle({ params, query, body }, response);
      response.locals.pieceId = pieceOf(endpoint.path, params, answer);
      return answerOf(endpoint.response, answer);
    };
    response.status(endpoint.status).json(await onBehalf(response, work, endpoint.response));
  });
}

/** Which piece a call was about, as far as it says so. */
function pieceOf(path: string, params: unknown, answer: unknown): string | undefined {
  const { id, pieceId } = (params ?? {}) as { id?: string; pieceId?: string };
  if (pieceId) return pieceId;
  if (path.startsWith('/api/pieces/:id')) return id;
  return (answer as { pieceId?: string } | null | undefined)?.pieceId;
}

/**
 * Serves an endpoint that is only read, whose answer comes as JSON text that was checked where it was worked out.
 *
 * @param read gives the text, undefined when there is nothing
 */
export function textRoute<P extends z.ZodType, Q extends z.ZodType, R extends z.ZodType>(
  router: Router,
  endpoint: Endpoint<P, Q, z.ZodUndefined, R>,
  what: string,
  read: (input: { readonly params: z.output<P>; readonly query: z.output<Q> }) => Promise<string | undefined>,
): void {
  router.get(endpoint.path, async (request, response) => {
    const text = await read({
      params: check(endpoint.params, request.params),
      query: check(endpoint.query, request.query),
    });
    response.type('json').send(found(text, what));
  });
}

/**
 * Checks what came in against its schema; lists that are too long are refused before they are looked at.
 *
 * @throws HttpProblem 422 with the fields to change
 */
export function check<Schema extends z.ZodType>(schema: Schema, value: unknown): z.output<Schema> {
  if (!hasPart(schema)) return undefined as z.output<Schema>;
  const tooMuch = overfull(schema, value);
  if (tooMuch) throw unfit(tooMuch.path, tooMuch.message);
  const checked = schema.safeParse(value);
  if (!checked.success) throw invalid(checked.error);
  return checked.data;
}
