import { readFile } from 'node:fs/promises';
import { expect, test } from './support/studio.ts';
import {
  attachPhoto,
  choose,
  COLORS,
  judge,
  layDownAll,
  planCups,
  startPiece,
  weighInByTable,
} from './support/steps.ts';

// With motion, as most see it.
test.use({ standIns: true, contextOptions: { reducedMotion: 'no-preference' } });

test(
  'one piece from a new support to a recorded result, out and in again, by pointer',
  { tag: '@proof' },
  async ({ page }) => {
    await startPiece(page, 'Low tide');
    await planCups(page);

    await test.step('reads the grams of every ingredient', async () => {
      const cup = page.getByRole('img', { name: /^Deep blue:/ });
      await expect(cup).toHaveAccessibleName(
        'Deep blue: Flow conditioner 30.0 g to come, Deep blue 15.0 g to come, Water 11.3 g to come',
      );
      await expect(page.getByRole('img', { name: /^Copper:/ })).toHaveAccessibleName(
        /Copper 14\.1\sg to come, Water 14\.1\sg/,
      );
      await expect(page.getByRole('img', { name: /^Ribbon/ })).toHaveAccessibleName(
        /Deep blue: 0\.76 pascal seconds, fading/,
      );
    });

    await test.step('weighs one cup in at the stand-in', async () => {
      await page
        .getByRole('article', { name: 'Cup White' })
        .getByRole('link', { name: 'Weigh in', exact: true })
        .click();
      const panel = page.getByRole('region', { name: 'Scale' });
      for (let step = 0; step < 8 && !(await page.getByText('This cup is done.').isVisible()); step += 1) {
        await expect(panel.getByText('0.00 g', { exact: true })).toBeVisible();
        await page.keyboard.press('p');
        await expect(panel.getByText(/pouring|moving/)).toBeVisible();
        await expect(panel.getByText(/settled/)).toBeVisible({ timeout: 30_000 });
        const saved = page.waitForResponse((response) => response.url().endsWith('/additions'));
        await page.getByRole('button', { name: 'Done, next' }).click();
        await saved;
        await expect(panel.getByText('0.00 g', { exact: true })).toBeVisible();
      }
      await expect(page.getByText('This cup is done.')).toBeVisible();
      await expect(page.getByText(/Mixed: fading/)).toBeVisible();
      await page.getByRole('link', { name: 'Back to the cups' }).click();
    });

    await test.step('types what the scale showed for the others', async () => {
      await weighInByTable(page, COLORS);
      await expect(page.getByText('5 cups, 5 weighed in')).toBeVisible();
    });

    await test.step('records the pour', async () => {
      await page.getByRole('button', { name: 'Test the thickness' }).click();
      await page.getByRole('button', { name: 'Plan it' }).click();
      await page.getByRole('button', { name: 'Pour it' }).click();
      await layDownAll(page);
      await expect(page.getByText('Blow to the top')).toBeVisible();
      const support = page.getByRole('img', { name: /The support from above/ });
      const box = (await support.boundingBox())!;
      await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
      await page.mouse.down();
      await page.mouse.move(box.x + box.width * 0.8, box.y + box.height / 2, { steps: 5 });
      await page.mouse.up();
      await expect(page.getByText('Blow to the right')).toBeVisible();
      await page.getByLabel('Distance').fill('12');
      await page.getByLabel('Slant, 90 is straight down').fill('30');
      await page.getByLabel('Seconds', { exact: true }).fill('3,5');
      await page.getByRole('button', { name: 'Log the pass' }).click();
      await page.getByText('pass 2').waitFor();
      await choose(page, 'Tool', 'Hair dryer, cool');
      await expect(page.getByText(/splashes off dryers/)).toBeVisible();
      await page.getByRole('slider', { name: 'Direction of the air' }).click({ position: { x: 10, y: 60 } });
      await page.getByRole('button', { name: 'Log the pass' }).click();
      await page.getByText('pass 3').waitFor();
    });

    await test.step('attaches a photo, upright, and judges', async () => {
      await page.getByRole('link', { name: 'Low tide' }).click();
      await attachPhoto(page);
      const size = await page
        .getByRole('img', { name: /, wet$/ })
        .evaluate((image: HTMLImageElement) => [image.naturalWidth, image.naturalHeight]);
      expect(size).toEqual([300, 400]);
      await judge(page);
    });

    await test.step('finds it in the results, with everything', async () => {
      await page.getByRole('link', { name: 'Results' }).click();
      const row = page.getByRole('row', { name: /Low tide/ });
      await expect(row).toContainText('White, Deep blue, Sea green, Copper, Warm red');
      await expect(row).toContainText('Mouth, 12 cm, 30°');
      await expect(row).toContainText('cells 2.4 mm');
      await page.getByRole('button', { name: 'Files' }).click();
      const csv = page.waitForEvent('download');
      await page.getByRole('link', { name: 'This list as CSV' }).click();
      const text = await readFile(await (await csv).path(), 'utf8');
      expect(text).toContain('Low tide,dutch,judged');
      await row.getByRole('link').click();
      await expect(page.getByRole('row', { name: /Copper/ })).toContainText('1.99 : 1 : 1');
    });

    await test.step('exports the piece and reads it back without loss', async () => {
      const download = page.waitForEvent('download');
      await page.getByRole('link', { name: 'Export as JSON' }).click();
      const exported = await readFile(await (await download).path());
      await page.getByRole('button', { name: 'Delete', exact: true }).click();
      await expect(page.getByText('No pieces yet.')).toBeVisible();
      await page
        .getByLabel('A piece as JSON')
        .setInputFiles({ name: 'Low tide.json', mimeType: 'application/json', buffer: exported });
      await expect(page.getByRole('heading', { name: 'Low tide' })).toBeVisible();
      await expect(page.getByRole('listitem').filter({ hasText: 'Hair dryer' }).first()).toBeVisible();
      await expect(page.getByRole('img', { name: /, wet$/ })).toBeVisible();
    });
  },
);

test('a file that is no piece is refused with its name and what is wrong', async ({ page }) => {
  await page.goto('/results');
  const chooser = page.getByLabel('A piece as JSON');
  await chooser.setInputFiles({
    name: 'list.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"a":1}'),
  });
  await expect(page.getByRole('status')).toContainText('"list.json" does not fit at format');
  await chooser.setInputFiles({ name: 'note.txt', mimeType: 'text/plain', buffer: Buffer.from('hello') });
  await expect(page.getByRole('status')).toContainText('"note.txt" is no JSON file');
});
