import type { z } from 'zod';
import { InputError } from '../error/index.ts';

/**
 * One thing the product computes: what it is called, what goes in and out, by which law, from which
 * source. The calculation bench, the API and the help text all read this one description.
 */
export interface Calculation<Input = unknown, Output = unknown, Name extends string = string> {
  /** The bench's name, lower case with hyphens. */
  readonly name: Name;
  /** One line in the artist's words. */
  readonly title: string;
  /** The law as a formula in plain characters. */
  readonly law: string;
  readonly source: string;
  /** Where it holds. */
  readonly range: string;
  readonly assumes: string;
  /** Typical values that stand in until the artist has measured. */
  readonly typical: string;
  /** An input that shows it at work. */
  readonly example: NoInfer<Input>;
  readonly input: z.ZodType<Input>;
  readonly output: z.ZodType<Output>;
  readonly compute: (input: Input) => Output;
}

/** Gives a calculation its types; adds nothing. */
export function defineCalculation<Input, Output, const Name extends string>(
  calculation: Calculation<Input, Output, Name>,
): Calculation<Input, Output, Name> {
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
  const output = calculation.compute(checked.data);
  const broken = notFinite(output, '');
  if (broken !== undefined) {
    throw new InputError(
      '(input)',
      `These numbers lead to no ${broken || 'answer'}: one of them is out of range.`,
    );
  }
  return output;
}

/** Where a result holds a number that is none; undefined when all are. */
function notFinite(value: unknown, path: string): string | undefined {
  if (typeof value === 'number') return Number.isFinite(value) ? undefined : path;
  if (typeof value !== 'object' || value === null) return undefined;
  for (const [key, each] of Object.entries(value)) {
    const found = notFinite(each, path === '' ? key : `${path}.${key}`);
    if (found !== undefined) return found;
  }
  return undefined;
}
