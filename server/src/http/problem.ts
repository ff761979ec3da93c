import { PROBLEM_MEDIA_TYPE, type FieldError, type Problem } from '@icy-ribbon/contract';
import { InputError } from '@icy-ribbon/core/base/error';
import type { ErrorRequestHandler, Response } from 'express';
import { constraintFault, storageFault, type StorageFault } from '../db/fault.ts';
import type { ZodError } from 'zod';

/** An error that is answered as an RFC 9457 problem document. */
export class HttpProblem extends Error {
  readonly status: number;
  readonly title: string;
  readonly errors: readonly FieldError[] | undefined;
  readonly current: unknown;

  constructor(
    status: number,
    title: string,
    detail: string,
    more: { errors?: readonly FieldError[]; current?: unknown } = {},
  ) {
    super(detail);
    this.status = status;
    this.title = title;
    this.errors = more.errors;
    this.current = more.current;
  }
}

export const notFound = (what: string): HttpProblem =>
  new HttpProblem(404, 'Not found', `There is no such ${what}. It may have been deleted.`);

/** The request is well formed but cannot be done as it stands; `path` is the field to change. */
export const unfit = (path: string, message: string): HttpProblem =>
  new HttpProblem(422, 'Cannot be done like this', message, { errors: [{ path, message }] });

/** An id that the caller made, and that something else has already. */
export const taken = (what: string): HttpProblem =>
  new HttpProblem(409, 'Taken', `This id belongs to another ${what} already: make a new one.`);

/** A write that started from an older version; carries the record as it is now. */
export const stale = (current: unknown): HttpProblem =>
  new HttpProblem(
    409,
    'Changed elsewhere',
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
  return new HttpProblem(422, 'Some fields need a change', words, {
    errors: error.issues.slice(0, MOST_ERRORS).map((issue) => ({
      path: issue.path.map(String).join('.').slice(0, MOST_PATH),
      message: issue.message,
    })),
  });
}

/** What is beneath failed: what to say of it. The page keeps what was entered and tries again. */
const STORAGE_PROBLEMS: Readonly<Record<StorageFault, HttpProblem>> = {
  full: new HttpProblem(
    507,
    'The disk is full',
    'The disk is full: make room on it. Nothing was lost; what waits is written as soon as there is room.',
  ),
  'not-writable': new HttpProblem(
    507,
    'The folder cannot be written',
    'The folder with the data cannot be written: check who may write there. Nothing was lost.',
  ),
  damaged: new HttpProblem(
    500,
    'The database is damaged',
    'The database is damaged. Open "Safekeeping" and put the newest good copy back.',
  ),
  busy: new HttpProblem(503, 'Busy', 'A large file is just being read in: try again in a moment.'),
};

export function asProblem(error: unknown): HttpProblem | undefined {
  if (error instanceof HttpProblem) return error;
  if (error instanceof InputError) return unfit(error.field, error.message);
  const storage = storageFault(error);
  if (storage) return STORAGE_PROBLEMS[storage];
  const constraint = constraintFault(error);
  if (constraint === 'taken') return taken('record');
  if (constraint === 'missing')
    return new HttpProblem(409, 'Gone', 'What this refers to is not there any more.');
  const status = (error as { status?: unknown } | null)?.status;
  const type = (error as { type?: unknown } | null)?.type;
  if (type === 'entity.too.large') {
    return new HttpProblem(413, 'Too large', 'What was sent is too large.');
  }
  if (type === 'entity.parse.failed') {
    return new HttpProblem(400, 'Not readable', 'What was sent is not valid JSON.');
  }
  if (typeof status === 'number' && status >= 400 && status < 500) {
    return new HttpProblem(status, 'Not understood', 'The request could not be understood.');
  }
  return undefined;
}

/** A problem as RFC 9457 has it. */
export function bodyOf(problem: HttpProblem): Problem {
  return {
    type: 'about:blank',
    title: problem.title,
    status: problem.status,
    detail: problem.message,
    ...(problem.errors && { errors: [...problem.errors] }),
    ...(problem.current !== undefined && { current: problem.current }),
  };
}

export function sendProblem(response: Response, problem: HttpProblem): void {
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
      problem ?? new HttpProblem(500, 'Something broke', 'The server ran into a fault. Nothing was changed.'),
    );
  };
}
