/** `npm test`: lint, types, unit and browser tests on a fresh machine; closes with one line of counts. */
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
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

/** Lint, format and types count as one check each. */
function checkCode() {
  const checks = [
    ['ESLint', 'eslint', ['.']],
    ['Prettier', 'prettier', ['--check', '--log-level', 'warn', '.']],
    ['Directions', 'depcruise', DIRECTIONS],
    ['Types', 'tsc', ['-p', 'tsconfig.check.json']],
    ['Types of the pages', 'vue-tsc', ['-p', 'web/tsconfig.json']],
  ];
  const results = checks.map(([label, tool, args]) => {
    const passed = passes(tool, args);
    console.log(`${passed ? 'passed' : 'FAILED'}  ${label}`);
    return passed;
  });
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

ensureInstalled();
const chromium = ensureChromium();
rmSync(REPORTS, { recursive: true, force: true });
mkdirSync(REPORTS, { recursive: true });
const code = checkCode();
ensureBuilt();
const parts = [code, unitTests(), browserTests(chromium)];
const passed = parts.reduce((sum, part) => sum + part.passed, 0);
const failed = parts.reduce((sum, part) => sum + part.failed, 0);
console.log(`Tests: ${passed} passed, ${failed} failed`);
process.exitCode = failed === 0 ? 0 : 1;
