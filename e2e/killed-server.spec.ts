import { expect, test } from './support/studio.ts';
import {
  attachPhoto,
  COLORS,
  judge,
  layDownAll,
  planCups,
  startPiece,
  weighInByTable,
} from './support/steps.ts';

test('a server killed between any two steps loses nothing, and the page goes on', async ({
  page,
  studio,
}) => {
  /** Nine restarts on a machine that has its hands full take their time; none of it is the product's. */
  test.slow();
  const kill = () => studio.killAndRestart();
  await startPiece(page, 'Power cut');
  await kill();
  await planCups(page);
  await kill();
  await weighInByTable(page, ['White', ...COLORS.slice(0, 2)]);
  // A step is done when the page shows it.
  await expect(page.getByText('5 cups, 3 weighed in')).toBeVisible();
  await kill();
  await page.reload();
  await expect(page.getByText('5 cups, 3 weighed in')).toBeVisible();
  await weighInByTable(page, COLORS.slice(2));
  await kill();
  await page.getByRole('button', { name: 'Test the thickness' }).click();
  await page.getByRole('button', { name: 'Plan it' }).click();
  await page.getByRole('button', { name: 'Pour it' }).click();
  await layDownAll(page);
  await kill();
  await page.getByRole('button', { name: 'Log the pass' }).click();
  await expect(page.getByText('pass 2')).toBeVisible();
  await kill();
  await page.getByRole('button', { name: 'Log the pass' }).click();
  await expect(page.getByText('pass 3')).toBeVisible();
  await kill();
  await page.getByRole('link', { name: 'Power cut' }).click();
  await attachPhoto(page);
  await kill();
  await judge(page);
  await kill();
  await page.goto('/results');
  const row = page.getByRole('row', { name: /Power cut/ });
  await expect(row).toContainText('White, Deep blue, Sea green, Copper, Warm red');
  await expect(row).toContainText('2 ×');
  await expect(row).toContainText('cells 2.4 mm');
});

test('a step made while the server is away is done when it is back, once', async ({ page, studio }) => {
  await startPiece(page, 'Away');
  await page.route('**/api/pieces/*/mixes', (route) => route.abort('connectionrefused'), { times: 2 });
  await page.getByRole('button', { name: 'Put a cup of White on the bench' }).click();
  await expect(page.getByRole('alert')).toContainText("Can't reach the studio");
  await expect(page.getByRole('article', { name: 'Cup White' })).toBeVisible();
  await expect(page.getByRole('alert')).toBeHidden();
  await studio.killAndRestart();
  await page.reload();
  await expect(page.getByRole('article')).toHaveCount(1);
});
