import { violationsOf } from './support/axe.ts';
import { expectPoured, measureByTouch, swipe } from './support/byTouch.ts';
import { pieceNamed, send } from './support/pieces.ts';
import { pourBySheet } from './support/runSheet.ts';
import { weighIn } from './support/weighIn.ts';
import { stationPaths } from './support/stations.ts';
import { brokenOffAt200 } from './support/text.ts';
import { expect, test } from './support/studio.ts';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

test('a Dutch pour on a phone: started, weighed, poured by its run sheet with the network gone, photographed and measured', async ({
  page,
  studio,
  context,
}) => {
  test.slow();
  const tap = (name: string | RegExp) => page.getByRole('button', { name }).first().tap();
  await page.goto('/today');
  await page.getByLabel('Name', { exact: true }).fill('Phone Dutch');
  await page.getByLabel('Colors').fill('2');
  await page.getByLabel('Colors').press('Tab');
  await expect(page.getByText(/Enough for/)).toBeVisible();
  await tap('Start and mix');
  for (const paint of ['White', 'Deep blue', 'Sea green']) {
    await tap(`Put a cup of ${paint} on the bench`);
    await expect(page.getByRole('article', { name: `Cup ${paint}` })).toBeVisible();
  }
  const pieceId = page.url().split('/').at(-1)!;

  await test.step('a cup is weighed in with the number on the screen and one wide button', async () => {
    await tap(/^Weigh in White/);
    const done = page.getByRole('button', { name: /^Done, next|^Next cup|^Back to the cups/ });
    await expect(done).toBeInViewport();
    const box = (await done.boundingBox())!;
    expect(box.width).toBeGreaterThan(300);
    expect(box.height).toBeGreaterThanOrEqual(64);
    for (let step = 0; step < 6; step += 1) {
      if (await page.getByText('This cup is done.').isVisible()) break;
      const said = await page.locator('.now').textContent();
      const grams = /([\d.]+)\s*g/.exec(said ?? '')?.[1];
      await page.getByLabel('What your scale shows').fill(grams ?? '1');
      await page.getByLabel('What your scale shows').press('Enter');
      await expect(page.locator('.now')).not.toHaveText(said ?? '');
    }
    await expect(page.getByText('This cup is done.')).toBeVisible();
  });

  await weighIn(studio, pieceId);
  await page.goto(`/plan/${pieceId}`);
  await tap('Lay it out');
  await tap('Pour it');
  const title = page.locator('.step-title').first();
  await expect(title).toBeVisible();
  await tap('All of it is done');

  await test.step('each step is done with the thumb; what is done without the network is sent later, once', async () => {
    await pourBySheet(
      page,
      (button) => button.tap(),
      async (step) => {
        if (step === 3) await context.setOffline(true);
        if (step === 6) await context.setOffline(false);
      },
    );
    // Every step is there, and none twice.
    await expectPoured(studio, pieceId, { pass: 3, layer: 3 });
  });

  await test.step('its picture is measured', async () => {
    await send(studio, 'POST', `/api/pieces/${pieceId}/camera`, { state: 'wet', megapixels: 1 });
    await page.getByRole('link', { name: 'Results', exact: true }).tap();
    await page.goto(`/results/${pieceId}`);
    await expect(page.getByRole('img', { name: 'Phone Dutch, wet' })).toBeInViewport();
    await measureByTouch(page);
  });
});

test.describe('on the demo as it is', () => {
  test.use({ onlyLooks: true });

  test('what is used at the table fits a phone, upright and turned, and passes the accessibility rules', async ({
    page,
    studio,
  }) => {
    test.slow();
    for (const path of await stationPaths(studio)) {
      await page.setViewportSize({ width: 390, height: 844 });
      await page.goto(path);
      await page.locator('main').waitFor();
      await page.waitForLoadState('networkidle');
      for (const [width, height] of [
        [360, 740],
        [430, 932],
        [844, 390],
        [390, 844],
      ] as const) {
        await page.setViewportSize({ width, height });
        const over = () =>
          page.evaluate(() => {
            const bench = document.querySelector('.bench')!;
            return Math.max(
              bench.scrollWidth - bench.clientWidth,
              document.body.scrollWidth - window.innerWidth,
            );
          });
        await expect.poll(over, { message: `${path} at ${width}` }).toBeLessThanOrEqual(0);
      }
      const stops = page.getByRole('navigation', { name: 'Stations' }).getByRole('listitem');
      await expect(stops).toHaveCount(6);
      for (const stop of await stops.all())
        expect((await stop.boundingBox())!.height).toBeGreaterThanOrEqual(48);
      expect(await violationsOf(page), path).toEqual([]);
      await brokenOffAt200(page, path, [[390, 844]]);
    }
  });

  test('at Plan the core sample is a swipe away, and the support a swipe back', async ({ page, studio }) => {
    await page.goto(`/plan/${await pieceNamed(studio, 'Door panel')}`);
    const sample = page.getByRole('heading', { name: 'Core sample' });
    const support = page.getByRole('region', { name: 'The support from above' });
    await expect(support).toBeInViewport({ ratio: 0.6 });
    // The edge of the sample is in sight beside the support; a thumb takes hold of it.
    await swipe(page, [378, 500], [40, 500]);
    await expect(sample).toBeInViewport({ ratio: 1 });
    await expect(page.getByRole('radio', { name: 'Core sample' })).toBeChecked();
    await swipe(page, [60, 500], [360, 500]);
    await expect(page.getByRole('radio', { name: 'From above' })).toBeChecked();
    // A hand taps when the strip has come to rest.
    await expect(support).toBeInViewport({ ratio: 0.6 });
    await page.getByText('Core sample', { exact: true }).first().tap();
    await expect(sample).toBeInViewport({ ratio: 1 });
  });

  test('the rest lies behind the last stop, the tray comes from below', async ({ page, studio }) => {
    await page.goto(`/mix/${await pieceNamed(studio, 'Ember seam')}`);
    await expect(page.getByRole('heading', { name: 'Mix' })).toBeVisible();
    await page.getByRole('button', { name: 'More', exact: true }).tap();
    await page.getByRole('link', { name: 'Shelf' }).tap();
    await expect(page).toHaveURL(/\/shelf$/);
    await page.getByRole('button', { name: /^Tray/ }).tap();
    const tray = page.getByRole('complementary', { name: 'Tray' });
    await expect(tray.getByText('Slate ink')).toBeInViewport();
    await page.getByRole('button', { name: 'Close the tray' }).tap({ position: { x: 100, y: 200 } });
    await expect(tray.getByText('Slate ink')).toBeHidden();
  });
});
