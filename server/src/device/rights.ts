import { allEndpoints, RANKS, UPLOADS_PATH, type Rank } from '@icy-ribbon/contract';
import type { RequestHandler } from 'express';
import { isReading } from '../http/method.ts';
import { HttpProblem } from '../http/problem.ts';
import { callerOf } from './caller.ts';

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
/** The least that may make a request. */
export function rankFor(method: string, path: string): Rank {
  if (path === UPLOADS_PATH || path.startsWith(`${UPLOADS_PATH}/`)) return 'table';
  const asked = method === 'HEAD' ? 'GET' : method;
  const rule = RULES.find((each) => each.method === asked && each.pattern.test(path));
  return rule?.by ?? (isReading(method) ? 'table' : 'studio');
}

const WORDS: Readonly<Record<Exclude<Rank, 'table'>, string>> = {
  studio:
    'This device works at the table. It can weigh, read, pour, take photos, and rate. For anything else, use another device, or let this one join again for the whole studio.',
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
