import type { z } from 'zod';
import { api as endpoints } from './api.ts';
import { hasPart, isEndpoint, type Endpoint, type Method } from './endpoint.ts';

/** How an endpoint is called; its schemas are known to its type alone. */
export interface Address<Params, Query, Body, Response> {
  readonly method: Method;
  /** Express style, ":id" for a parameter. */
  readonly path: string;
  /** Whether JSON is sent with it. */
  readonly hasBody: boolean;
  /** Never there: for the types of what is given and what comes back. */
  readonly schemas?: {
    readonly params: Params;
    readonly query: Query;
    readonly body: Body;
    readonly response: Response;
  };
}

/** What is sent with a call. */
export type BodyOf<Called extends Address<unknown, unknown, z.ZodType, unknown>> = z.input<
  NonNullable<Called['schemas']>['body']
>;

type Addresses<Api> = {
  readonly [Name in keyof Api]: Api[Name] extends Endpoint<
    infer Params,
    infer Query,
    infer Body,
    infer Response
  >
    ? Address<Params, Query, Body, Response>
    : Addresses<Api[Name]>;
};

/**
 * Every call of the API without its schemas. The server checks what comes and what goes by these; pages need not bring
 * them to ask. The build of the pages works this module out and puts in what it gives.
 */
export const api = addressesOf(endpoints) as Addresses<typeof endpoints>;

function addressesOf(entries: object): object {
  return Object.fromEntries(
    Object.entries(entries).map(([name, entry]: [string, object]) => [
      name,
      isEndpoint(entry)
        ? { method: entry.method, path: entry.path, hasBody: hasPart(entry.body) }
        : addressesOf(entry),
    ]),
  );
}
