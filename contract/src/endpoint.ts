import { z } from 'zod';
import { JSON_MEDIA_TYPE } from './plain/wire.ts';

/** Who may make a call: a device at the table, any device of the studio, only the machine that the studio is on. */
export const RANKS = ['table', 'studio', 'host'] as const;
export type Rank = (typeof RANKS)[number];

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
  /** The least that may make it. */
  readonly by: Rank;
  readonly params: Params;
  readonly query: Query;
  readonly body: Body;
  readonly response: Response;
  readonly status: 200 | 201 | 202;
  /** Media type of the body. */
  readonly takes: string;
  /** The part of a form that is a file. */
  readonly file?: string;
  /** Media type of the answer; `response` describes it when it is JSON. */
  readonly gives: string;
}

const nothing = z.undefined();
type Nothing = typeof nothing;

/** Fills in what a call does not have. */
export function endpoint<
  Response extends z.ZodType = Nothing,
  Params extends z.ZodType = Nothing,
  Query extends z.ZodType = Nothing,
  Body extends z.ZodType = Nothing,
>(given: {
  method: Method;
  path: string;
  summary: string;
  tag: string;
  /** Left out: whoever is signed in may read, devices of the studio may write. */
  by?: Rank;
  response?: Response;
  params?: Params;
  query?: Query;
  body?: Body;
  status?: 200 | 201 | 202;
  /** A form is taken with this part of it being a file. */
  file?: string;
  gives?: string;
}): Endpoint<Params, Query, Body, Response> {
  return {
    status: 200,
    by: given.method === 'GET' ? 'table' : 'studio',
    takes: given.file === undefined ? JSON_MEDIA_TYPE : 'multipart/form-data',
    gives: JSON_MEDIA_TYPE,
    ...given,
    response: given.response ?? (nothing as unknown as Response),
    params: given.params ?? (nothing as unknown as Params),
    query: given.query ?? (nothing as unknown as Query),
    body: given.body ?? (nothing as unknown as Body),
  };
}

/** Whether a call has parameters, a query or a body at all. */
export function hasPart(schema: z.ZodType): boolean {
  return !(schema instanceof z.ZodUndefined);
}

/** An endpoint, and not a group of them. */
export function isEndpoint(value: unknown): value is Endpoint {
  return typeof value === 'object' && value !== null && 'method' in value && 'path' in value;
}
