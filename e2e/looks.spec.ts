import type { Page } from '@playwright/test';
import { contrastOf, violationsOf } from './support/axe.ts';
import { expect, test } from './support/studio.ts';
import { brokenOffAt200 } from './support/text.ts';
import { VIEWS } from './support/views.ts';

test.use({ demo: true, onlyLooks: true });

const SIZES = [
  [1600, 800],
  [1280, 800],
  [1180, 820],
  [820, 1180],
  [800, 800],
  [768, 1024],
] as const;

/** Paper keeps its size, and a day of the month its width, however large the text. */
const AS_DRAWN: ReadonlySet<string> = new Set(['labels', 'record', 'contact sheet', 'calendar']);

/** One visit of a view: what it looks like at every size, in both appearances, with text twice as large. */
async function lookAt(page: Page, name: string): Promise<void> {
  for (const [width, height] of SIZES) {
    await page.setViewportSize({ width, height });
    const overflow = () => page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    await expect.poll(overflow, { message: `${name} at ${width}` }).toBeLessThanOrEqual(0);
  }
  await page.setViewportSize({ width: 1280, height: 800 });
  // Colors that still fade from one appearance to the other are no colors of the look.
  await page.emulateMedia({ colorScheme: 'light', reducedMotion: 'reduce' });
  await expect(page.locator('html')).toHaveCSS('color-scheme', 'light');
  expect(await violationsOf(page), name).toEqual([]);
  await page.emulateMedia({ colorScheme: 'dark', reducedMotion: 'reduce' });
  await expect(page.locator('html')).toHaveCSS('color-scheme', 'dark');
  expect(await contrastOf(page), `${name}, dark`).toEqual([]);
  if (AS_DRAWN.has(name)) return;
  await brokenOffAt200(page, name, [
    [820, 1180],
    [1280, 800],
  ]);
}

/** So many views are looked at by one page: its files are read once. */
const A_PAGE = 8;
const names = Object.keys(VIEWS);
for (let from = 0; from < names.length; from += A_PAGE) {
  const some = names.slice(from, from + A_PAGE);
  test(`fit every size and pass the accessibility rules, light, dark and with large text: ${some.join(', ')}`, async ({
    page,
    studio,
  }) => {
    test.slow();
    for (const name of some) {
      await test.step(name, async () => {
        await page.goto(await VIEWS[name]!(studio));
        await page.locator('main').waitFor();
        await page.waitForLoadState('networkidle');
        await lookAt(page, name);
      });
    }
  });
}
