import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join, resolve } from 'node:path';

const ROOT = resolve(__dirname, '..');
const TIMEOUT_MS = 120_000;

/** Lints pieces of code as if each stood in its file, in one process; the rules that each breaks. */
function lint(files: readonly (readonly [filename: string, code: string])[]): string[][] {
  const script = `
    import { ESLint } from 'eslint';
    const eslint = new ESLint();
    const answers = [];
    for (const [filePath, code] of ${JSON.stringify(files)}) {
      const [{ messages }] = await eslint.lintText(code, { filePath });
      answers.push(messages.map(({ ruleId }) => ruleId));
    }
    console.log(JSON.stringify(answers));`;
  const { stdout } = spawnSync(process.execPath, ['--input-type=module', '--eval', script], {
    cwd: ROOT,
    encoding: 'utf8',
  });
  return JSON.parse(stdout) as string[][];
}

const AGAINST = [
  ['core/src/paint/mix/x.ts', `export * from '@icy-ribbon/contract';`],
  ['core/src/paint/mix/x.ts', `export * from 'node:fs';`],
  ['core/src/paint/mix/x.ts', `export * from 'vue';`],
  ['contract/src/x.ts', `export * from '../../server/src/app.ts';`],
  ['contract/src/x.ts', `export * from 'express';`],
  ['server/src/x.ts', `export * from '../../web/src/main.ts';`],
  ['web/src/x.ts', `export * from '../../server/src/app.ts';`],
] as const;
const ALONG = [
  ['web/src/x.ts', `export * from '@icy-ribbon/contract';\n`],
  ['contract/src/x.ts', `export * from '@icy-ribbon/core/paint/mix';\n`],
] as const;
const RULE = '@typescript-eslint/no-restricted-imports';

it(
  'an import of a package against the direction fails the lint, and one along it passes',
  () => {
    const answers = lint([...AGAINST, ...ALONG]);
    const passed = answers.map((rules) => !rules.includes(RULE));
    expect(passed).toEqual([...AGAINST.map(() => false), ...ALONG.map(() => true)]);
  },
  TIMEOUT_MS,
);

/** The files of a small tree that break a rule, each with the rule. */
function broken(files: Readonly<Record<string, string>>): [from: string, rule: string][] {
  const tree = mkdtempSync(join(tmpdir(), 'icy-ribbon-directions-'));
  for (const [name, code] of Object.entries(files)) {
    mkdirSync(dirname(join(tree, name)), { recursive: true });
    writeFileSync(join(tree, name), code);
  }
  writeFileSync(join(tree, 'tsconfig.check.json'), '{ "compilerOptions": { "strict": true } }');
  const cruiser = join(ROOT, 'node_modules/dependency-cruiser/bin/dependency-cruise.mjs');
  const config = join(ROOT, '.dependency-cruiser.cjs');
  const { stdout } = spawnSync(
    process.execPath,
    [cruiser, '--config', config, '--output-type', 'json', 'core/src', 'server/src', 'web/src'],
    { cwd: tree, encoding: 'utf8' },
  );
  rmSync(tree, { recursive: true });
  const { summary } = JSON.parse(stdout) as {
    summary: { violations: { from: string; rule: { name: string } }[] };
  };
  return summary.violations.map(({ from, rule }) => [from, rule.name]);
}

const X = 'export const x = 1;\n';
const importing = (path: string) => `import { x } from '${path}';\nexport const y = x;\n`;

it(
  'an import up, or a circle of files or of rooms, fails the directions',
  () => {
    const files = {
      'core/src/paint/mix/y.ts': importing('../../flow/film/x.ts'),
      'core/src/flow/film/x.ts': X,
      'core/src/picture/y.ts': importing('../piece/plan/x.ts'),
      'core/src/piece/plan/x.ts': X,
      'web/src/store/y.ts': importing('../station/mix/x.ts'),
      'web/src/drawing/y.ts': importing('../app/x.ts'),
      'web/src/app/x.ts': X,
      'web/src/station/pour/y.ts': importing('../mix/x.ts'),
      'web/src/station/mix/x.ts': X,
      'server/src/photo/y.ts': importing('../standin/x.ts'),
      'server/src/standin/x.ts': X,
      'server/src/plan/x.ts': `import { y } from './y.ts';\nexport const x: number = y;\n`,
      'server/src/plan/y.ts': importing('./x.ts'),
      'core/src/base/unit/a.ts': importing('../error/x.ts'),
      'core/src/base/unit/x.ts': X,
      'core/src/base/error/b.ts': importing('../unit/x.ts'),
      'core/src/base/error/x.ts': X,
    };
    expect(new Set(broken(files).map((each) => each.join(' ')))).toEqual(
      new Set([
        'core/src/paint/mix/y.ts core-paint-looks-down',
        'core/src/picture/y.ts picture-needs-base-and-paint',
        'web/src/store/y.ts web-store-looks-down',
        'web/src/drawing/y.ts web-drawing-looks-down',
        'web/src/station/pour/y.ts stations-stand-apart',
        'server/src/photo/y.ts no-room-knows-a-stand-in',
        'server/src/plan/x.ts no-circles',
        'core/src/base/unit no-circles-of-rooms',
        'core/src/base/error no-circles-of-rooms',
      ]),
    );
  },
  TIMEOUT_MS,
);

it.each([
  ['core', 'core/src'],
  ['web', 'web/src'],
])('every room of %s has its place among the directions', (prefix, folder) => {
  // eslint-disable-next-line @typescript-eslint/no-require-imports
  const { forbidden } = require('../.dependency-cruiser.cjs') as { forbidden: { name: string }[] };
  const known = new Set(forbidden.map(({ name }) => name));
  const rooms = readdirSync(join(ROOT, folder), { withFileTypes: true }).filter((entry) =>
    entry.isDirectory(),
  );
  expect(rooms.map(({ name }) => name).filter((name) => !known.has(`${prefix}-${name}-looks-down`))).toEqual(
    [],
  );
});
