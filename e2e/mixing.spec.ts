import type { Page } from '@playwright/test';
import { expect, test } from './support/studio.ts';
import { choose, openStart } from './support/steps.ts';

test.use({ standIns: true });

async function start(page: Page, name: string, technique: 'Dutch pour' | 'Bloom'): Promise<void> {
  await openStart(page);
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByText(technique, { exact: true }).click();
  await page.getByRole('button', { name: 'Start and mix' }).click();
  await expect(page.getByRole('heading', { name: 'Mix' })).toBeVisible();
}

async function addCup(page: Page, paint: string, grams: string): Promise<void> {
  await page.getByLabel('Amount of the new cup').fill(grams);
  await page.getByRole('button', { name: `Put a cup of ${paint} on the bench` }).click();
  await expect(page.getByRole('article', { name: `Cup ${paint}` })).toBeVisible();
}

/** Takes one weight: types it, or lets the stand-in pour to the target. */
async function weigh(page: Page, typed?: string): Promise<void> {
  const panel = page.getByRole('region', { name: 'Scale' });
  const saved = page.waitForResponse((response) => response.url().endsWith('/scale/tare'));
  if (typed) {
    await page.getByLabel('Or type what your scale shows').fill(typed);
    await page.keyboard.press('Enter');
  } else {
    await expect(panel.getByText('0.00 g', { exact: true })).toBeVisible();
    // What is typed in the field is no key of the screen.
    await page.evaluate(() => (document.activeElement as HTMLElement).blur());
    await page.keyboard.press('p');
    await expect(panel.getByText(/pouring|moving/)).toBeVisible();
    await expect(panel.getByText(/settled/)).toBeVisible({ timeout: 30_000 });
    await page.getByRole('button', { name: 'Done, next' }).click();
  }
  await saved;
}

test('a Dutch cup is over-poured and brought up to its recipe', async ({ page }) => {
  await start(page, 'Too much', 'Dutch pour');
  await addCup(page, 'White', '56.25');
  await page.getByRole('link', { name: 'Weigh in', exact: true }).click();
  await weigh(page, '15');
  await weigh(page, '18');
  const repair = page.getByRole('alertdialog', { name: 'Over-poured' });
  await expect(repair).toContainText('3.00 g too much White');
  await expect(repair).toContainText('Then the cup comes out as');
  await repair.getByRole('button', { name: 'Bring everything up' }).click();
  await expect(repair).toBeHidden();
  await expect(page.getByText(/Pour the other half of the flow conditioner, (19|20)\.\d+\sg/)).toBeVisible();
  await weigh(page, '20');
  for (let step = 0; step < 4 && !(await page.getByText('This cup is done.').isVisible()); step += 1) {
    await weigh(page);
    await page.waitForTimeout(300);
  }
  await expect(page.getByText(/Mixed: fading/)).toBeVisible();
});

test('a bloom set is mixed at the stand-in, interrupted, and gone on with after a restart', async ({
  page,
  studio,
}) => {
  await start(page, 'Bloom set', 'Bloom');
  await addCup(page, 'Wall white', '60');
  await addCup(page, 'Fluid teal', '60');
  await addCup(page, 'Fluid magenta', '60');
  await expect(page.getByText(/Shared: 80\.0\sg bloom medium for Fluid teal, Fluid magenta/)).toBeVisible();
  await page.getByText('Activator', { exact: true }).click();
  await page.getByRole('button', { name: 'Dose' }).click();
  await page.getByRole('button', { name: 'Mix that much' }).click();
  await page.getByRole('button', { name: 'Put a cup of White on the bench' }).click();
  await expect(page.getByRole('article', { name: 'Cup White' })).toContainText('Activator');
  const teal = page.getByRole('article', { name: 'Cup Fluid teal' });
  await expect(teal).toContainText('1.5 : 0.5 : 1');
  await teal.getByRole('link', { name: 'Weigh in', exact: true }).click();
  await weigh(page);
  await weigh(page);
  await studio.killAndRestart();
  await page.reload();
  await expect(page.getByText(/Pour the other half of the untinted deep base, 1[45]\.\d+\sg/)).toBeVisible();
  await weigh(page);
  await weigh(page);
  await expect(page.getByText('This cup is done.')).toBeVisible();
  await expect(page.getByText(/Mixed: standing/)).toBeVisible();
});

