import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Browser, type Page } from '@playwright/test';
import { startServer } from '../serverProcess.ts';

const PHONE = { width: 390, height: 844 };
const DESK = { width: 1280, height: 800 };

/** Stations that are gone through with everything brought in already. */
const STATIONS = ['Mix', 'Thickness', 'Plan', 'Pour', 'Results', 'Rack', 'Shelf', 'Today'];

/** A machine that does other work beside is quiet in one of them. */
const ROUNDS = 7;

declare global {
  interface Window {
    longestTaskMs: number;
    /** The page that was left, and when. */
    left: { readonly main: Element | null; readonly atMs: number };
  }
}

/**
 * What the pages cost on the demo: the first load with nothing kept, a change of station, and the longest task while one types and drags.
 *
 * Milliseconds are this machine's, to be read beside each other; files and kilobytes hold anywhere.
 */
export async function pagesTable(): Promise<string> {
  const folder = mkdtempSync(join(tmpdir(), 'icy-ribbon-bench-pages-'));
  const server = await startServer(folder, { ICY_RIBBON_DEMO: '1' });
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: ['--no-sandbox'],
  });
  try {
    const pieces = (await (await fetch(`${server.address}/api/pieces?pageSize=100`)).json()) as {
      items: { id: string; name: string }[];
    };
    const id = pieces.items.find(({ name }) => name === 'Ember seam')!.id;
    const piece = (await (await fetch(`${server.address}/api/pieces/${id}`)).json()) as {
      mixes: { id: string }[];
    };
    const rows = [
      ...(await firstLoad(browser, server.address, '/today')),
      ...(await firstLoad(browser, server.address, `/mix/${id}/scale/${piece.mixes[0]!.id}`)),
      ...(await changes(browser, server.address, id)),
    ];
    const width = Math.max(...rows.map(([what]) => what.length));
    return rows.map(([what, said]) => `${what.padEnd(width)}  ${said}`).join('\n');
  } finally {
    await browser.close();
    await server.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}

type Row = readonly [what: string, said: string];

async function firstLoad(browser: Browser, address: string, path: string): Promise<Row[]> {
  const context = await browser.newContext({ viewport: PHONE, serviceWorkers: 'block' });
  const page = await context.newPage();
  const devtools = await context.newCDPSession(page);
  await devtools.send('Network.enable');
  const urls = new Map<string, string>();
  const sizes = new Map<string, number>();
  devtools.on('Network.requestWillBeSent', ({ requestId, request }) => urls.set(requestId, request.url));
  devtools.on('Network.loadingFinished', ({ requestId, encodedDataLength }) =>
    sizes.set(requestId, encodedDataLength),
  );
  const startedAt = performance.now();
  await page.goto(address + path);
  await page.locator('main h1, main h2, main .numeral').first().waitFor();
  const shownMs = performance.now() - startedAt;
  await page.waitForLoadState('networkidle');
  const isFile = (url: string) => url.includes('/assets/');
  const kb = (chosen: (url: string) => boolean) =>
    [...urls].reduce((sum, [request, url]) => sum + (chosen(url) ? (sizes.get(request) ?? 0) : 0), 0) / 1000;
  const files = [...urls.values()].filter(isFile).length;
  await context.close();
  const what = path.replace(/[0-9a-f-]{36}/g, '…');
  return [
    [
      `first load of ${what}`,
      `shown after ${shownMs.toFixed(0)} ms; ${files} files, ${kb(isFile).toFixed(0)} kB of the application; ${urls.size} requests, ${kb(() => true).toFixed(0)} kB in all`,
    ],
  ];
}

async function changes(browser: Browser, address: string, pieceId: string): Promise<Row[]> {
  const context = await browser.newContext({ viewport: DESK, serviceWorkers: 'block' });
  const page = await context.newPage();
  await page.addInitScript(() => {
    window.longestTaskMs = 0;
    addEventListener(
      'click',
      () => (window.left = { main: document.querySelector('main'), atMs: performance.now() }),
      true,
    );
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries())
        window.longestTaskMs = Math.max(window.longestTaskMs, duration);
    }).observe({ type: 'longtask' });
  });
  await page.goto(`${address}/thickness/${pieceId}`);
  /** From the click until another page stands there with something in it. */
  const go = async (station: string): Promise<number> => {
    await page.getByRole('link', { name: station, exact: true }).first().click({ noWaitAfter: true });
    return page.evaluate(async () => {
      const LEAST_WORDS = 20;
      const MOST_MS = 10_000;
      for (;;) {
        await new Promise(requestAnimationFrame);
        const main = document.querySelector('main');
        const stands = main !== null && main !== window.left.main && main.textContent.length > LEAST_WORDS;
        const ms = performance.now() - window.left.atMs;
        if (stands || ms > MOST_MS) return ms;
      }
    });
  };
  // Everything is brought in once.
  for (const station of STATIONS) await go(station).then(() => page.waitForTimeout(700));
  const times = new Map<string, number[]>(STATIONS.map((station) => [station, []]));
  for (let round = 0; round < ROUNDS; round += 1) {
    for (const station of STATIONS) {
      times.get(station)?.push(await go(station));
      await page.waitForTimeout(700);
    }
  }
  const rows = [...times].map(([station, ms]): Row => {
    const [best, median] = [Math.min(...ms), ms.sort((a, b) => a - b)[Math.floor(ROUNDS / 2)] ?? NaN];
    return [
      `change to ${station}, warm`,
      `${best.toFixed(0)} ms at best, ${median.toFixed(0)} at the median`,
    ];
  });
  return [
    ...rows,
    ['typing in a search, longest task', await longest(page, address + '/shelf', typeInSearch)],
    ['typing grams at Plan, longest task', await longest(page, `${address}/plan/${pieceId}`, typeAtPlan)],
    ['dragging at Pour, longest task', await longest(page, `${address}/pour/${pieceId}`, dragAtPour)],
  ];
}

/** Tasks that hold the page up for less than 50 ms do not count as long. */
async function longest(page: Page, url: string, work: (page: Page) => Promise<void>): Promise<string> {
  await page.goto(url);
  await page.waitForLoadState('networkidle');
  await page.waitForTimeout(500);
  await page.evaluate(() => (window.longestTaskMs = 0));
  await work(page);
  await page.waitForTimeout(500);
  const ms = await page.evaluate(() => window.longestTaskMs);
  return ms === 0 ? 'none above 50 ms' : `${ms.toFixed(0)} ms`;
}

async function typeInSearch(page: Page): Promise<void> {
  await page
    .getByRole('searchbox')
    .or(page.getByLabel(/Search/))
    .first()
    .pressSequentially('white', { delay: 60 });
}

async function typeAtPlan(page: Page): Promise<void> {
  const field = page.locator('main input[inputmode="decimal"]').first();
  if (await field.isVisible()) await field.pressSequentially('12', { delay: 80 });
}

async function dragAtPour(page: Page): Promise<void> {
  const box = await page.locator('.support svg').first().boundingBox();
  if (!box) return;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let step = 0; step < 30; step += 1) await page.mouse.move(x + 3 * step, y + step);
  await page.mouse.up();
}
