import { violationsOf } from './support/axe.ts';
import { expectPoured, measureByTouch } from './support/byTouch.ts';
import { send, type Json } from './support/pieces.ts';
import { pourBySheet } from './support/runSheet.ts';
import { stationPaths } from './support/stations.ts';
import { expect, test } from './support/studio.ts';
import { weighIn } from './support/weighIn.ts';

test.use({ viewport: { width: 820, height: 1180 }, hasTouch: true, isMobile: true });

interface Told extends Json {
  readonly mixes: readonly { id: string; name: string; additions: readonly { mg: number; at: string }[] }[];
  readonly readings: readonly unknown[];
}

test(
  'a bloom on a tablet: weighed, read and poured with the connection dropped at each, nothing lost and nothing twice',
  { tag: '@proof' },
  async ({ page, studio, context }) => {
    test.slow();
    const tap = (name: string | RegExp) => page.getByRole('button', { name }).first().tap();
    const told = () => send<Told>(studio, 'GET', `/api/pieces/${pieceId}`);
    await page.goto('/today');
    await page.getByLabel('Name', { exact: true }).fill('Tablet bloom');
    await page
      .locator('label')
      .filter({ hasText: /^Bloom$/ })
      .tap();
    await tap('Start and mix');
    const put = page.getByRole('button', { name: /^Put a cup of .* on the bench$/ });
    for (const [index, role] of ['Pillow', 'Color', 'Color', 'Activator'].entries()) {
      await page
        .locator('label')
        .filter({ hasText: new RegExp(`^${role}$`) })
        .tap();
      await put.nth(role === 'Color' ? index : 0).tap();
      await expect(page.getByRole('article', { name: /^Cup / })).toHaveCount(index + 1);
    }
    const pieceId = page.url().split('/').at(-1)!;

    await test.step('weighed while the line is broken: it counts at once, what waits is said, and it arrives once', async () => {
      const { name } = (await told()).mixes[0]!;
      const weighed = async () => (await told()).mixes[0]!.additions.map(({ mg }) => mg);
      await tap(new RegExp(`^Weigh in ${name}`));
      const scale = page.getByLabel('What your scale shows');
      await expect(scale).toBeVisible();
      await context.setOffline(true);
      for (const grams of ['12.5', '3.25']) {
        const before = await page.locator('.now').textContent();
        await scale.fill(grams);
        await scale.press('Enter');
        await expect(page.locator('.now')).not.toHaveText(before ?? '');
      }
      await expect(page.getByText(/Can't reach the studio\. 2 entries are saved/)).toBeVisible();
      await expect(page.getByRole('button', { name: /Done, next/ })).toBeVisible();
      expect(await weighed()).toEqual([]);
      await context.setOffline(false);
      await expect(page.getByText(/Can't reach the studio/)).toBeHidden();
      await expect.poll(weighed).toEqual([12_500, 3250]);
    });

    await weighIn(studio, pieceId);
    await test.step('a cup is read while the line is broken', async () => {
      const pillow = (await told()).mixes[0]!;
      await page.goto(`/thickness/${pieceId}/cup/${pillow.id}`);
      await page.getByRole('main').waitFor();
      await context.setOffline(true);
      await page
        .getByRole('button', { name: /gone|fad|stand|sink/i })
        .first()
        .tap();
      await expect(page.getByText(/1 reading|One entry is saved/).first()).toBeVisible();
      await context.setOffline(false);
      await expect.poll(async () => (await told()).readings.length).toBe(1);
    });

    await test.step('poured by its run sheet, three steps of it without the line', async () => {
      await page.goto(`/plan/${pieceId}`);
      await tap('Lay it out');
      await tap('Pour it');
      await expect(page.locator('.step-title').first()).toBeVisible();
      await tap('All of it is done');
      await pourBySheet(
        page,
        (button) => button.tap(),
        async (step) => {
          if (step === 2) await context.setOffline(true);
          if (step === 5) await context.setOffline(false);
        },
      );
      await expectPoured(studio, pieceId, { pass: 0, layer: 3 });
    });

    await test.step('its picture is measured', async () => {
      await send(studio, 'POST', `/api/pieces/${pieceId}/camera`, { state: 'wet', megapixels: 1 });
      await page.goto(`/results/${pieceId}`);
      await measureByTouch(page);
    });
  },
);

test.describe('on the demo as it is', () => {
  test.use({ onlyLooks: true });

  test(
    'every station passes the accessibility rules and fits at 768, 820 and 1180 pixels',
    { tag: '@proof' },
    async ({ page, studio }) => {
      test.slow();
      for (const path of await stationPaths(studio)) {
        for (const [width, height] of [
          [768, 1024],
          [820, 1180],
          [1180, 820],
        ] as const) {
          await page.setViewportSize({ width, height });
          await page.goto(path);
          await page.locator('main').waitFor();
          const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
          expect(over, `${path} at ${width} px`).toBeLessThanOrEqual(1);
        }
        expect(await violationsOf(page), path).toEqual([]);
      }
    },
  );
});
