import { readFile } from 'node:fs/promises';
import { expect, test } from './support/studio.ts';
import { choose } from './support/steps.ts';

const csv = (text: string, name = 'paints.csv') => ({
  name,
  mimeType: 'text/csv',
  buffer: Buffer.from(text),
});

test('a table is read in: its columns matched, its bad cells set right where they stand, good rows go in', async ({
  page,
}) => {
  await page.goto('/shelf');
  const file = page.getByLabel('Shelf file');
  await file.setInputFiles(csv('\uFEFFName;What;Density\nFern;fluid;1,09\nReed;fluid;1,1x\n'));
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('line 2, kind');
  await expect(dialog).toContainText('Choose the kind of material.');
  await choose(page, 'Column for Kind', 'What');
  await expect(dialog).toContainText('"1,1x" is no number.');
  await dialog.getByRole('button', { name: 'Put 1 on the shelf' }).click();
  await expect(dialog).toContainText('2 rows: 0 new, 1 on the shelf just so, 1 not readable yet.');
  const cell = dialog.getByLabel('Line 3, Density');
  await expect(cell).toHaveValue('1,1x');
  await cell.fill('1,1');
  await cell.press('Tab');
  await dialog.getByRole('button', { name: 'Put 1 on the shelf' }).click();
  await expect(dialog).toBeHidden();
  await expect(page.getByRole('row', { name: /Reed/ })).toContainText('measured 1.100');
  await file.setInputFiles(csv('\uFEFFName;Kind;Density;Price;Pack g;Stock\nFern;fluid;1,09;9,50;100;80\n'));
  await expect(dialog).toContainText('In stock, g: nothing → 80.');
  await page.getByRole('button', { name: 'Change 1' }).click();
  await expect(dialog).toBeHidden();
  await expect(page.getByRole('row', { name: /Fern/ })).toContainText('measured 1.090');
  await expect(page.getByRole('row', { name: /Fern/ })).toContainText('80.0 g');
});

test('10,000 rows are read in, found by search, and saved again', { tag: '@proof' }, async ({ page }) => {
  const rows = Array.from({ length: 10_000 }, (_, index) => `Paint ${index},fluid`).join('\n');
  await page.goto('/shelf');
  await page.getByLabel('Shelf file').setInputFiles(csv(`name,kind\n${rows}\n`));
  await page.getByRole('button', { name: 'Put 10000 on the shelf' }).click();
  await expect(page.getByText('10000 materials are on the shelf.')).toBeVisible({ timeout: 60_000 });
  await page.getByLabel('Search the shelf').fill('Paint 9998');
  await expect(page.getByRole('row', { name: /Paint 9998/ })).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Files' }).click();
  await page.getByText('Save the shelf as CSV').click();
  const saved = await readFile(await (await download).path(), 'utf8');
  expect(saved.split('\r\n').length).toBeGreaterThan(10_000);
});

test('paint colors go out as a palette and come in again', async ({ page }) => {
  await page.goto('/shelf');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Files' }).click();
  await page.getByText('Save the paint colors as a palette').click();
  const palette = await readFile(await (await download).path(), 'utf8');
  expect(palette).toContain('Ochre');
  const file = page.getByLabel('Shelf file');
  await file.setInputFiles({
    name: 'a.gpl',
    mimeType: 'text/plain',
    buffer: Buffer.from('GIMP Palette\n12 34 56 Night\n'),
  });
  await expect(page.getByRole('row', { name: /Night/ })).toBeVisible();
  await file.setInputFiles({
    name: 'b.gpl',
    mimeType: 'text/plain',
    buffer: Buffer.from('GIMP Palette\n999 0 0 x\n'),
  });
  await expect(page.getByRole('status')).toContainText('"b.gpl", line 2');
});

test('several are changed at once, columns chosen, and what was taken off put back', async ({ page }) => {
  await page.goto('/shelf');
  for (const name of ['Ochre', 'Copper']) {
    await page
      .getByRole('row', { name: new RegExp(name) })
      .getByRole('checkbox')
      .check();
  }
  await page.getByRole('button', { name: 'Columns' }).click();
  await page.getByLabel('Opacity', { exact: true }).check();
  // Once it is chosen, the list goes with the ticks.
  await page
    .locator('.ant-select')
    .filter({ has: page.getByLabel('Opacity of the chosen ones') })
    .click();
  await page.locator('.ant-select-item-option', { hasText: 'semi-transparent' }).click();
  await expect(page.getByText('2 materials are changed.')).toBeVisible();
  await expect(page.getByRole('row', { name: /Ochre/ })).toContainText('semi-transparent');
  await page.getByRole('button', { name: 'Take Ochre off the shelf' }).click();
  await page.getByRole('button', { name: 'Taken off' }).click();
  await page.getByRole('row', { name: /Ochre/ }).getByRole('button', { name: 'Put back' }).click();
  await page.getByRole('button', { name: 'Back to the shelf' }).click();
  await expect(page.getByRole('row', { name: /Ochre/ })).toBeVisible();
});

test('a color is matched from the shelf, without a paint that is gone', async ({ page }) => {
  await page.goto('/shelf');
  await page.getByText('Match a color').click();
  await page.getByLabel('The color you want, as a number').fill('#1d3f86');
  const answers = page.getByRole('list', { name: 'Mixes that come near' });
  await expect(answers.getByRole('listitem').first()).toContainText('Deep blue');
  await choose(page, 'Not with (a paint that is no longer sold, say)', 'Deep blue');
  await expect(answers).not.toContainText('Deep blue');
  await page.getByLabel('The color you want, as a number').fill('#12');
  await expect(page.getByRole('alert')).toContainText('Write a color like');
});

test('a density is measured with a filled cup', async ({ page }) => {
  await page.goto('/shelf');
  await page.getByRole('button', { name: 'Change Ochre' }).click();
  await page.getByRole('button', { name: 'Measure the density with a cup' }).click();
  await page.getByLabel('Empty it weighs').fill('2,4');
  await page.getByLabel('Full of paint it weighs').fill('42.9');
  await expect(page.getByText('1.350 g/ml')).toBeVisible();
  await page.getByRole('button', { name: 'Take it' }).click();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('row', { name: /Ochre/ })).toContainText('measured 1.350');
});
