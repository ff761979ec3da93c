/** `npm test`: lint, types, unit and browser tests on a fresh machine; closes with one line of counts. */
import { spawn } from 'node:child_process';
import { ensureBuilt, ensureChromium, ensureInstalled, ROOT, toolPath } from './bootstrap.mjs';
import { browserTests, clearReports, close, unitTests, withDemo } from './rings.mjs';

const DIRECTIONS = [
  ...['--config', '.dependency-cruiser.cjs', '--output-type', 'err'],
  ...['core/src', 'contract/src', 'server/src', 'web/src'],
];

/** Runs a tool and gives what it said, without waiting for others. */
function whetherPasses(name, args) {
  return new Promise((done) => {
    const child = spawn(process.execPath, [toolPath(name), ...args], { cwd: ROOT });
    const said = [];
    child.stdout.on('data', (part) => said.push(part));
    child.stderr.on('data', (part) => said.push(part));
    child.on('close', (code) => done({ passed: code === 0, said: Buffer.concat(said).toString() }));
  });
}

/** Lint, format, directions and types count as one check each; two lines of them run side by side. */
async function checkCode() {
  const lines = [
    [
      ['ESLint', 'eslint', ['.']],
      ['Directions', 'depcruise', DIRECTIONS],
      ['Prettier', 'prettier', ['--check', '--log-level', 'warn', '.']],
    ],
    [
      ['Types', 'tsc', ['-p', 'tsconfig.check.json']],
      ['Types of the pages', 'vue-tsc', ['-p', 'web/tsconfig.json']],
    ],
  ];
  const results = [];
  const run = async (checks) => {
    for (const [label, tool, args] of checks) {
      const { passed, said } = await whetherPasses(tool, args);
      console.log(passed ? `passed  ${label}` : `${said}FAILED  ${label}`);
      results.push(passed);
    }
  };
  await Promise.all(lines.map(run));
  return { passed: results.filter(Boolean).length, failed: results.filter((passed) => !passed).length };
}

ensureInstalled();
const chromium = ensureChromium();
clearReports();
const code = await checkCode();
ensureBuilt();
close(await withDemo(() => [code, unitTests('test'), browserTests('test', chromium)]));
