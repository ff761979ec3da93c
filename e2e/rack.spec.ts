import type { Page } from '@playwright/test';
import { pieceNamed, send, type Json } from './support/pieces.ts';
import { expect, test } from './support/studio.ts';

test.use({ demo: true });

const press = (page: Page, name: string | RegExp) => page.getByRole('button', { name }).click();

test('a judged piece is altered by a sketch: grams follow from the drawing, the plan keeps its parent', async ({
  page,
  studio,
}) => {
  const id = await pieceNamed(studio, 'Tide table 4');
  await page.goto(`/results/${id}`);
  await page
    .getByRole('link', { name: /then finish it/ })
    .last()
    .click();
  await press(page, /^Alter/);
  await press(page, 'Sketch the change on its photo');
  const face = page.getByRole('application', { name: /draw on it/ });
  await expect(face).toBeVisible();
  const box = (await face.boundingBox())!;
  const stroke = async (...places: [number, number][]) => {
    for (const [index, [x, y]] of places.entries()) {
      await page.mouse.move(box.x + x * box.width, box.y + y * box.height, { steps: 6 });
      if (index === 0) await page.mouse.down();
    }
    await page.mouse.up();
  };
  await stroke([0.1, 0.9], [0.5, 0.82], [0.9, 0.9]);
  await press(page, 'Petal');
  await stroke([0.3, 0.7], [0.2, 0.35]);
  const amount = page.getByRole('row').first();
  await expect(amount).toContainText(/cm².*\sg/);
  const area = /\d+\scm²/.exec(await amount.innerText())![0];
  await page.reload();
  await expect(amount).toContainText(area);
  await press(page, 'Keep this try');
  await expect(page.getByRole('button', { name: 'Kept', exact: true })).toBeVisible();
  await press(page, 'Choose it and plan it');
  await expect(page).toHaveURL(/\/plan\//);
  const childId = page.url().split('/').at(-1)!;
  const child = await send<Json & { origin: unknown; plan: { paths: unknown[]; planned: unknown[] } }>(
    studio,
    'GET',
    `/api/pieces/${childId}`,
  );
  expect(child.origin).toMatchObject({ pieceId: id, how: 'alter' });
  expect(child.plan.paths).toHaveLength(2);
  await page.goto(`/plan/${childId}/sheet`);
  await expect(page.getByText(/Have ready/)).toBeVisible();
  await page.goto(`/rack/${childId}`);
  await expect(page.getByRole('link', { name: /Tide table 4.*with the sketch/ })).toBeVisible();
});

test('a piece dries, is coated at the scale, labeled, priced and shown', async ({ page, studio }) => {
  const id = await pieceNamed(studio, 'Quiet brass');
  await page.goto('/rack');
  await page.getByRole('link', { name: /^Quiet brass, ready for a top coat/ }).click();
  await press(page, 'stayed');
  await expect(page.getByRole('button', { name: 'stayed' })).toHaveAttribute('aria-pressed', 'true');
  // As a phone packs it.
  await page.locator('.take input[type=file]').setInputFiles('server/src/photo/fixtures/four-fields.heic');
  await expect(page.getByText('The photo is at the piece.')).toBeVisible();
  await page.getByRole('link', { name: 'Top coat', exact: true }).click();
  await page.getByLabel('A still holds').fill('1000');
  await press(page, 'At the scale');
  for (const grams of ['427', '389']) {
    await page.getByLabel(/what your scale shows/i).fill(grams);
    await press(page, 'Done, next');
  }
  await expect(page.getByText(/Stir at medium speed/).first()).toBeVisible();
  // The battery dies: the pot is still there.
  await page.reload();
  await expect(page.getByText(/to stir/)).toBeVisible();
  for (const next of [
    /Pour from the middle/,
    /Bubbles out: pass/,
    /Leave it for 10/,
    /Bubbles out once more/,
  ]) {
    await press(page, 'Done, next');
    await expect(page.locator('.step-title')).toHaveText(next);
  }
  await press(page, 'Done, next');
  await press(page, 'It is coated');
  await expect(page.getByRole('list', { name: 'Coats so far' })).toContainText(/Resin.*816/s);
  await expect(page.getByLabel('A still holds')).toHaveValue('573');
  await page.getByRole('link', { name: 'Show and sell' }).click();
  await page.getByLabel('Asked').fill('450');
  await press(page, 'Keep the price');
  await page.getByLabel('How it hangs').fill('wire');
  await press(page, 'Keep the show');
  await page.getByRole('link', { name: 'Its label' }).click();
  await expect(page.getByAltText('Code that opens Quiet brass')).toBeVisible();
  await expect(page.getByText('450.00')).toBeVisible();
  await page.goto('/rack?view=show');
  const row = page.getByRole('row', { name: /Quiet brass/ });
  await expect(row).toContainText('450.00');
  await expect(row).not.toContainText('its top coat');
  await page.getByRole('link', { name: 'Contact sheet' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Quiet brass' })).toContainText('450.00');
  const calendar = await (await fetch(`${studio.address}/api/calendar.ics`)).text();
  expect(calendar.match(new RegExp(`UID:cured-${id}@`, 'g'))).toHaveLength(1);
  await page.goto(`/rack/${id}/record`);
  await expect(page.getByText(/Resin, .*816/)).toBeVisible();
});

test('the best part of a piece becomes a piece of its own, with the part as its photo', async ({
  page,
  studio,
}) => {
  const id = await pieceNamed(studio, 'Small bloom 8');
  await page.goto(`/rack/${id}/crop`);
  await expect(page.getByRole('list', { name: 'Best parts' }).getByRole('button').first()).toBeVisible();
  await page.getByText('4 : 5').click();
  const frame = page.getByRole('group', { name: /arrow keys move it/ });
  const before = await frame.getAttribute('style');
  await frame.press('ArrowRight');
  await expect(frame).not.toHaveAttribute('style', before!);
  await page.getByText('own', { exact: true }).click();
  await page.getByLabel('Height').fill('0');
  await expect(page.getByText(/Both numbers of the ratio are above 0/)).toBeVisible();
  await page.getByText('1 : 1').click();
  const saving = page.waitForEvent('download');
  await press(page, 'Save as PNG');
  expect((await saving).suggestedFilename()).toBe('Small bloom 8, crop.png');
  await press(page, 'Make it a piece of its own');
  await expect(page.getByRole('heading', { name: 'Small bloom 8, part' })).toBeVisible();
  await expect(page.getByRole('link', { name: /Small bloom 8.*cropped from/ })).toBeVisible();
  await page.getByRole('link', { name: 'Decide' }).click();
  await press(page, /^Hang as it is/);
  await press(page, 'right edge up');
  await expect(page.getByRole('button', { name: 'right edge up' })).toHaveAttribute('aria-pressed', 'true');
});

test('a shelf is put up, a piece laid on it, and a bubble off the middle says where the design goes', async ({
  page,
  studio,
}) => {
  const id = await pieceNamed(studio, 'Tile, third row');
  await page.goto('/rack');
  await press(page, 'Put up a shelf');
  await page.getByLabel('Name', { exact: true }).first().fill('On the cupboard');
  await press(page, 'Keep it');
  await expect(page.getByRole('heading', { name: 'On the cupboard' })).toBeVisible();
  await page.goto(`/rack/${id}`);
  await page.getByTitle('By the window, lower, tiles').click();
  await page.getByText('On the cupboard, left').click();
  await expect(page.getByText('Its place is kept.')).toBeVisible();
  await page.getByLabel('Right end lies lower by').fill('-4');
  await page.getByLabel('Right end lies lower by').press('Enter');
  await expect(page.getByText(/creeps up to .* toward the/)).toContainText('left');
  await page.goto('/rack');
  await expect(page.getByRole('region', { name: 'On the cupboard' })).toContainText(
    /Tile, third row.*drifts/s,
  );
});