test('a whole set is put on the bench at once, and its medium is made first and poured as one', async ({
  page,
}) => {
  await start(page, 'Set', 'Bloom');
  await page.getByRole('button', { name: 'Whole set' }).click();
  const title = page.getByText('A whole set', { exact: true });
  await choose(page, 'Paints for Pillow', 'Wall white');
  await title.click();
  const colors = page.getByLabel('Paints for Color', { exact: true });
  await page.locator('.ant-select').filter({ has: colors }).click();
  for (const paint of ['Fluid teal', 'Fluid gold']) {
    await page.keyboard.type(paint);
    await page.keyboard.press('Enter');
  }
  await title.click();
  await page.getByLabel('Amount of each Color cup').fill('60');
  await page.getByRole('button', { name: 'Put 3 cups on the bench' }).click();
  await expect(page.getByRole('article')).toHaveCount(3);
  await page.getByRole('button', { name: 'Make it first, as one cup' }).click();
  const medium = page.getByRole('article', { name: 'Cup Bloom medium' });
  await expect(medium).toContainText('Medium');
  await medium.getByRole('link', { name: 'Weigh in', exact: true }).click();
  for (const grams of ['30.9', '30.9', '20.6']) await weigh(page, grams);
  await expect(page.getByText('This cup is done.')).toBeVisible();
  await page.getByRole('link', { name: 'Back to the cups' }).click();
  await expect(medium).toContainText('82.4 g');
  const teal = page.getByRole('article', { name: 'Cup Fluid teal' });
  await teal.getByRole('link', { name: 'Weigh in', exact: true }).click();
  await expect(page.getByText(/Pour 20\.0\sg bloom medium first, half of its 40\.0\sg/)).toBeVisible();
  await weigh(page, '20');
  await page.getByRole('button', { name: 'Take back' }).click();
  await expect(page.getByText(/Pour 20\.0\sg bloom medium first, half of its 40\.0\sg/)).toBeVisible();
  for (const grams of ['20', '20', '20']) await weigh(page, grams);
  await expect(page.getByText('This cup is done.')).toBeVisible();
  await expect(page.getByRole('complementary', { name: 'Tray' })).toContainText('42.4 g left');
  await page.getByRole('link', { name: 'Back to the cups' }).click();
  await expect(teal).toContainText('1.5 : 0.5 : 1');
});

test('a cup is thinned step by step until it is right', async ({ page }) => {
  await start(page, 'Thinning', 'Dutch pour');
  await choose(page, 'Recipe', 'Conditioner, water to thin');
  await addCup(page, 'White', '45');
  await page.getByRole('link', { name: 'Weigh in', exact: true }).click();
  for (const grams of ['15', '15', '15']) await weigh(page, grams);
  await expect(page.getByText(/Look at the mound. Wanted: fading/)).toBeVisible();
  await weigh(page);
  await page
    .getByText(/Look at the mound|This cup is done|read it at Thickness/)
    .first()
    .waitFor();
  if (!(await page.getByText('This cup is done.').isVisible())) {
    await page.getByRole('button', { name: 'It is right' }).click();
  }
  await expect(page.getByText('This cup is done.')).toBeVisible();
});

test('the stand-in can be bumped and can drop out; typing goes on', async ({ page }) => {
  await start(page, 'Bumps', 'Dutch pour');
  await addCup(page, 'White', '56.25');
  await page.getByRole('link', { name: 'Weigh in', exact: true }).click();
  const panel = page.getByRole('region', { name: 'Scale' });
  await expect(panel.getByText('0.00 g', { exact: true })).toBeVisible();
  await panel.getByRole('button', { name: 'Stand-in' }).click();
  await page.getByRole('button', { name: 'Drop out' }).click();
  await expect(panel.getByText('no reading')).toBeVisible();
  await weigh(page, '15');
  await expect(page.getByText('Add 15.0 g White')).toBeVisible();
  await expect(panel.getByText('no reading')).toBeHidden({ timeout: 15_000 });
});

