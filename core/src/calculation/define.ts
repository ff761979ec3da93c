import type { z } from 'zod';
import { InputError } from '../error/index.ts';

/**
 * One thing the product computes: what it is called, what goes in and out, by which law, from which
 * source. The calculation bench, the API and the help text all read this one description.
 */
export interface Calculation<Input = unknown, Output = unknown> {
  /** The bench's name, lower case with hyphens. */
  readonly name: string;
  /** One line in the artist's words. */
  readonly title: string;
  /** The law as a formula in plain characters. */
  readonly law: string;
  readonly source: string;
  /** Where it holds, and what is assumed. */
  readonly range: string;
  readonly input: z.ZodType<Input>;
  readonly output: z.ZodType<Output>;
  readonly compute: (input: Input) => Output;
}

/** Gives a calculation its types; adds nothing. */
export function defineCalculation<Input, Output>(
  calculation: Calculation<Input, Output>,
): Calculation<Input, Output> {
  return calculation;
}

/**
 * Checks unknown input against a calculation's schema and runs it.
 *
 * @throws InputError naming the first offending field
 */
export function runCalculation<Input, Output>(
  calculation: Calculation<Input, Output>,
  input: unknown,
): Output {
  const checked = calculation.input.safeParse(input);
  if (!checked.success) {
    const issue = checked.error.issues[0];
    const path = issue?.path.map(String) ?? [];
    if (issue?.code === 'unrecognized_keys') path.push(issue.keys[0] ?? '');
    throw new InputError(path.join('.') || '(input)', issue?.message ?? 'The input is not valid.');
  }
  return calculation.compute(checked.data);
}
