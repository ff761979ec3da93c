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
  /** It may take minutes: it runs on the bench and in the pages' workers, not in the API. */
  readonly isLong?: true;
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
  const outcome = attempt(calculation, checked.data);
  if (!('broken' in outcome)) return outcome.output;
  const field = outOfRange(checked.data, calculation) ?? '(input)';
  throw new InputError(
    field,
    `These numbers lead to no ${outcome.broken || 'answer'}: this one is out of range.`,
  );
}

/** What comes of an input; "broken" names the result that is no number, or is empty where the equations have no answer. */
function attempt<Input, Output>(
  { compute }: Calculation<Input, Output>,
  input: Input,
): { readonly output: Output } | { readonly broken: string } {
  try {
    const output = compute(input);
    const broken = notFinite(output, '');
    return broken === undefined ? { output } : { broken };
  } catch (error) {
    if (error instanceof Error && /singular/i.test(error.message)) return { broken: '' };
    throw error;
  }
}

/** The number that spoils the result: the most extreme one that makes it a number again when it is a usual one. */
function outOfRange<Input, Output>(
  input: Input,
  calculation: Calculation<Input, Output>,
): string | undefined {
  const numbers = numbersIn(input, []).sort((a, b) => extremeness(b.value) - extremeness(a.value));
  const guilty = numbers.find(({ path, value }) => {
    const usual = numberAt(calculation.example, path) ?? Math.sign(value || 1);
    try {
      return !('broken' in attempt(calculation, withNumber(input, path, usual) as Input));
    } catch {
      return false;
    }
  });
  return (guilty ?? numbers[0])?.path.join('.');
}

const extremeness = (value: number): number => Math.abs(Math.log10(Math.abs(value) || 1));

function numbersIn(
  value: unknown,
  path: readonly string[],
): { readonly path: readonly string[]; readonly value: number }[] {
  if (typeof value === 'number') return [{ path, value }];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, each]) => numbersIn(each, [...path, key]));
}

function numberAt(value: unknown, path: readonly string[]): number | undefined {
  const found = path.reduce<unknown>((at, key) => (at as Record<string, unknown> | undefined)?.[key], value);
  return typeof found === 'number' ? found : undefined;
}

function withNumber(value: unknown, [key, ...rest]: readonly string[], number: number): unknown {
  if (key === undefined) return number;
  const inside = withNumber((value as Record<string, unknown>)[key], rest, number);
  return Array.isArray(value)
    ? value.map((each: unknown, at) => (String(at) === key ? inside : each))
    : { ...(value as object), [key]: inside };
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
