import { expect, test } from './support/studio.ts';
import type { Page } from '@playwright/test';
import { attachPhoto } from './support/steps.ts';

test.use({ standIns: true });

/** Tabs on until a control with this name has the focus. */
async function tabTo(page: Page, name: string | RegExp, limit = 60): Promise<void> {
  for (let step = 0; step < limit; step += 1) {
    await page.keyboard.press('Tab');
    const focused = await page.evaluate(() => {
      const element = document.activeElement as HTMLInputElement | null;
      const label = element?.labels?.[0]?.textContent ?? '';
      return [element?.getAttribute('aria-label'), label, element?.textContent]
        .find((text) => text?.trim())
        ?.trim();
    });
    if (focused && (typeof name === 'string' ? focused === name : name.test(focused))) return;
  }
  throw new Error(`"${String(name)}" was not reached with Tab`);
}

const key = (page: Page, ...keys: string[]) =>
  keys.reduce((before, each) => before.then(() => page.keyboard.press(each)), Promise.resolve());

test('one piece from start to a recorded result with the keyboard alone', async ({ page }) => {
  await page.goto('/today');
  await expect(page.getByLabel('Name', { exact: true })).toBeVisible();
  await tabTo(page, 'Name');
  await page.keyboard.type('By keys');
  await key(page, 'Enter');
  await expect(page.getByRole('heading', { name: 'Mix' })).toBeVisible();

  await test.step('puts two cups on the bench', async () => {
    await tabTo(page, 'Amount of the new cup');
    await key(page, 'Control+a');
    await page.keyboard.type('37.5');
    await tabTo(page, 'Put a cup of White on the bench');
    await key(page, 'Enter');
    await expect(page.getByRole('article', { name: 'Cup White' })).toBeVisible();
    await page.evaluate(() => (document.activeElement as HTMLElement).blur());
    await tabTo(page, 'Put a cup of Ochre on the bench', 80);
    await key(page, 'Space');
    await expect(page.getByRole('article', { name: 'Cup Ochre' })).toBeVisible();
    await page.evaluate(() => (document.activeElement as HTMLElement).blur());
  });

  await test.step('weighs in at the stand-in with P and Space, and takes one back', async () => {
    await key(page, 'w');
    for (const cup of ['White', 'Ochre']) {
      await expect(page.getByRole('heading', { name: cup })).toBeVisible();
      const panel = page.getByRole('region', { name: 'Scale' });
      await expect(panel.getByText('0.00 g', { exact: true })).toBeVisible();
      for (let step = 0; step < 12; step += 1) {
        if (await page.getByText('This cup is done.').isVisible()) break;
        await key(page, 'p');
        await expect(panel.getByText(/pouring|moving/)).toBeVisible();
        await expect(panel.getByText(/settled/)).toBeVisible({ timeout: 30_000 });
        const saved = page.waitForResponse((response) => response.url().endsWith('/additions'));
        await key(page, 'PageDown');
        await saved;
        await expect(panel.getByText('0.00 g', { exact: true })).toBeVisible();
        if (step === 0 && cup === 'White') {
          const back = page.waitForResponse((response) => response.request().method() === 'DELETE');
          await key(page, 'Backspace');
          await back;
          await expect(page.getByText(/first, half of its/)).toBeVisible();
        }
      }
      await expect(page.getByText('This cup is done.')).toBeVisible();
      await key(page, 'Space');
    }
    await expect(page.getByText('2 cups, 2 weighed in')).toBeVisible();
  });

  await test.step('pours: lays down with Space, blows with Space', async () => {
    await key(page, 'w');
    await expect(page.getByRole('heading', { name: 'Thickness' })).toBeVisible();
    await key(page, 'g');
    await expect(page.getByRole('heading', { name: 'Plan' })).toBeVisible();
    await key(page, 'g');
    await expect(page.getByText('Lay down White')).toBeVisible();
    await key(page, 'Space');
    await expect(page.getByText('Lay down Ochre')).toBeVisible();
    await key(page, 'Space');
    await expect(page.getByText('pass 1')).toBeVisible();
    await key(page, 'Space');
    await expect(page.getByText('pass 2')).toBeVisible();
    await tabTo(page, 'Direction of the air');
    await key(page, 'ArrowRight', 'ArrowRight');
    await expect(page.getByRole('slider', { name: 'Direction of the air' })).toHaveAttribute(
      'aria-valuenow',
      '10',
    );
    await page.evaluate(() => (document.activeElement as HTMLElement).blur());
    await key(page, 'Enter');
    await expect(page.getByText('pass 3')).toBeVisible();
    await key(page, 'Backspace');
    await expect(page.getByText('pass 2')).toBeVisible();
    await key(page, 'Enter');
    await expect(page.getByText('pass 3')).toBeVisible();
  });

  await test.step('judges', async () => {
    await tabTo(page, 'By keys');
    await key(page, 'Enter');
    await attachPhoto(page);
    await page.evaluate(() => (document.activeElement as HTMLElement).blur());
    await page.getByRole('group', { name: 'cells' }).getByLabel('none').focus();
    await key(page, 'ArrowRight', 'ArrowRight');
    await expect(page.getByRole('group', { name: 'cells' }).getByLabel('some')).toBeChecked();
    await tabTo(page, 'A usual cell is wide');
    await page.keyboard.type('1.8');
    await key(page, 'Enter');
    await expect(page.getByRole('button', { name: 'Kept' })).toBeVisible();
  });

  await test.step('goes along the stations and shows the keys', async () => {
    await page.evaluate(() => (document.activeElement as HTMLElement).blur());
    await key(page, '[');
    await expect(page).toHaveURL(/\/pour\//);
    await key(page, ']');
    await expect(page).toHaveURL(/\/results$/);
    await key(page, '?');
    await expect(page.getByRole('dialog')).toContainText('Next station');
    await key(page, 'Escape');
    await expect(page.getByRole('dialog')).toBeHidden();
  });
});
