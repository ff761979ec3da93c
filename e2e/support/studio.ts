import { spawn, type ChildProcess } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { test as base, expect, type Page } from '@playwright/test';

const ROOT = resolve(import.meta.dirname, '../..');

/** The built product on a data folder of its own, which outlives the server. */
export class Studio {
  readonly folder = mkdtempSync(join(tmpdir(), 'icy-ribbon-e2e-'));
  #server: ChildProcess | undefined;
  readonly #port: number;
  readonly #env: Record<string, string>;

  constructor(port: number, env: Record<string, string>) {
    this.#port = port;
    this.#env = env;
  }

  get address(): string {
    return `http://127.0.0.1:${this.#port}`;
  }

  async start(): Promise<void> {
    const server = spawn(process.execPath, [join(ROOT, 'server/bundle/main.js')], {
      env: {
        ...process.env,
        ICY_RIBBON_PORT: String(this.#port),
        ICY_RIBBON_DATA: this.folder,
        ...this.#env,
      },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    this.#server = server;
    await new Promise<void>((started, failed) => {
      let said = '';
      const listen = (chunk: Buffer) => {
        said += chunk.toString();
        if (said.includes('Icy Ribbon is at')) started();
      };
      server.stdout.on('data', listen);
      server.stderr.on('data', listen);
      server.on('exit', () => failed(new Error(`the server ended: ${said}`)));
    });
  }

  /** Ends the server at once, as a power cut would (SIGKILL), and starts it again. */
  async killAndRestart(): Promise<void> {
    await this.#end('SIGKILL');
    await this.start();
  }

  stop(): Promise<void> {
    return this.#end('SIGTERM');
  }

  async close(): Promise<void> {
    await this.stop();
    rmSync(this.folder, { recursive: true, force: true });
  }

  async #end(signal: NodeJS.Signals): Promise<void> {
    const server = this.#server;
    if (!server || server.exitCode !== null) return;
    server.removeAllListeners('exit');
    const ended = new Promise((done) => server.once('exit', done));
    server.kill(signal);
    await ended;
  }
}

/** The demo studio is made once for all tests; each gets a copy of its own. */
function demoFolder(): string {
  const folder = process.env.ICY_RIBBON_E2E_DEMO;
  if (!folder) throw new Error('the demo studio was not made: run the tests with their configuration');
  return folder;
}

/** Makes the demo studio before the first test, unless one was made for all; @returns what takes it away again */
export async function makeDemo(): Promise<() => Promise<void>> {
  const made = process.env.ICY_RIBBON_TEST_DEMO;
  if (made) {
    process.env.ICY_RIBBON_E2E_DEMO = made;
    return () => Promise.resolve();
  }
  const studio = new Studio(await freePort(), { ICY_RIBBON_DEMO: '1' });
  await studio.start();
  await studio.stop();
  process.env.ICY_RIBBON_E2E_DEMO = studio.folder;
  return () => studio.close();
}

export function freePort(): Promise<number> {
  return new Promise((found, failed) => {
    const probe = createServer();
    probe.once('error', failed);
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address();
      probe.close(() => found(typeof address === 'object' && address ? address.port : 0));
    });
  });
}

interface Fixtures {
  readonly demo: boolean;
  /** Scale, camera and room sensor are played by stand-ins, as the artist may switch on. */
  readonly standIns: boolean;
  /** The test only looks: it shares one demo studio with all others of its worker that do. */
  readonly onlyLooks: boolean;
  readonly studio: Studio;
  /** Errors the page wrote to its console; every test ends with none. */
  readonly pageErrors: string[];
}

/** A studio that runs, empty or with a copy of the demo. */
async function openStudio(demo: boolean): Promise<Studio> {
  const studio = new Studio(await freePort(), { ICY_RIBBON_DEMO: demo ? '1' : '0' });
  if (demo) cpSync(demoFolder(), studio.folder, { recursive: true });
  await studio.start();
  return studio;
}

interface WorkerFixtures {
  /** One demo studio for all tests of a worker that only look; opened when the first of them asks. */
  readonly sharedDemo: { open(): Promise<Studio> };
}

export const test = base.extend<Fixtures, WorkerFixtures>({
  sharedDemo: [
    // eslint-disable-next-line no-empty-pattern
    async ({}, use) => {
      let opened: Promise<Studio> | undefined;
      await use({ open: () => (opened ??= openStudio(true)) });
      await (await opened)?.close();
    },
    { scope: 'worker' },
  ],
  demo: [false, { option: true }],
  standIns: [false, { option: true }],
  onlyLooks: [false, { option: true }],
  studio: async ({ demo, onlyLooks, sharedDemo }, use) => {
    if (onlyLooks) {
      await use(await sharedDemo.open());
      return;
    }
    const studio = await openStudio(demo);
    await use(studio);
    await studio.close();
  },
  baseURL: async ({ studio }, use) => use(studio.address),
  pageErrors: [
    async ({ page, standIns }, use) => {
      if (standIns) await page.addInitScript(() => localStorage.setItem('icy-ribbon.stand-ins', 'on'));
      const errors: string[] = [];
      watchErrors(page, errors);
      await use(errors);
      expect(errors).toEqual([]);
    },
    { auto: true },
  ],
});

/** Collects what goes wrong on a page; a server that is away for a moment is part of some tests. */
export function watchErrors(page: Page, errors: string[]): void {
  page.on('pageerror', (error) => errors.push(error.message));
  page.on('console', (message) => {
    const text = message.text();
    const expected = /net::ERR_|Failed to load resource/.test(text);
    if (message.type() === 'error' && !expected) errors.push(text);
  });
}

export { expect };
