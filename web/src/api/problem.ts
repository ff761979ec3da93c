import type { FieldError, Problem } from '@icy-ribbon/contract';

/** An answer of the server that was a problem, with its field errors at hand. */
export class ApiProblem extends Error {
  readonly problem: Problem;

  constructor(problem: Problem) {
    super(problem.detail ?? problem.title);
    this.problem = problem;
  }

  /** Something newer is there; other conflicts carry no record. */
  get isStale(): boolean {
    return this.problem.status === 409 && this.problem.current !== undefined;
  }

  get fieldErrors(): readonly FieldError[] {
    return this.problem.errors ?? [];
  }
}

/** The problem in an answer; undefined when it is none. */
export function problemIn(answer: unknown): Problem | undefined {
  const { type, title, status } = (answer ?? {}) as Partial<Problem>;
  const isProblem = typeof type === 'string' && typeof title === 'string' && typeof status === 'number';
  return isProblem ? (answer as Problem) : undefined;
}

/** What to show at a field, if the problem is about it. */
export function messageAt(error: unknown, path: string): string | undefined {
  if (!(error instanceof ApiProblem)) return undefined;
  return error.fieldErrors.find((each) => each.path === path)?.message;
}

/** A problem at one field, found before anything was sent. */
export function fieldProblem(path: string, message: string): ApiProblem {
  return new ApiProblem({
    type: 'about:blank',
    title: 'Some fields need a change',
    status: 422,
    detail: message,
    errors: [{ path, message }],
  });
}
