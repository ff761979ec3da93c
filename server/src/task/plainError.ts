import type { ProblemCode } from '@icy-ribbon/contract';
import { InputError } from '@icy-ribbon/core/base/error';
import { ZodError } from 'zod';
import { HttpProblem, invalid } from '../http/problem.ts';
import { Cancelled } from './bench.ts';

/** An error that can go from one thread to another. */
export type PlainError =
  | { readonly kind: 'cancelled' }
  | { readonly kind: 'input'; readonly field: string; readonly message: string }
  | {
      readonly kind: 'problem';
      readonly code: ProblemCode;
      readonly status: number;
      readonly message: string;
      readonly errors: HttpProblem['errors'];
    }
  | { readonly kind: 'other'; readonly message: string; readonly code?: string; readonly stack?: string };

export function asPlain(error: unknown): PlainError {
  if (error instanceof Cancelled) return { kind: 'cancelled' };
  if (error instanceof InputError) return { kind: 'input', field: error.field, message: error.message };
  if (error instanceof ZodError) return asPlain(invalid(error));
  if (error instanceof HttpProblem) {
    const { code, status, message, errors } = error;
    return { kind: 'problem', code, status, message, errors };
  }
  const { message, code, stack } = error as { message?: string; code?: unknown; stack?: string };
  return {
    kind: 'other',
    message: message ?? String(error),
    ...(typeof code === 'string' && { code }),
    ...(stack !== undefined && { stack }),
  };
}

export function asError(plain: PlainError): Error {
  switch (plain.kind) {
    case 'cancelled':
      return new Cancelled();
    case 'input':
      return new InputError(plain.field, plain.message);
    case 'problem':
      return new HttpProblem(plain.code, plain.message, {
        status: plain.status,
        ...(plain.errors && { errors: plain.errors }),
      });
    case 'other':
      return Object.assign(new Error(plain.message), {
        ...(plain.code !== undefined && { code: plain.code }),
        ...(plain.stack !== undefined && { stack: plain.stack }),
      });
  }
}
