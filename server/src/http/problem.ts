import { PROBLEM_MEDIA_TYPE, type FieldError, type Problem } from '@icy-ribbon/contract';
import { InputError } from '@icy-ribbon/core/error';
import type { ErrorRequestHandler, Response } from 'express';
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

/** A write that started from an older version; carries the record as it is now. */
export const stale = (current: unknown): HttpProblem =>
  new HttpProblem(
    409,
    'Changed elsewhere',
    'This was changed in another tab or on another device since you opened it. Nothing was overwritten.',
    { current },
  );

export function invalid(error: ZodError): HttpProblem {
  return new HttpProblem(422, 'Some fields need a change', 'Some fields need a change.', {
    errors: error.issues.map((issue) => ({
      path: issue.path.map(String).join('.'),
      message: issue.message,
    })),
  });
}

function asProblem(error: unknown): HttpProblem | undefined {
  if (error instanceof HttpProblem) return error;
  if (error instanceof InputError) return unfit(error.field, error.message);
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

export function sendProblem(response: Response, problem: HttpProblem): void {
  const body: Problem = {
    type: 'about:blank',
    title: problem.title,
    status: problem.status,
    detail: problem.message,
    ...(problem.errors && { errors: [...problem.errors] }),
    ...(problem.current !== undefined && { current: problem.current }),
  };
  response.status(problem.status).type(PROBLEM_MEDIA_TYPE).send(JSON.stringify(body));
}

/** Turns whatever a handler threw into a problem document; logs only what is our own fault. */
export function problemHandler(log: (error: unknown) => void): ErrorRequestHandler {
  return (error: unknown, _request, response, next) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    const problem = asProblem(error);
    if (!problem) log(error);
    sendProblem(
      response,
      problem ?? new HttpProblem(500, 'Something broke', 'The server ran into a fault. Nothing was changed.'),
    );
  };
}
