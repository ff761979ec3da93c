/** The two rings of tests, and what they share: `npm test` and `npm run proof`. */
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ROOT, toolPath } from './bootstrap.mjs';

const REPORTS = join(ROOT, '.cache/reports');
/** Browser tests that only the long ring runs carry it. */
const LONG = '@proof';

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

export function clearReports() {
  rmSync(REPORTS, { recursive: true, force: true });
  mkdirSync(REPORTS, { recursive: true });
}

/** @param ring 'test', or 'proof' for every simulation in full */
export function unitTests(ring) {
  const passed = passes('jest', ['--json', `--outputFile=${join(REPORTS, 'jest.json')}`], {
    ICY_RIBBON_RING: ring,
  });
  const result = report('jest.json');
  if (!result) return { passed: 0, failed: 1 };
  const failed = result.numFailedTests + result.numRuntimeErrorTestSuites;
  return { passed: result.numPassedTests, failed: passed ? failed : Math.max(1, failed) };
}

/** @param ring 'test', or 'proof' for those that take long alone */
export function browserTests(ring, chromium) {
  const file = join(REPORTS, 'playwright.json');
  const which = [ring === 'proof' ? '--grep' : '--grep-invert', LONG];
  const passed = passes('playwright', ['test', '--config', 'e2e/playwright.config.ts', ...which], {
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

/** Does something while the demo studio of all tests is there. */
export async function withDemo(work) {
  const folder = await makeDemo();
  process.env.ICY_RIBBON_TEST_DEMO = folder;
  try {
    return await work();
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** The line that every run closes with. */
export function close(parts) {
  const passed = parts.reduce((sum, part) => sum + part.passed, 0);
  const failed = parts.reduce((sum, part) => sum + part.failed, 0);
  console.log(`Tests: ${passed} passed, ${failed} failed`);
  process.exitCode = failed === 0 ? 0 : 1;
}