test('a step left for later leaves one state everywhere, and can be left out', async ({ page }) => {
  await start(page, 'Later', 'Dutch pour');
  await choose(page, 'Recipe', 'Conditioner, measured water');
  await addCup(page, 'White', '30');
  await page.getByRole('link', { name: 'Weigh in', exact: true }).click();
  for (const grams of ['8', '8.2', '8']) await weigh(page, grams);
  await page.getByRole('button', { name: 'Later' }).click();
  await expect(page.getByText('This cup is unfinished: 6.00 g Water to come.')).toBeVisible();
  const tray = page.getByRole('complementary', { name: 'Tray' });
  await expect(tray).toContainText('unfinished, 6.0 g to come');
  await page.getByRole('link', { name: 'Back to the cups' }).click();
  const cup = page.getByRole('article', { name: 'Cup White' });
  await expect(cup).toContainText('unfinished, 6.0 g to come');
  await page.goto('/cups');
  await expect(page.getByRole('row', { name: /White/ })).toContainText('unfinished');
  await page.goBack();
  await cup.getByRole('link', { name: 'Go on', exact: true }).click();
  await page.getByRole('button', { name: 'Later' }).click();
  await page.getByRole('button', { name: 'Leave it out' }).click();
  await expect(page.getByText('This cup is done.')).toBeVisible();
  await expect(tray).not.toContainText('unfinished');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(tray).toContainText('unfinished, 6.0 g to come');
  await page.getByRole('button', { name: 'Leave it out' }).click();
  await page.getByRole('link', { name: 'Back to the cups' }).click();
  await expect(cup).toContainText('0 % water');
  await expect(cup).toContainText('mixed');
});

test('a recipe is copied, changed and used', async ({ page }) => {
  await start(page, 'Own recipe', 'Dutch pour');
  await page.getByRole('button', { name: 'Recipes' }).click();
  await page.getByRole('button', { name: 'Copy Conditioner, measured water' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Half the water');
  await page.keyboard.press('Escape');
  await expect(page.getByText('What you typed is not kept yet.')).toBeVisible();
  await page.getByRole('button', { name: 'Go on' }).click();
  await page.getByLabel('Amount 3').fill('0');
  await page.getByLabel('Amount 1').fill('0');
  await page.getByLabel('Amount 2').fill('0');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('The parts of a recipe cannot all be 0.').first()).toBeVisible();
  await page.getByLabel('Amount 1').fill('2');
  await page.getByLabel('Amount 2').fill('1');
  await page.getByLabel('Amount 3').fill('0,375');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('your own')).toBeVisible();
  await page.getByRole('button', { name: 'Close', exact: true }).first().click();
  await choose(page, 'Recipe', 'Half the water');
  await addCup(page, 'White', '54');
  await expect(page.getByRole('article', { name: 'Cup White' })).toContainText('2 : 1 : 0.38');
});

test('a lidded cup is weighed again, topped up, and thrown away', async ({ page }) => {
  await start(page, 'Old cup', 'Dutch pour');
  await addCup(page, 'White', '56.25');
  await page.getByRole('link', { name: 'Weigh in', exact: true }).click();
  for (const grams of ['15', '15', '15', '11.25']) await weigh(page, grams);
  await expect(page.getByText('This cup is done.')).toBeVisible();
  await page.goto('/cups');
  await page.getByRole('button', { name: 'Weigh White again' }).click();
  await page.getByLabel('Paint in the cup now, without the cup').fill('54');
  await expect(page.getByText('2.25 g of water dried away')).toBeVisible();
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByRole('row', { name: /White/ })).toContainText('54.0 g');
  await page.getByRole('button', { name: 'Throw White away' }).click();
  await page.getByRole('button', { name: 'Throw it away' }).click();
  await expect(page.getByText('No cup holds paint.')).toBeVisible();
});
