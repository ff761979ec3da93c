import type { Page } from '@playwright/test';
import { openStart } from './support/steps.ts';
import { expect, test, watchErrors } from './support/studio.ts';
import { pieceNamed } from './support/pieces.ts';
import { VIEWS } from './support/views.ts';

test.use({ demo: true });

/** What stands on a page to be read, or is read out: texts, labels, hints. */
const readOn = (page: Page) =>
  page.evaluate(() => {
    const found: string[] = [];
    const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    while (texts.nextNode()) {
      if (!/^(STYLE|SCRIPT)$/.test(texts.currentNode.parentElement?.tagName ?? '')) {
        found.push(texts.currentNode.textContent?.trim() ?? '');
      }
    }
    for (const each of document.querySelectorAll('[aria-label], [title], [placeholder]')) {
      found.push(...['aria-label', 'title', 'placeholder'].map((name) => each.getAttribute(name) ?? ''));
    }
    return found;
  });
const METRIC =
  /\d\s?(g|mg|kg|ml|mm|cm)\b|^(g|ml|mm|cm)$|\bg\/|\/(ml|cm²|dm²)|°C|(milli|centi|deci)meter|\bgrams?\b/;
/** The names of standard cups. */
const NAMES = /^ISO 2431, \d\smm$/;

test('in ounces, fluid ounces and inches no station says a gram, a milliliter or a millimeter', async ({
  page,
  studio,
}) => {
  const chosen = { mass: 'oz', volume: 'fl oz', length: 'in', temperature: 'F' };
  await page.addInitScript(
    (units) => localStorage.setItem('icy-ribbon.units', units),
    JSON.stringify(chosen),
  );
  // The laws are written in the units of their sources.
  for (const [name, addressOf] of Object.entries(VIEWS).filter(([view]) => view !== 'computation')) {
    await page.goto(await addressOf(studio));
    await page.locator('main').waitFor();
    await page.waitForLoadState('networkidle');
    const metric = (await readOn(page)).filter((text) => METRIC.test(text) && !NAMES.test(text));
    expect(metric, name).toEqual([]);
  }
});

test('units switch everywhere at once and typed values follow', async ({ page, studio }) => {
  await page.goto(`/mix/${await pieceNamed(studio, 'Ember seam')}`);
  const amount = page.getByLabel('Amount of Rain');
  await expect(amount).toHaveValue('11');
  await page.getByRole('button', { name: 'Units' }).click();
  const switches = page.locator('.ant-popover');
  for (const unit of ['oz', 'in', '°F']) await switches.getByText(unit, { exact: true }).click();
  await expect(amount).toHaveValue('0.388');
  await expect(page.getByText(/Dutch pour, 11\.8 × 15\.7\sin/)).toBeVisible();
  await expect(page.getByRole('complementary', { name: 'Tray' })).toContainText('oz left');
  await page.getByLabel('Amount of Rain').fill('1');
  await page.getByLabel('Amount of Rain').press('Enter');
  await expect(page.getByRole('img', { name: /^Rain:/ })).toHaveAccessibleName(/Flow conditioner 0\.53\soz/);
  await page.goto(`/pour/${await pieceNamed(studio, 'Lichen drift')}`);
  await expect(page.getByRole('button', { name: /^Room \d+\s°F/ })).toBeVisible();
});

test('an edit that met a newer one shows both, and the artist decides', async ({ page, context, studio }) => {
  const fan = await pieceNamed(studio, 'Slate fan');
  await page.goto(`/results/${fan}`);
  const other = await context.newPage();
  const errors: string[] = [];
  watchErrors(other, errors);
  await other.goto(`${studio.address}/results/${fan}`);
  const note = (tab: typeof page) => tab.getByLabel('What to try next');
  await note(page).fill('Mine');
  await note(other).fill('Theirs');
  await other.getByRole('button', { name: 'Keep the judgement' }).click();
  await expect(other.getByRole('button', { name: 'Kept' })).toBeVisible();
  // This tab has heard of it by now, and keeps what was typed.
  await expect(note(page)).toHaveValue('Mine');
  await page.getByRole('button', { name: 'Keep the judgement' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('Theirs');
  await expect(dialog).toContainText('Mine');
  await dialog.getByRole('button', { name: 'Keep mine' }).click();
  await expect(page.getByRole('button', { name: 'Kept' })).toBeVisible();
  await page.reload();
  await expect(note(page)).toHaveValue('Mine');
  expect(errors).toEqual([]);
});

test('bad input is answered at its field and nothing typed is lost', async ({ page }) => {
  await openStart(page);
  await expect(page.locator('.ant-select-selection-item').first()).toBeVisible();
  await page.getByRole('button', { name: 'Start and mix' }).click();
  await expect(page.getByRole('alert')).toHaveText('Give it a name.');
  await page.goto('/shelf');
  await page.getByRole('button', { name: 'Enter a material' }).click();
  await page.getByLabel('Density, if you measured it').fill('12o');
  await expect(page.getByRole('alert')).toContainText('Write a number');
  await page.getByLabel('Density, if you measured it').fill('12');
  await page.getByLabel('Thickness, if you measured it').fill('40');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText(/Enter a density from 0\.1 to 5/)).toBeVisible();
  await expect(page.getByLabel('Thickness, if you measured it')).toHaveValue('40');
  await page.getByLabel('Name', { exact: true }).fill('Fern');
  await page.getByLabel('Density, if you measured it').fill('1,12');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('row', { name: /Fern/ })).toContainText('measured 1.120');
});

test('what is taken off the shelf comes back with undo', async ({ page }) => {
  await page.goto('/shelf');
  await page.getByRole('button', { name: 'Take Brass off the shelf' }).click();
  await expect(page.getByRole('button', { name: 'Change Brass' })).toBeHidden();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: 'Change Brass' })).toBeVisible();
});

test('says where a number comes from', async ({ page, studio }) => {
  await page.goto(`/mix/${await pieceNamed(studio, 'Ember seam')}`);
  await page
    .getByRole('button', { name: /Where this number comes from/ })
    .first()
    .click();
  await expect(page.getByText('Arrhenius 1887', { exact: false })).toBeVisible();
  await page.goto('/computation');
  await page.getByRole('link', { name: 'licenses' }).click();
  await expect(page.getByText(/vue-router .* \(MIT\)/)).toBeVisible();
});

test('a page that was open while the program was renewed says so, and is loaded anew when one wants', async ({
  page,
}) => {
  const told = { kind: 'pages', script: '/assets/first-renewed.js' };
  await page.route(/\/api\/live\?/, (route) =>
    route.fulfill({ contentType: 'text/event-stream', body: `data: ${JSON.stringify(told)}\n\n` }),
  );
  await page.goto('/shelf');
  const note = page.getByRole('status').filter({ hasText: 'was updated while this page was open' });
  await expect(note).toBeVisible();
  await page.unroute(/\/api\/live\?/);
  await note.getByRole('button', { name: 'Reload' }).click();
  await expect(page.getByRole('row').nth(1)).toBeVisible();
  await expect(note).toBeHidden();
});
