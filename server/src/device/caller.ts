import { AsyncLocalStorage } from 'node:async_hooks';
import { allEndpoints, RANKS, UPLOADS_PATH, type Rank } from '@icy-ribbon/contract';
import type { RequestHandler, Response } from 'express';
import type { z } from 'zod';
import { HttpProblem, invalid } from '../http/problem.ts';
import type { KeptDevice } from './devices.ts';

/** Who a request is from, as the guard found out. */
export interface Caller {
  /** Null at home, or by the passphrase. */
  readonly device: KeptDevice | null;
  readonly isHome: boolean;
  readonly rank: Rank;
  /** Whether it is still let in: it may be signed out while what it asked for is done. */
  readonly isIn: () => boolean;
}
export const callerOf = ({ locals }: Response): Caller => locals.caller as Caller;

/** Who asked, and the answer that is owed. */
interface Asked {
  readonly caller: Caller;
  readonly answer: z.ZodType | undefined;
  /** What was written and found to be such an answer, with what the schema made of it. */
  found: { readonly given: unknown; readonly parsed: unknown } | undefined;
}
const asked = new AsyncLocalStorage<Asked>();

/**
 * Does something on behalf of whoever asked, so that a write knows of it until it is committed.
 *
 * @param answer what is owed; a write that could not be answered by it is not kept
 */
export const onBehalf = <Result>(response: Response, work: () => Result, answer?: z.ZodType): Result =>
  asked.run({ caller: callerOf(response), answer, found: undefined }, work);

/** For writes that are not themselves the answer. */
export function withoutAnswer<Result>(work: () => Result): Result {
  const store = asked.getStore();
  return store ? asked.run({ ...store, answer: undefined }, work) : work();
}

/** What an answer is by its schema; one that a write has found out is not worked out again. */
export function answerOf(schema: z.ZodType, given: unknown): unknown {
  const { found } = asked.getStore() ?? {};
  return found && found.given === given ? found.parsed : schema.parse(given);
}

export const SIGNED_OUT = (): HttpProblem =>
  new HttpProblem(
    'sign-in-needed',
    'This device has been signed out. Open "Devices" on one that is signed in, and let this one join.',
  );

/**
 * Asked at the end of a write, before it is kept.
 *
 * @param result what the write gives: the answer, as almost everywhere
 * @throws HttpProblem 401 when whoever asked was signed out meanwhile, 422 with the fields when what was written could not be answered
 */
export function requireAnswerable(result: unknown): void {
  const store = asked.getStore();
  if (!store) return;
  if (!store.caller.isIn()) throw SIGNED_OUT();
  if (!store.answer) return;
  const checked = store.answer.safeParse(result);
  if (!checked.success) throw invalid(checked.error);
  store.found = { given: result, parsed: checked.data };
}

interface Rule {
  readonly method: string;
  readonly pattern: RegExp;
  readonly by: Rank;
}

/** What stands in the contract, paths without parameters first. */
const RULES: readonly Rule[] = allEndpoints()
  .map(({ method, path, by }) => ({
    method: method as string,
    pattern: new RegExp(`^${path.replaceAll('.', '\\.').replace(/:[a-zA-Z]+/g, '[^/]+')}/?$`, 'i'),
    by,
    params: path.split(':').length,
  }))
  .sort((a, b) => a.params - b.params);
const READING = new Set(['GET', 'HEAD', 'OPTIONS']);

/** The least that may make a request. */
export function rankFor(method: string, path: string): Rank {
  if (path === UPLOADS_PATH || path.startsWith(`${UPLOADS_PATH}/`)) return 'table';
  const asked = method === 'HEAD' ? 'GET' : method;
  const rule = RULES.find((each) => each.method === asked && each.pattern.test(path));
  return rule?.by ?? (READING.has(method) ? 'table' : 'studio');
}

const WORDS: Readonly<Record<Exclude<Rank, 'table'>, string>> = {
  studio:
    'This device can weigh, read, pour, take photos and rate. For everything else use the studio’s own devices, or let this one join again as one of them.',
  host: 'This can only be done at the machine that the studio is on.',
};

export const notAllowed = (needed: keyof typeof WORDS): HttpProblem =>
  new HttpProblem('not-allowed', WORDS[needed]);

/** Lets a request on only when whoever asks may make it. */
export const rightsGuard: RequestHandler = (request, response, next) => {
  const needed = rankFor(request.method, request.path);
  if (needed !== 'table' && RANKS.indexOf(callerOf(response).rank) < RANKS.indexOf(needed)) {
    throw notAllowed(needed);
  }
  next();
};
