import {
  PROBLEM_MEDIA_TYPE,
  PROBLEMS,
  problemType,
  type FieldError,
  type Problem,
  type ProblemCode,
} from '@icy-ribbon/contract';
import { InputError } from '@icy-ribbon/core/base/error';
import type { ErrorRequestHandler, Response } from 'express';
import { constraintFault, storageFault, type StorageFault } from '../db/fault.ts';
import type { ZodError } from 'zod';

/** An error that is answered as an RFC 9457 problem document. */
export class HttpProblem extends Error {
  readonly code: ProblemCode;
  readonly status: number;
  readonly errors: readonly FieldError[] | undefined;
  readonly current: unknown;

  constructor(
    code: ProblemCode,
    detail: string,
    more: { errors?: readonly FieldError[]; current?: unknown; status?: number } = {},
  ) {
    super(detail);
    this.code = code;
    this.status = more.status ?? PROBLEMS[code].status;
    this.errors = more.errors;
    this.current = more.current;
  }
}

export const notFound = (what: string): HttpProblem =>
  new HttpProblem('not-found', `There is no such ${what}. It may have been deleted.`);

/** The request is well formed but cannot be done as it stands; `path` is the field to change. */
export const unfit = (path: string, message: string): HttpProblem =>
  new HttpProblem('unfit', message, { errors: [{ path, message }] });

/** An id that the caller made, and that something else has already. */
export const taken = (what: string): HttpProblem =>
  new HttpProblem('taken', `This id belongs to another ${what} already: make a new one.`);

/** A write that started from an older version; carries the record as it is now. */
export const stale = (current: unknown): HttpProblem =>
  new HttpProblem(
    'stale',
    'This was changed in another tab or on another device since you opened it. Nothing was overwritten.',
    { current },
  );

/** So many errors are told at once: nobody reads more, and a small file could ask for a hundred thousand. */
const MOST_ERRORS = 50;
const MOST_PATH = 200;

export function invalid(error: ZodError): HttpProblem {
  const more = error.issues.length - MOST_ERRORS;
  const words =
    more > 0 ? `Some fields need a change, ${more} more than are named here.` : 'Some fields need a change.';
  return new HttpProblem('invalid', words, {
    errors: error.issues.slice(0, MOST_ERRORS).map((issue) => ({
      path: issue.path.map(String).join('.').slice(0, MOST_PATH),
      message: issue.message,
    })),
  });
}

/** What is beneath failed: what to say of it. The page keeps what was entered and tries again. */
const STORAGE_PROBLEMS: Readonly<Record<StorageFault, HttpProblem>> = {
  full: new HttpProblem(
    'disk-full',
    'The disk is full: make room on it. Nothing was lost; what waits is written as soon as there is room.',
  ),
  'not-writable': new HttpProblem(
    'not-writable',
    'The folder with the data cannot be written: check who may write there. Nothing was lost.',
  ),
  damaged: new HttpProblem(
    'damaged-database',
    'The database is damaged. Open "Safekeeping" and put the newest good copy back.',
  ),
  busy: new HttpProblem('busy', 'A large file is just being read in: try again in a moment.'),
};

export function asProblem(error: unknown): HttpProblem | undefined {
  if (error instanceof HttpProblem) return error;
  if (error instanceof InputError) return unfit(error.field, error.message);
  const storage = storageFault(error);
  if (storage) return STORAGE_PROBLEMS[storage];
  const constraint = constraintFault(error);
  if (constraint === 'taken') return taken('record');
  if (constraint === 'missing') return new HttpProblem('gone', 'What this refers to is not there any more.');
  const status = (error as { status?: unknown } | null)?.status;
  const type = (error as { type?: unknown } | null)?.type;
  if (type === 'entity.too.large') {
    return new HttpProblem('too-large', 'What was sent is too large.');
  }
  if (type === 'entity.parse.failed') {
    return new HttpProblem('not-readable', 'What was sent is not valid JSON.');
  }
  if (typeof status === 'number' && status >= 400 && status < 500) {
    return new HttpProblem('not-understood', 'The request could not be understood.', { status });
  }
  return undefined;
}

/** A problem as RFC 9457 has it. */
export function bodyOf(problem: HttpProblem): Problem {
  return {
    type: problemType(problem.code),
    title: PROBLEMS[problem.code].title,
    status: problem.status,
    detail: problem.message,
    ...(problem.errors && { errors: [...problem.errors] }),
    ...(problem.current !== undefined && { current: problem.current }),
  };
}

function sendProblem(response: Response, problem: HttpProblem): void {
  response
    .status(problem.status)
    .type(PROBLEM_MEDIA_TYPE)
    .send(JSON.stringify(bodyOf(problem)));
}

/** Turns whatever a handler threw into a problem document; logs only what is our own fault. */
export function problemHandler(log: (error: unknown) => void): ErrorRequestHandler {
  return (error: unknown, _request, response, next) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    const problem = asProblem(error);
    if (!problem || problem.status === 500) log(error);
    sendProblem(
      response,
      problem ?? new HttpProblem('broke', 'The server ran into a fault. Nothing was changed.'),
    );
  };
}
