import { expect, type Page } from '@playwright/test';
import { sidewaysPhoto } from './photo.ts';

export const COLORS = ['Deep blue', 'Sea green', 'Copper', 'Warm red'] as const;

/** Picks an option of a drop-down list. */
export async function choose(page: Page, label: string, option: string): Promise<void> {
  const select = page.locator('.ant-select').filter({ has: page.getByLabel(label, { exact: true }) });
  const offered = page.locator('.ant-select-item-option').filter({ hasText: option });
  // A list that is still opening may lose the click.
  await expect(async () => {
    if (!(await offered.isVisible())) await select.click({ timeout: 2000 });
    await offered.click({ timeout: 2000 });
    await expect(select).toContainText(option, { timeout: 2000 });
  }).toPass({ timeout: 30_000 });
}

/** Opens Today with the form of a new piece on it: it stands there by itself only where nothing is on the table. */
export async function openStart(page: Page): Promise<void> {
  await page.goto('/today');
  const form = page.getByLabel('Name', { exact: true });
  const button = page.getByRole('button', { name: 'Start a piece' });
  await expect(form.or(button)).toBeVisible();
  if (!(await form.isVisible())) await button.click();
  await expect(form).toBeVisible();
}

/** Starts a piece on a support that is typed in. */
export async function startPiece(page: Page, name: string): Promise<void> {
  await openStart(page);
  await page.getByLabel('Name', { exact: true }).fill(name);
  await choose(page, 'Support', 'Enter another support …');
  await page.getByLabel('Name of the support').fill('Board 40 x 30');
  await page.getByLabel('Width').fill('40');
  await page.getByLabel('Height').fill('30,5');
  await page.getByLabel('Side depth').fill('1.8');
  await page.getByRole('button', { name: 'Start and mix' }).click();
  await expect(page.getByRole('heading', { name: 'Mix' })).toBeVisible();
}

/** Puts a base and four colors of the measured Dutch recipe on the bench. */
export async function planCups(page: Page): Promise<void> {
  await page.getByLabel('Amount of the new cup').fill('112.5');
  await page.getByRole('button', { name: 'Put a cup of White on the bench' }).click();
  await expect(page.getByRole('article', { name: 'Cup White' })).toBeVisible();
  await page.getByLabel('Amount of the new cup').fill('56,25');
  for (const color of COLORS) {
    await page.getByRole('button', { name: `Put a cup of ${color} on the bench` }).click();
    await expect(page.getByRole('article', { name: `Cup ${color}` })).toBeVisible();
  }
}

/** Types the planned grams of every ingredient of a cup in the table. */
export async function typeWeights(
  page: Page,
  cup: string,
  grams: Readonly<Record<string, string>>,
): Promise<void> {
  for (const [ingredient, value] of Object.entries(grams)) {
    const field = page.getByLabel(`${cup}, ${ingredient}: scale showed`);
    const saved = page.waitForResponse((response) => response.url().includes('/actual') && response.ok());
    await field.fill(value);
    await field.press('Enter');
    await saved;
  }
}

export async function weighInByTable(page: Page, cups: readonly string[]): Promise<void> {
  await page.getByText('Table', { exact: true }).click();
  for (const cup of cups) {
    const water = cup === 'Copper' ? '14.05' : '11.2';
    const medium = cup === 'Copper' ? '28.1' : '30.1';
    const paint = cup === 'Copper' ? '14,1' : '15';
    const share = cup === 'White' ? { medium: '60', paint: '30', water: '22.5' } : { medium, paint, water };
    await typeWeights(page, cup, {
      'Flow conditioner': share.medium,
      [cup]: share.paint,
      Water: share.water,
    });
  }
  await page.getByText('Cups', { exact: true }).click();
}

export async function layDownAll(page: Page): Promise<void> {
  await page.getByText('Lay down', { exact: true }).click();
  for (const cup of ['White', ...COLORS]) {
    await expect(page.getByText(`Lay down ${cup}`)).toBeVisible();
    await page.getByRole('button', { name: 'Laid down' }).click();
    await expect(page.getByRole('region', { name: 'The pour so far' })).toContainText(cup);
  }
}

export async function attachPhoto(page: Page): Promise<void> {
  await page
    .getByLabel('Photo files')
    .setInputFiles({ name: 'phone.jpg', mimeType: 'image/jpeg', buffer: await sidewaysPhoto() });
  await expect(page.getByRole('img', { name: /, wet$/ })).toBeVisible();
}

export async function judge(page: Page): Promise<void> {
  const rate = (what: string, word: string) =>
    page.getByRole('group', { name: what }).getByLabel(word, { exact: true }).check({ force: true });
  await rate('cells', 'plenty');
  await rate('lacing', 'some');
  await rate('petals', 'all over');
  await rate('mud', 'none');
  await page.getByLabel('A usual cell is wide').fill('2,4');
  await page.getByLabel('What to try next').fill('A touch more air from the left.');
  await page.getByRole('button', { name: 'Keep the judgement' }).click();
  await expect(page.getByRole('button', { name: 'Kept' })).toBeVisible();
}
