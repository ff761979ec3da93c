import { z } from 'zod';

export type Method = 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE';

/** One call of the API: the server routes by it, the page calls by it, OpenAPI is written from it. */
export interface Endpoint<
  Params extends z.ZodType = z.ZodType,
  Query extends z.ZodType = z.ZodType,
  Body extends z.ZodType = z.ZodType,
  Response extends z.ZodType = z.ZodType,
> {
  readonly method: Method;
  /** Express style, ":id" for a parameter. */
  readonly path: string;
  readonly summary: string;
  readonly tag: string;
  readonly params: Params;
  readonly query: Query;
  readonly body: Body;
  readonly response: Response;
  readonly status: 200 | 201 | 202;
}

const nothing = z.undefined();
type Nothing = typeof nothing;

/** Fills in what a call does not have. */
export function endpoint<
  Response extends z.ZodType,
  Params extends z.ZodType = Nothing,
  Query extends z.ZodType = Nothing,
  Body extends z.ZodType = Nothing,
>(given: {
  method: Method;
  path: string;
  summary: string;
  tag: string;
  response: Response;
  params?: Params;
  query?: Query;
  body?: Body;
  status?: 200 | 201 | 202;
}): Endpoint<Params, Query, Body, Response> {
  return {
    status: 200,
    ...given,
    params: given.params ?? (nothing as unknown as Params),
    query: given.query ?? (nothing as unknown as Query),
    body: given.body ?? (nothing as unknown as Body),
  };
}

/** Whether a call has parameters, a query or a body at all. */
export function hasPart(schema: z.ZodType): boolean {
  return !(schema instanceof z.ZodUndefined);
}
