import {
  findCalculation,
  inputJsonSchema,
  listCalculations,
  runCalculation,
} from '@icy-ribbon/core/calculation';
import { InputError } from '@icy-ribbon/core/error';

export interface BenchAnswer {
  readonly exitCode: 0 | 2;
  readonly document: unknown;
}

/**
 * The calculation bench: `list`, `schema NAME`, or a calculation's name with one JSON document as input.
 *
 * @param args the words after "calc --"
 * @param readInput gives the text on standard input; asked only when a calculation runs
 * @returns the document to print, and 2 as the exit code when the input was bad
 */
export function runBench(args: readonly string[], readInput: () => string): BenchAnswer {
  try {
    return { exitCode: 0, document: answer(args, readInput) };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { exitCode: 2, document: { error: { field: error.field, message: error.message } } };
  }
}

function answer([command, name]: readonly string[], readInput: () => string): unknown {
  if (command === undefined) {
    throw new InputError('name', 'Say "list", "schema NAME" or the name of a calculation.');
  }
  if (command === 'list') return listCalculations();
  if (command === 'schema') return inputJsonSchema(name ?? '');
  const calculation = findCalculation(command);
  return runCalculation(calculation, parse(readInput()));
}

function parse(text: string): unknown {
  try {
    return JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    throw new InputError('(input)', 'Give one JSON document on standard input.');
  }
}
