import type { Page } from '@playwright/test';
import { expect, freePort, Studio, test as base } from './support/studio.ts';

const PASSPHRASE = 'a studio of my own';

/** A studio with a passphrase: on its own machine, too, it asks who one is, so that a second browser stands for a phone. */
const test = base.extend({
  // eslint-disable-next-line no-empty-pattern
  studio: async ({}, use) => {
    const studio = new Studio(await freePort(), { ICY_RIBBON_PASSPHRASE: PASSPHRASE });
    await studio.start();
    await use(studio);
    await studio.close();
  },
  context: async ({ browser, studio }, use) => {
    const httpCredentials = { username: 'me', password: PASSPHRASE };
    const context = await browser.newContext({ baseURL: studio.address, httpCredentials });
    await use(context);
    await context.close();
  },
});

test('a phone joins by a code, sees what is done on the computer and the other way round, and is signed out', async ({
  page,
  browser,
  studio,
}) => {
  test.slow();
  const phone = await browser.newContext({
    baseURL: studio.address,
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    isMobile: true,
  });
  const hand: Page = await phone.newPage();

  await test.step('the code is shown, and lets the phone in once', async () => {
    await page.goto('/devices');
    await expect(page.getByText('Nothing but this machine can reach the studio now.')).toBeVisible();
    await page.getByRole('button', { name: 'Let other devices in' }).click();
    await page.getByRole('button', { name: 'Show a code' }).click();
    const code = (await page.locator('.code').textContent())!;
    await hand.goto('/join');
    await hand.getByLabel(/^Code/).fill('WRONG111');
    await hand.getByLabel(/called/).fill('Table phone');
    await hand.getByRole('button', { name: 'Sign this device in' }).tap();
    await expect(hand.getByRole('alert')).toContainText('Ask for a new one');
    await hand.getByLabel(/^Code/).fill(code);
    await hand.getByRole('button', { name: 'Sign this device in' }).tap();
    await expect(hand).toHaveURL(/\/today$/);
    await expect(page.getByRole('listitem').filter({ hasText: 'Table phone' })).toBeVisible();
  });

  await test.step('what is weighed on the phone stands on the computer, which says where it is weighed', async () => {
    await page.goto('/today');
    await page.getByLabel('Name', { exact: true }).fill('Two hands');
    await page.getByRole('button', { name: 'Start and mix' }).click();
    await page.getByRole('button', { name: 'Put a cup of White on the bench' }).click();
    await expect(page.getByRole('article', { name: 'Cup White' })).toBeVisible();
    const pieceId = page.url().split('/').at(-1)!;
    await hand.goto(`/mix/${pieceId}`);
    await hand.getByRole('button', { name: /^Weigh in White/ }).tap();
    await expect(page.getByText('"White" is being weighed on "Table phone".')).toBeVisible();
    await hand.getByLabel('What your scale shows').fill('7.3');
    await hand.getByLabel('What your scale shows').press('Enter');
    const began = Date.now();
    await expect(page.getByRole('article', { name: 'Cup White' })).toContainText(/7\.3/);
    test.info().annotations.push({ type: 'seen after', description: `${Date.now() - began} ms` });
    await hand.goto('/today');
    await expect(page.getByText('is being weighed on')).toBeHidden();
  });

  await test.step('signed out, the phone is told so and gets nothing more', async () => {
    await page.goto('/devices');
    await page.getByRole('button', { name: 'Sign out' }).click();
    await page.getByRole('tooltip').getByRole('button', { name: 'Sign out' }).click();
    await expect(page.getByText('No other device is signed in.')).toBeVisible();
    await hand.getByRole('link', { name: 'Results', exact: true }).first().tap();
    await expect(hand.getByText(/This device has been signed out\. What you enter/)).toBeVisible();
    await hand.getByRole('link', { name: 'Join again' }).tap();
    await expect(hand.getByLabel(/^Code/)).toBeVisible();
  });
  await phone.close();
});
