import {
  findCalculation,
  inputJsonSchema,
  listCalculations,
  runCalculation,
  type CalculationCard,
} from '@icy-ribbon/core/registry';
import { InputError } from '@icy-ribbon/core/base/error';
import { z } from 'zod';
import { measurePhotoCalculation, runMeasurePhoto } from './measurePhoto.ts';
import { measureRaceCalculation, runMeasureRace } from './measureRace.ts';

/** Calculations that read a picture file, by their names: on the bench only. */
const OF_FILES = [
  { calculation: measurePhotoCalculation, run: runMeasurePhoto },
  { calculation: measureRaceCalculation, run: runMeasureRace },
] as const;

const ofFile = (name: string) => OF_FILES.find(({ calculation }) => calculation.name === name);

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
export async function runBench(args: readonly string[], readInput: () => string): Promise<BenchAnswer> {
  try {
    return { exitCode: 0, document: await answer(args, readInput) };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { exitCode: 2, document: { error: { field: error.field, message: error.message } } };
  }
}

/**
 * One line of many, with "--lines": its answer, or its error in the same place, so that answers and questions go by
 * their lines.
 */
export async function runLine(args: readonly string[], line: string): Promise<unknown> {
  return (await runBench(args, () => line)).document;
}

async function answer([command, name]: readonly string[], readInput: () => string): Promise<unknown> {
  if (command === undefined) {
    throw new InputError('name', 'Say "list", "schema NAME" or the name of a calculation.');
  }
  if (command === 'list') return [...listCalculations(), ...fileCards().map(({ card }) => card)];
  if (command === 'schema') return schemaOf(name ?? '');
  const reads = ofFile(command);
  if (reads) return reads.run(parse(readInput()));
  const calculation = findCalculation(command);
  return runCalculation(calculation, parse(readInput()));
}

function schemaOf(name: string): unknown {
  const reads = ofFile(name);
  if (!reads) return inputJsonSchema(name);
  const { title, input } = reads.calculation;
  return { title: name, description: title, ...z.toJSONSchema(input, { io: 'input' }) };
}

/** What listings show of the calculations that read a file, and what is given to them. */
export function fileCards(): { readonly card: CalculationCard; readonly example: string }[] {
  return OF_FILES.map(({ calculation }) => {
    const { name, title, law, source, range, assumes, typical, example } = calculation;
    return { card: { name, title, law, source, range, assumes, typical }, example };
  });
}

function parse(text: string): unknown {
  try {
    return JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    throw new InputError('(input)', 'Give one JSON document on standard input.');
  }
}
