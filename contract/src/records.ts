import { z } from 'zod';
import { idParams, longPageQuery, pageOf, versionBody, versionQuery } from './common.ts';
import { endpoint, type Rank } from './endpoint.ts';

interface Described<Shown extends z.ZodType, Create extends z.ZodType, Query extends z.ZodType> {
  readonly path: string;
  readonly tag: string;
  readonly shown: Shown;
  readonly create: Create;
  /** Query of the list; by default only its pages. */
  readonly query?: Query;
  /** The least that may add one. */
  readonly addedBy?: Rank;
  /** What each call does, in words. */
  readonly words: {
    readonly list: string;
    readonly create: string;
    readonly remove: string;
    readonly restore: string;
  };
}

const LONG_PAGES = z.object(longPageQuery);

/** The calls of a kind of record: listed, added, taken away, brought back. */
export function recordEndpoints<
  Shown extends z.ZodType,
  Create extends z.ZodType,
  Query extends z.ZodType = typeof LONG_PAGES,
>({ path, tag, shown, create, query, addedBy, words }: Described<Shown, Create, Query>) {
  const one = { path: `${path}/:id`, tag, params: idParams, response: shown };
  return {
    list: endpoint({
      ...{ method: 'GET', path, tag, summary: words.list },
      query: query ?? (LONG_PAGES as unknown as Query),
      response: pageOf(shown),
    }),
    create: endpoint({
      ...{ method: 'POST', path, tag, summary: words.create },
      ...(addedBy && { by: addedBy }),
      body: create,
      response: shown,
      status: 201,
    }),
    remove: endpoint({
      ...one,
      ...{ method: 'DELETE', summary: `${words.remove} (can be undone)`, query: versionQuery },
    }),
    restore: endpoint({
      ...one,
      ...{ path: `${path}/:id/restore`, method: 'POST', summary: words.restore, body: versionBody },
    }),
  };
}

/** Those of a kind that can be changed as well. */
export function changingEndpoints<
  Shown extends z.ZodType,
  Create extends z.ZodType,
  Update extends z.ZodType,
  Query extends z.ZodType = typeof LONG_PAGES,
>(
  described: Described<Shown, Create, Query>,
  changed: { readonly method: 'PUT' | 'PATCH'; readonly update: Update; readonly words: string },
) {
  return {
    ...recordEndpoints(described),
    update: endpoint({
      ...{ method: changed.method, path: `${described.path}/:id`, tag: described.tag },
      summary: changed.words,
      params: idParams,
      body: changed.update,
      response: described.shown,
    }),
  };
}
