import { spawnSync } from 'node:child_process';
import { join, resolve } from 'node:path';

const ROOT = resolve(__dirname, '..');

/** Lints a piece of code as if it stood in a file. */
function lint(filename: string, code: string): string {
  const eslint = join(ROOT, 'node_modules/eslint/bin/eslint.js');
  const { stdout } = spawnSync(process.execPath, [eslint, '--stdin', '--stdin-filename', filename], {
    cwd: ROOT,
    input: code,
    encoding: 'utf8',
  });
  return stdout;
}

it.each([
  ['core/src/mix/x.ts', `export * from '@icy-ribbon/contract';`],
  ['core/src/mix/x.ts', `export * from 'node:fs';`],
  ['core/src/mix/x.ts', `export * from 'vue';`],
  ['contract/src/x.ts', `export * from '../../server/src/app.ts';`],
  ['contract/src/x.ts', `export * from 'express';`],
  ['server/src/x.ts', `export * from '../../web/src/main.ts';`],
  ['web/src/x.ts', `export * from '../../server/src/app.ts';`],
])(
  'an import against the direction fails the lint: %s, %s',
  (filename, code) => {
    expect(lint(filename, code)).toContain('no-restricted-imports');
  },
  30_000,
);

it('imports along the direction pass', () => {
  expect(lint('web/src/x.ts', `export * from '@icy-ribbon/contract';\n`)).not.toContain(
    'no-restricted-imports',
  );
  expect(lint('contract/src/x.ts', `export * from '@icy-ribbon/core/mix';\n`)).not.toContain(
    'no-restricted-imports',
  );
}, 30_000);
