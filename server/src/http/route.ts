import { hasPart, type Endpoint } from '@icy-ribbon/contract';
import type { Router } from 'express';
import type { z } from 'zod';
import { invalid } from './problem.ts';

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
  handle: (input: Input<z.output<P>, z.output<Q>, z.output<B>>) => Promise<z.input<R>> | z.input<R>,
): void {
  const method = endpoint.method.toLowerCase() as 'get' | 'post' | 'put' | 'patch' | 'delete';
  router[method](endpoint.path, async (request, response) => {
    const answer = await handle({
      params: check(endpoint.params, request.params),
      query: check(endpoint.query, request.query),
      body: check(endpoint.body, request.body ?? {}),
    });
    response.status(endpoint.status).json(endpoint.response.parse(answer));
  });
}

function check<Schema extends z.ZodType>(schema: Schema, value: unknown): z.output<Schema> {
  if (!hasPart(schema)) return undefined as z.output<Schema>;
  const checked = schema.safeParse(value);
  if (!checked.success) throw invalid(checked.error);
  return checked.data;
}
