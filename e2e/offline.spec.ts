import { expect, test } from './support/studio.ts';

test.use({ serviceWorkers: 'allow' });

test('without a line the pages still open, and say that the server is away', async ({ page, context }) => {
  await page.goto('/today');
  await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible();
  // The shell is kept while nothing else is done.
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null, undefined, {
    timeout: 60_000,
  });
  await context.setOffline(true);
  await page.goto('/shelf');
  await expect(page.getByRole('navigation').first()).toBeVisible();
  await expect(page.getByText(/Can't reach the studio/).first()).toBeVisible();
  await context.setOffline(false);
  await page.reload();
  await expect(page.getByRole('row').nth(1)).toBeVisible();
});
