import { stationPaths } from './support/stations.ts';
import { expect, test } from './support/studio.ts';

test.use({ demo: true, onlyLooks: true });

/** What stands beyond the page's side, and words that are cut off in what they stand in. */
function brokenOff(): { over: number; cut: string[] } {
  const bench = document.querySelector('.bench')!;
  const over = Math.max(bench.scrollWidth - bench.clientWidth, document.body.scrollWidth - innerWidth);
  const cut = [...document.querySelectorAll('button, a, th, label, h1, h2')].filter((each) => {
    const { overflowX } = getComputedStyle(each);
    const hides = overflowX === 'hidden' || overflowX === 'clip';
    return hides && each.clientWidth > 1 && each.scrollWidth > each.clientWidth + 2;
  });
  return { over: Math.max(0, over), cut: cut.map((each) => each.textContent.trim().slice(0, 40)) };
}

for (const [width, height] of [
  [390, 844],
  [820, 1180],
  [1280, 800],
] as const) {
  test(`text twice as large breaks nothing at ${width} pixels`, async ({ page, studio }) => {
    test.slow();
    await page.setViewportSize({ width, height });
    await page.addInitScript(() => {
      const larger = () => document.documentElement?.style.setProperty('font-size', '200%');
      larger();
      document.addEventListener('readystatechange', larger);
    });
    for (const path of await stationPaths(studio)) {
      await page.goto(path);
      await page.locator('main').waitFor();
      const size = await page.evaluate(() => Number.parseFloat(getComputedStyle(document.body).fontSize));
      expect(size).toBeGreaterThanOrEqual(28);
      await expect
        .poll(() => page.evaluate(brokenOff), { message: `${path} at ${width}` })
        .toEqual({ over: 0, cut: [] });
    }
  });
}
