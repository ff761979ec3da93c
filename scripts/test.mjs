/** `npm test`: lint, types, unit and browser tests on a fresh machine; closes with one line of counts. */
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBuilt, ensureChromium, ensureInstalled, ROOT, toolPath } from './bootstrap.mjs';

const REPORTS = join(ROOT, '.cache/reports');

const DIRECTIONS = [
  ...['--config', '.dependency-cruiser.cjs', '--output-type', 'err'],
  ...['core/src', 'contract/src', 'server/src', 'web/src'],
];

function passes(name, args, env = {}) {
  const result = spawnSync(process.execPath, [toolPath(name), ...args], {
    cwd: ROOT,
    stdio: ['ignore', 1, 2],
    env: { ...process.env, ...env },
  });
  return result.status === 0;
}

function report(file) {
  const path = join(REPORTS, file);
  return existsSync(path) ? JSON.parse(readFileSync(path, 'utf8')) : undefined;
}

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
    ],
    [
      ['Types', 'tsc', ['-p', 'tsconfig.check.json']],
      ['Types of the pages', 'vue-tsc', ['-p', 'web/tsconfig.json']],
      ['Prettier', 'prettier', ['--check', '--log-level', 'warn', '.']],
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

function unitTests() {
  passes('jest', ['--json', `--outputFile=${join(REPORTS, 'jest.json')}`]);
  const result = report('jest.json');
  if (!result) return { passed: 0, failed: 1 };
  const suitesThatDidNotLoad = result.numRuntimeErrorTestSuites;
  return { passed: result.numPassedTests, failed: result.numFailedTests + suitesThatDidNotLoad };
}

function browserTests(chromium) {
  const file = join(REPORTS, 'playwright.json');
  const passed = passes('playwright', ['test', '--config', 'e2e/playwright.config.ts'], {
    CHROMIUM: chromium,
    PLAYWRIGHT_JSON_OUTPUT_NAME: file,
  });
  const result = report('playwright.json');
  if (!result) return { passed: 0, failed: 1 };
  const failed = result.stats.unexpected + result.errors.length;
  if (result.stats.flaky > 0) console.log(`${result.stats.flaky} browser tests needed a second try.`);
  const succeeded = result.stats.expected + result.stats.flaky;
  return { passed: succeeded, failed: passed ? failed : Math.max(1, failed) };
}

/** The demo studio, made once for all tests; gives its folder. */
function makeDemo() {
  const folder = mkdtempSync(join(tmpdir(), 'icy-ribbon-test-demo-'));
  const server = spawn(process.execPath, [join(ROOT, 'server/bundle/main.js')], {
    stdio: ['ignore', 'pipe', 2],
    env: { ...process.env, ICY_RIBBON_DEMO: '1', ICY_RIBBON_DATA: folder, ICY_RIBBON_PORT: '0' },
  });
  let said = '';
  server.stdout.on('data', (part) => {
    said += part;
    if (said.includes('Icy Ribbon is at')) server.kill('SIGTERM');
  });
  return new Promise((made, failed) => {
    server.on('exit', (code) =>
      code === 0 ? made(folder) : failed(new Error(`the demo studio could not be made: ${said}`)),
    );
  });
}

ensureInstalled();
const chromium = ensureChromium();
rmSync(REPORTS, { recursive: true, force: true });
mkdirSync(REPORTS, { recursive: true });
const code = await checkCode();
ensureBuilt();
process.env.ICY_RIBBON_TEST_DEMO = await makeDemo();
const parts = [code, unitTests(), browserTests(chromium)];
rmSync(process.env.ICY_RIBBON_TEST_DEMO, { recursive: true, force: true });
const passed = parts.reduce((sum, part) => sum + part.passed, 0);
const failed = parts.reduce((sum, part) => sum + part.failed, 0);
console.log(`Tests: ${passed} passed, ${failed} failed`);
process.exitCode = failed === 0 ? 0 : 1;
