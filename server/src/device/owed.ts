import { AsyncLocalStorage } from 'node:async_hooks';
import type { Response } from 'express';
import type { z } from 'zod';
import { invalid } from '../http/problem.ts';
import { callerOf, SIGNED_OUT, type Caller } from './caller.ts';

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
