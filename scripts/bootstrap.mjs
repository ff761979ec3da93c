/**
 * What every command needs before it starts: installed packages, built packages and, for browser tests,
 * a browser. Imports only what Node brings, since nothing may be installed yet.
 */
import { execFileSync, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = resolve(fileURLToPath(import.meta.url), '../..');
const CACHE = join(ROOT, '.cache');
/** The film's step, compiled. */
const FILM = join(ROOT, 'core/bundle/film.wasm');
/** The built server. */
export const SERVER = join(ROOT, 'server/bundle/main.js');

/** Runs a command in the repository with its output on standard error; stops the script when it fails. */
export function run(command, args, options = {}) {
  const result = spawnSync(command, args, { cwd: ROOT, stdio: ['ignore', 2, 2], ...options });
  if (result.status !== 0) {
    process.stderr.write(`"${command} ${args.join(' ')}" failed.\n`);
    process.exit(result.status ?? 1);
  }
}

/** A program of an installed package, run with this same Node. */
export function runTool(name, args, options) {
  run(process.execPath, [toolPath(name), ...args], options);
}

export function toolPath(name) {
  const paths = {
    tsc: 'typescript/bin/tsc',
    'vue-tsc': 'vue-tsc/bin/vue-tsc.js',
    vite: 'vite/bin/vite.js',
    eslint: 'eslint/bin/eslint.js',
    prettier: 'prettier/bin/prettier.cjs',
    depcruise: 'dependency-cruiser/bin/dependency-cruise.mjs',
    asc: 'assemblyscript/bin/asc.js',
    jest: 'jest/bin/jest.js',
    playwright: '@playwright/test/cli.js',
  };
  return join(ROOT, 'node_modules', paths[name]);
}

const hashOf = (text) => createHash('sha256').update(text).digest('hex');
const remembered = (name) => {
  const path = join(CACHE, name);
  return existsSync(path) ? readFileSync(path, 'utf8') : '';
};
const remember = (name, value) => {
  mkdirSync(CACHE, { recursive: true });
  writeFileSync(join(CACHE, name), value);
};

/** Installs the packages unless the lock file is the one that was installed last. */
export function ensureInstalled() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) {
    process.stderr.write(`Icy Ribbon needs Node 20.19 or newer; this is ${process.versions.node}.\n`);
    process.exit(1);
  }
  const lock = hashOf(readFileSync(join(ROOT, 'package-lock.json'), 'utf8') + process.version);
  if (existsSync(join(ROOT, 'node_modules')) && remembered('installed') === lock) return;
  process.stderr.write('Installing packages (the database is compiled; this takes some minutes once) ...\n');
  run('npm', ['ci', '--no-audit', '--no-fund'], { shell: process.platform === 'win32' });
  remember('installed', lock);
}

function newestChange(folder) {
  let newest = 0;
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    if (['dist', 'bundle', 'node_modules'].includes(entry.name)) continue;
    const path = join(folder, entry.name);
    newest = Math.max(newest, entry.isDirectory() ? newestChange(path) : statSync(path).mtimeMs);
  }
  return newest;
}

/** Compiles core, contract and server, and unless told otherwise the pages, when a source has changed. */
export function ensureBuilt({ pages = true } = {}) {
  const packages = ['core', 'contract', 'server'];
  const stamp = String(Math.max(...packages.map((name) => newestChange(join(ROOT, name)))));
  const isThere =
    packages.every((name) => existsSync(join(ROOT, name, 'dist'))) && existsSync(SERVER) && existsSync(FILM);
  if (remembered('built') !== stamp || !isThere) {
    process.stderr.write('Building ...\n');
    runTool('asc', [
      ...['core/assembly/film.ts', '--outFile', FILM],
      ...['--runtime', 'stub', '--enable', 'simd', '--noAssert', '-O3'],
    ]);
    runTool('tsc', ['-b', ...packages]);
    rmSync(join(ROOT, 'server/bundle'), { recursive: true, force: true });
    run(process.execPath, [join(ROOT, 'scripts/bundle.mjs')]);
    remember('built', stamp);
  }
  if (!pages) return;
  const pageStamp = String(Math.max(Number(stamp), newestChange(join(ROOT, 'web'))));
  if (remembered('pages') !== pageStamp || !existsSync(join(ROOT, 'web/dist/index.html'))) {
    process.stderr.write('Building the pages ...\n');
    runTool('vite', ['build', '--logLevel', 'warn'], { cwd: join(ROOT, 'web') });
    remember('pages', pageStamp);
  }
}

/** The one without windows runs the same tests in four fifths of the time. */
const CHROMIUM_PLACES = [
  '/usr/bin/chromium-headless-shell',
  '/usr/bin/chromium',
  '/usr/bin/chromium-browser',
  '/snap/bin/chromium',
];

/** The system's Chromium, installed from its packages when it is missing and that is possible. */
export function ensureChromium() {
  const given = process.env.CHROMIUM;
  const found = [given, ...CHROMIUM_PLACES].find((path) => path && existsSync(path));
  if (found) return found;
  process.stderr.write('Installing Chromium for the browser tests ...\n');
  try {
    execFileSync('apt-get', ['update'], { stdio: ['ignore', 2, 2] });
    const install = (name) =>
      spawnSync('apt-get', ['install', '-y', '--no-install-recommends', name], {
        stdio: ['ignore', 2, 2],
        env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
      }).status === 0;
    if (!install('chromium-headless-shell') && !install('chromium')) throw new Error('not to be had');
  } catch {
    process.stderr.write(
      'The browser tests need Chromium. Install your system’s "chromium" package, or set CHROMIUM to its path.\n',
    );
    process.exit(1);
  }
  return CHROMIUM_PLACES.find((path) => existsSync(path));
}
