import { readdirSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import ts from 'typescript';

/**
 * The examples in core's docblocks are run: `@example call(...) // value`. Numbers are as close as they are written,
 * objects hold at least what is written. Every public function whose arguments fit on a line has one.
 */
const CORE = join(__dirname, '../core/src');

const rooms = readdirSync(CORE, { recursive: true, encoding: 'utf8' })
  .filter((path) => /(^|\/)index\.ts$/.test(path))
  .map((path) => join(CORE, path));

const program = ts.createProgram(rooms, {
  allowImportingTsExtensions: true,
  noEmit: true,
  module: ts.ModuleKind.NodeNext,
  moduleResolution: ts.ModuleResolutionKind.NodeNext,
  target: ts.ScriptTarget.ES2023,
  skipLibCheck: true,
  strict: true,
});
const checker = program.getTypeChecker();

interface PublicFunction {
  readonly name: string;
  readonly file: string;
  readonly room: string;
  readonly examples: readonly string[];
  /** All it takes are numbers, words, and yes or no. */
  readonly isPlain: boolean;
}

const PLAIN =
  ts.TypeFlags.NumberLike |
  ts.TypeFlags.StringLike |
  ts.TypeFlags.BooleanLike |
  ts.TypeFlags.Undefined |
  ts.TypeFlags.Null;
const isPlain = (type: ts.Type): boolean =>
  (type.flags & PLAIN) !== 0 || (type.isUnion() && type.types.every(isPlain));

function publicFunctions(): PublicFunction[] {
  const seen = new Set<ts.Symbol>();
  return rooms.flatMap((room) => {
    const source = program.getSourceFile(room)!;
    const symbol = checker.getSymbolAtLocation(source);
    return (symbol ? checker.getExportsOfModule(symbol) : []).flatMap((exported) => {
      const found = exported.flags & ts.SymbolFlags.Alias ? checker.getAliasedSymbol(exported) : exported;
      const [signature] = found.valueDeclaration ? checker.getTypeOfSymbol(found).getCallSignatures() : [];
      if (!signature || seen.has(found)) return [];
      seen.add(found);
      return [
        {
          name: found.name,
          file: found.valueDeclaration!.getSourceFile().fileName,
          room,
          examples: found
            .getJsDocTags(checker)
            .filter(({ name }) => name === 'example')
            .map(({ text }) => ts.displayPartsToString(text)),
          isPlain: signature.parameters.every((each) => isPlain(checker.getTypeOfSymbol(each))),
        },
      ];
    });
  });
}

const functions = publicFunctions();
const EXAMPLE = /^([\s\S]+?)\s*\/\/ ([\s\S]+)$/;

/** What an example may name: the public of its room, and what stands in its file. */
function names({ room, file }: PublicFunction): Record<string, unknown> {
  // eslint-disable-next-line @typescript-eslint/no-require-imports
  const from = (path: string) => require(path) as Record<string, unknown>;
  return { ...from(file), ...from(room) };
}

function valueOf(text: string, known: Record<string, unknown>): unknown {
  return new Function(...Object.keys(known), `return (${text});`)(...Object.values(known)) as unknown;
}

/** The value that is written, with numbers as close as their digits. */
function written(text: string): unknown {
  const digits: number[] = [];
  const marked = text.replace(/(?<!\w)-?\d+(?:\.\d+)?(?:e-?\d+)?(?![\w'])/g, (number) => {
    digits.push((number.split('.')[1] ?? '').replace(/e.*/, '').length);
    return `near(${number}, ${digits.at(-1)!})`;
  });
  const near = (value: number, places: number): unknown => expect.closeTo(value, places);
  return valueOf(/['"`]/.test(text) && !/[[{]/.test(text) ? text : marked, { near });
}

describe('the examples of core', () => {
  const examples = functions.flatMap((each) =>
    each.examples.map((example) => ({ each, example, where: relative(CORE, each.file) })),
  );

  it.each(examples)('$where: $example', ({ each, example }) => {
    const [, call, value] = EXAMPLE.exec(example) ?? [];
    expect(value).toBeDefined();
    const result = valueOf(call!, names(each));
    const expected = written(value!);
    if (typeof result === 'object' && result !== null && !Array.isArray(result)) {
      expect(result).toEqual(expect.objectContaining(expected as object));
    } else {
      expect([result]).toEqual([expected]);
    }
  });

  it('every public function that takes only numbers and words has one', () => {
    const bare = functions
      .filter((each) => each.isPlain && each.examples.length === 0)
      .map((each) => `${relative(CORE, dirname(each.file))} ${each.name}`);
    expect(bare).toEqual([]);
  });
});
