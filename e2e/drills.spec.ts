import type { Page } from '@playwright/test';
import { expect, test } from './support/studio.ts';
import { planCups, startPiece, weighInByTable } from './support/steps.ts';

const result = (page: Page) => page.getByRole('region', { name: 'How it went' });
const points = async (page: Page): Promise<number> => {
  await expect(result(page)).toBeVisible({ timeout: 120_000 });
  return Number(/^(\d+) points/.exec(await result(page).innerText())?.[1]);
};
/** Keeps keys down for a while. */
async function hold(page: Page, ms: number, ...keys: string[]): Promise<void> {
  for (const key of keys) await page.keyboard.down(key);
  await page.waitForTimeout(ms);
  for (const key of keys) await page.keyboard.up(key);
}

test('mounds are named, kept, due again, and correct what is read in words', async ({ page }) => {
  await page.goto('/practice');
  await expect(page.getByRole('listitem').filter({ hasText: 'Name the mound' })).toContainText(
    'not played yet',
  );
  await page.getByRole('link', { name: 'Name the mound' }).click();
  for (let at = 1; at <= 8; at += 1) {
    await expect(page.getByText(`${at} of 8`)).toBeVisible();
    await page.keyboard.press(String((at % 6) + 1));
  }
  const score = await points(page);
  expect(score).toBeGreaterThanOrEqual(0);
  await expect(result(page)).toContainText('Your readings in words are corrected by it.');
  await expect(page.getByText(`Points, the oldest first; 60 passes, 80 sits: ${score}`)).toBeVisible();
  await page.getByRole('link', { name: 'Other drills' }).click();
  const row = page.getByRole('listitem').filter({ hasText: 'Name the mound' });
  await expect(row).toContainText(`last ${score}, best ${score}`);
  await expect(row).toContainText('due tomorrow');

  // A stage that is named of a real cup carries the practiced eye.
  await startPiece(page, 'Named');
  await planCups(page);
  await weighInByTable(page, ['White']);
  await page.getByRole('link', { name: 'Thickness', exact: true }).click();
  await page.getByRole('link', { name: 'White' }).first().click();
  await page.getByRole('list', { name: 'How a stickful runs back' }).getByText('trace').first().click();
  await expect(page.getByText('looks like trace, corrected by your practiced eye')).toBeVisible();
});

test('a cup is thinned by keys, and held against the advice; undone it is not kept', async ({ page }) => {
  await page.goto('/practice/drill/thinning');
  await expect(page.getByText('Nothing stirred in yet.')).toBeVisible();
  await page.keyboard.press('r');
  await expect(page.getByText('Raced before any water')).toBeVisible();
  const water = page.getByLabel('Water to stir in');
  await water.fill('0');
  await water.press('Enter');
  await expect(page.getByText('Give the water, above 0.')).toBeVisible();
  await water.fill('16,5');
  await water.press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'lumps' })).toBeVisible();
  await page.getByRole('button', { name: 'It is there' }).click();
  await points(page);
  await expect(result(page)).toContainText("the advice's own play ended at");
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Points, the oldest first')).toBeHidden();
});

test('puddles are judged by keys and poured evenly by holding Space', async ({ page }) => {
  await page.goto('/practice/drill/puddle');
  for (let at = 1; at <= 5; at += 1) {
    await expect(page.getByText(`${at} of 5`)).toBeVisible();
    await page.getByLabel('It weighs').fill('8');
    await page.keyboard.press('Enter');
  }
  expect(await points(page)).toBeGreaterThanOrEqual(0);
  await page.goto('/practice/drill/even');
  for (let at = 1; at <= 6; at += 1) {
    await expect(page.getByText(`${at} of 6`)).toBeVisible();
    await hold(page, 1500, ' ');
  }
  expect(await points(page)).toBeGreaterThanOrEqual(0);
  await expect(result(page)).toContainText('among each other');
});

test('a breath is blown by keys and by pointer', async ({ page }) => {
  await page.goto('/practice/drill/breath');
  const place = page.getByRole('application', { name: /To the right is farther off/ });
  await expect(place).toBeVisible();
  await page.keyboard.press(' ');
  await hold(page, 2000, 'ArrowRight', 'ArrowUp');
  await expect(page.getByText(/m\/s on the paint/)).toBeVisible();
  await points(page);
  await page.getByRole('button', { name: 'Again' }).click();
  const pad = (await place.boundingBox())!;
  await page.mouse.move(pad.x + 30, pad.y + pad.height - 30);
  await page.mouse.down();
  for (let step = 0; step <= 40; step += 1) {
    const share = Math.max(0, step - 7) / 33;
    await page.mouse.move(
      pad.x + 30 + share * (pad.width - 60),
      pad.y + pad.height - 30 - share * (pad.height - 60),
    );
    await page.waitForTimeout(220);
  }
  await page.mouse.up();
  expect(await points(page)).toBeGreaterThanOrEqual(0);
  await expect(page.getByText(/80 sits: \d+, \d+/)).toBeVisible();
});

for (const [drill, label] of [
  ['crescent', 'Edge crescent'],
  ['fan', 'Blow out a fan'],
  ['bloom', 'Blow out a bloom'],
  ['six', 'Six even flowers'],
] as const) {
  // One of them in the short ring.
  const tag = drill === 'bloom' ? [] : '@proof';
  test(`"${label}" is blown by keys to its picture`, { tag }, async ({ page }) => {
    await page.goto('/practice');
    await page.getByRole('link', { name: label }).click();
    await expect(page.getByText('Like this')).toBeVisible({ timeout: 120_000 });
    await expect(page.getByText('0 breaths blown.')).toBeVisible();
    await page.getByRole('application', { name: /^The support/ }).focus();
    for (const turn of ['q', 'e']) {
      await hold(page, 900, ' ');
      await page.keyboard.press(turn);
    }
    await expect(page.getByText(/[12] breaths? blown|One breath blown/)).toBeVisible();
    await page.keyboard.press('Enter');
    expect(await points(page)).toBeGreaterThanOrEqual(0);
    await expect(result(page)).toContainText(
      drill === 'six' ? 'The six flowers vary by' : 'of the way from what was laid',
    );
  });
}

test('the spin is stopped by keys, and told when it was best', async ({ page }) => {
  await page.goto('/practice/drill/spin');
  await expect(page.getByText('It lies. Tell it to turn.')).toBeVisible({ timeout: 120_000 });
  await page.keyboard.press(' ');
  await expect(page.getByText(/It turns: [1-9]/)).toBeVisible({ timeout: 60_000 });
  await page.keyboard.press(' ');
  await points(page);
  await expect(result(page)).toContainText('turns a minute the flower is as wide as it gets from');
});

test('enough is said while it is blown, and told when it was best', async ({ page }) => {
  await page.goto('/practice/drill/enough');
  await expect(page.getByText('It lies. Tell it to begin.')).toBeVisible({ timeout: 120_000 });
  await page.keyboard.press(' ');
  await expect(page.getByText(/Breath [3-9] of 21/)).toBeVisible({ timeout: 60_000 });
  await page.getByRole('button', { name: 'Enough' }).click();
  await points(page);
  await expect(result(page)).toContainText('You stopped at breath');
});
