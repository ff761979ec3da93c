import type { Page } from '@playwright/test';
import { expect } from './studio.ts';

/** What stands beyond the page's side, and words that are cut off in what they stand in. */
function brokenOff(): { over: number; cut: string[] } {
  const bench = document.querySelector('.bench')!;
  const over = Math.max(bench.scrollWidth - bench.clientWidth, document.body.scrollWidth - innerWidth);
  const cut = [...document.querySelectorAll('button, a, th, label, h1, h2')].filter((each) => {
    const { overflowX } = getComputedStyle(each);
    const hides = overflowX === 'hidden' || overflowX === 'clip';
    return hides && each.clientWidth > 1 && each.scrollWidth > each.clientWidth + 2;
  });
  // A pixel is what rounding gives.
  return { over: over > 1 ? over : 0, cut: cut.map((each) => each.textContent.trim().slice(0, 40)) };
}

const scaleText = (page: Page, size: string) =>
  page.evaluate((value) => document.documentElement.style.setProperty('font-size', value), size);

/** Text twice as large breaks nothing at any of the sizes. */
export async function brokenOffAt200(
  page: Page,
  name: string,
  sizes: readonly (readonly [number, number])[],
): Promise<void> {
  await scaleText(page, '200%');
  const size = await page.evaluate(() => Number.parseFloat(getComputedStyle(document.body).fontSize));
  expect(size).toBeGreaterThanOrEqual(28);
  for (const [width, height] of sizes) {
    await page.setViewportSize({ width, height });
    await expect
      .poll(() => page.evaluate(brokenOff), { message: `${name} at ${width}, large text` })
      .toEqual({ over: 0, cut: [] });
  }
  await scaleText(page, '');
}
