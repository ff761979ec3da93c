import type { Page } from '@playwright/test';
import { expect, test } from './support/studio.ts';

test.use({ onlyLooks: true });

/** The browser's own throttle: everything the page does takes so many times as long. */
const SLOWER = 6;
/** A press is answered, what it changed on the screen included, within so long, ms. */
const ANSWERED_MS = 300;
/** A machine that does other things meanwhile spoils single presses: the best of so many counts. */
const PRESSES = 3;

/** Lets the page note how long each press takes from the finger to the next picture (Event Timing). */
async function notePresses(page: Page): Promise<void> {
  await page.evaluate(() => {
    const noted: { name: string; ms: number }[] = [];
    Object.assign(window, { noted });
    new PerformanceObserver((list) => {
      for (const { name, duration } of list.getEntries()) noted.push({ name, ms: duration });
    }).observe({ type: 'event', durationThreshold: 16, buffered: false } as PerformanceObserverInit);
  });
}

/** The longest part of a press of what stands at a place, ms; 0 where it took less than a picture. */
async function press(page: Page, name: string | RegExp): Promise<number> {
  const button = page.getByRole('button', { name }).or(page.getByRole('radio', { name })).first();
  const at = (await button.boundingBox())!;
  await page.evaluate(() => ((window as unknown as { noted: unknown[] }).noted.length = 0));
  await page.mouse.click(at.x + at.width / 2, at.y + at.height / 2);
  await page.waitForTimeout(700);
  return page.evaluate(() =>
    Math.max(0, ...(window as unknown as { noted: { ms: number }[] }).noted.map(({ ms }) => ms)),
  );
}

test(
  'on a weak machine every button of Practice answers while the paint runs',
  { tag: '@proof' },
  async ({ page }) => {
    await page.goto('/practice/pour/bloom');
    await expect(page.getByText('The paint runs.')).toBeVisible({ timeout: 60_000 });
    const devtools = await page.context().newCDPSession(page);
    await devtools.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
    await notePresses(page);
    const slow: string[] = [];
    const told: string[] = [];
    const presses: readonly (readonly [name: string | RegExp, after: string | RegExp | null])[] = [
      [/^Blow its/, 'Stop'],
      ['Wait 30', 'Stop'],
      ['Spin', 'Stop'],
      ['Slower', 'Full speed'],
      ['Pause', 'Go on'],
      ['Step back', null],
      ['Lay', null],
      ['Scrape', null],
      ['Torch', null],
      ['Tilt', null],
      ['Skewer', null],
      ['Air', null],
      ['Again', null],
    ];
    for (const [name, after] of presses) {
      const took: number[] = [];
      for (let turn = 0; turn < PRESSES; turn += 1) {
        took.push(await press(page, name));
        if (after !== null) took.push(await press(page, after));
      }
      const best = Math.min(...took);
      told.push(`${String(name)} ${best} of ${took.join('/')}`);
      if (best > ANSWERED_MS) slow.push(`${String(name)}: ${best} ms`);
    }
    test.info().annotations.push({ type: 'presses', description: told.join(', ') });
    expect(slow).toEqual([]);
  },
);
