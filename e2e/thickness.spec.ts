import type { Page } from '@playwright/test';
import { raceCard } from './support/photo.ts';
import { mixedPiece, send, type Json, type Poured } from './support/pieces.ts';
import { expect, test } from './support/studio.ts';

const dutch = (paint: string, water: number, role = 'color'): Poured => ({
  paint,
  role,
  recipeId: 'D2',
  grams: [30, 15, water],
});

const row = (page: Page, cup: string) => page.getByRole('row', { name: new RegExp(`^${cup}`) });

test('three cups are raced on a card and matched to one thickness, by keyboard only', async ({
  page,
  studio,
}) => {
  const pieceId = await mixedPiece(studio, 'dutch', [
    dutch('White', 11, 'base'),
    dutch('Ochre', 8),
    dutch('Deep blue', 10),
  ]);
  await page.goto(`/thickness/${pieceId}`);
  await expect(row(page, 'Ochre')).toContainText('never');
  await page.keyboard.press('r');
  await expect(page.getByRole('heading', { name: 'Tilt race' })).toBeVisible();
  await page.keyboard.press('Space');
  await page.waitForTimeout(1500);
  await page.keyboard.press('1');
  await page.keyboard.press('3');
  await page.keyboard.press('Backspace');
  await expect(page.getByText('1 of 3 at the line')).toBeVisible();
  await page.waitForTimeout(500);
  await page.keyboard.press('3');
  await page.waitForTimeout(900);
  await page.keyboard.press('2');
  // A second and a half, or more on a busy machine.
  await page.getByRole('button', { name: 'Type or correct' }).click();
  await expect(page.getByLabel('Seconds of White')).toHaveValue(/^[1-9]\.\d$/);
  await expect(page.getByText(/as thick as White/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Type or correct' }).blur();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Thickness' })).toBeVisible();
  await expect(row(page, 'Ochre')).toContainText('just now');
  await expect(row(page, 'Ochre')).toContainText(/Stir in [\d.]+\sg Water/i);
  for (let step = 0; step < 15; step += 1) {
    if (
      !(await page
        .getByRole('button', { name: /^Stirred in/ })
        .first()
        .isVisible())
    )
      break;
    const added = page.waitForResponse((response) => response.url().endsWith('/additions'));
    await page.keyboard.press('s');
    await added;
    await page.waitForTimeout(150);
  }
  // What was stirred in since the race is to be looked at again before a cup counts as there.
  await expect(page.getByText(/Every cup is where it should be|Race .* first/)).toBeVisible();
  await expect(page.getByText(/All alike|thinner than the rest|thicker than the rest/)).toBeVisible();
  await expect(page.getByRole('region', { name: 'Contrast' })).toContainText(
    'not tested since something was stirred in',
  );
  await page.keyboard.press('g');
  await expect(page.getByRole('heading', { name: 'Plan' })).toBeVisible();
  await page.keyboard.press('g');
  await expect(page.getByText('Lay down White')).toBeVisible();
});

test('a card and a home-made cup are calibrated with glycerine, and races tell Pa·s from then on', async ({
  page,
  studio,
}) => {
  const pieceId = await mixedPiece(studio, 'dutch', [dutch('White', 11.25, 'base'), dutch('Ochre', 11.25)]);
  await page.goto('/calibrate');
  await page.getByLabel('Name', { exact: true }).fill('blue card');
  await page.getByLabel('Its temperature').fill('20');
  await page.getByLabel('Seconds', { exact: true }).fill('10');
  await expect(page.getByText('0.141 Pa·s for each second')).toBeVisible();
  await page.getByRole('button', { name: 'Keep it' }).click();
  const kept = page.getByRole('region', { name: 'Kept calibrations' });
  await expect(kept.getByRole('row', { name: /blue card/ })).toContainText('glycerine 100 %, 20 °C');

  await page.getByText('Cup with a hole', { exact: true }).click();
  await page.getByLabel('Name', { exact: true }).fill('jam jar');
  await page.getByLabel('Its temperature').fill('20');
  await page.getByLabel('Seconds', { exact: true }).fill('60,5');
  await page.getByRole('button', { name: 'Another reading' }).click();
  await page.getByLabel('Glycerine, by weight').last().fill('90');
  await page.getByLabel('Seconds', { exact: true }).last().fill('12');
  await expect(page.getByText(/ν = [\d.]+ t/)).toBeVisible();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(kept.getByRole('row', { name: /jam jar/ })).toBeVisible();

  await page.goto(`/thickness/${pieceId}/race`);
  await page.getByText('Ochre', { exact: true }).first().click();
  await page.getByText('Run lengths').click();
  await page.getByText('Time to a line').click();
  await page.getByRole('button', { name: 'Type or correct' }).click();
  await page.getByLabel('Seconds of White').fill('6');
  const card = page.getByLabel('Card', { exact: true });
  await page.locator('.ant-select').filter({ has: card }).click();
  await page.locator('.ant-select-item-option').filter({ hasText: 'blue card' }).click();
  await page.getByRole('button', { name: 'Keep the race' }).click();
  await expect(row(page, 'White')).toContainText(/0\.8\d\sPa·s/);
  await row(page, 'White').getByRole('link', { name: 'White' }).click();
  const evidence = page.getByRole('region', { name: 'Evidence' });
  await expect(evidence).toContainText('race: at the line after 6.0 s');
  await expect(evidence).toContainText(/0\.85\sPa·s/);

  await test.step('words, mound and drain cup are readings too, and can be struck out', async () => {
    await page.keyboard.press('4');
    await expect(evidence).toContainText('looks like fading');
    await page.getByLabel('Mound seconds').fill('0,2');
    await page.getByLabel('Mound seconds').press('Enter');
    await expect(evidence).toContainText('mound gone after 0.2 s');
    await page.getByLabel('Seconds to the break of the stream').fill('95');
    await expect(page.getByText(/0\.\d+\sPa·s law/).first()).toBeVisible();
    await page.getByLabel('Seconds to the break of the stream').press('Enter');
    await expect(evidence).toContainText('drained in 95.0 s');
    await expect(page.getByText('4 readings')).toBeVisible();
    await page.getByRole('button', { name: 'Strike out: looks like fading' }).click();
    await expect(page.getByText('3 readings')).toBeVisible();
    await page.getByRole('button', { name: 'Count again: looks like fading' }).click();
    await expect(page.getByText('4 readings')).toBeVisible();
    await expect(page.getByRole('img', { name: /Thickness against Water/ })).toHaveAccessibleName(
      /4 readings/,
    );
  });
});

test('a bloom’s contrast check flags a thin color and a thick activator, and what to do', async ({
  page,
  studio,
}) => {
  const pieceId = await mixedPiece(studio, 'bloom', [
    { paint: 'Wall white', role: 'pillow', recipeId: 'P1' },
    { paint: 'Fluid teal', role: 'color', recipeId: 'B1', grams: [28.2, 42, 18.8] },
    { paint: 'Fluid gold', role: 'color', recipeId: 'B1' },
    { paint: 'White', role: 'activator', recipeId: 'A1' },
  ]);
  const piece = await send<Json & { mixes: (Json & { name: string })[] }>(
    studio,
    'GET',
    `/api/pieces/${pieceId}`,
  );
  const read = (name: string, seconds: number) => ({
    id: crypto.randomUUID(),
    cupId: piece.mixes.find((mix) => mix.name === name)!.id,
    raceId: null,
    temperatureC: 20,
    measure: { kind: 'drain-cup', cup: 'iso-6', own: null, seconds, densityGPerMl: 1.1 },
  });
  await send(studio, 'POST', `/api/pieces/${pieceId}/readings`, {
    readings: [read('Fluid teal', 55), read('Fluid gold', 360), read('White', 170)],
  });
  await page.goto(`/thickness/${pieceId}`);
  const contrast = page.getByRole('region', { name: 'Contrast' });
  await expect(contrast).toContainText(/Wrong Fluid teal is too thin: the activator sinks into it/);
  await expect(contrast).toContainText(/White is thicker than Fluid teal: it sinks/);
  await expect(row(page, 'Fluid teal')).toContainText(/Stir in .* then look again/);
  await expect(row(page, 'White')).toContainText('nothing to thin it with');
  await page.getByRole('button', { name: 'Thin White with water' }).click();
  await expect(row(page, 'White')).toContainText(/Stir in [\d.]+\sg Water/i);
  await page.getByRole('button', { name: 'Stirred in: White' }).click();
  await expect(row(page, 'White')).not.toContainText('1.3 Pa·s');
});

test('a learned paint is used by the next piece, and the shelf says so', async ({ page, studio }) => {
  const first = await mixedPiece(studio, 'dutch', [dutch('Ochre', 11.25)]);
  const piece = await send<Json & { mixes: Json[] }>(studio, 'GET', `/api/pieces/${first}`);
  await send(studio, 'POST', `/api/pieces/${first}/readings`, {
    readings: [
      {
        id: crypto.randomUUID(),
        cupId: piece.mixes[0]!.id,
        raceId: null,
        temperatureC: 21,
        measure: { kind: 'drain-cup', cup: 'iso-6', own: null, seconds: 200, densityGPerMl: 1.1 },
      },
    ],
  });
  const second = await mixedPiece(studio, 'dutch', [dutch('Ochre', 11.25)]);
  await page.goto(`/thickness/${second}`);
  await expect(row(page, 'Ochre')).toContainText(/1\.[45]\sPa·s/);
  await expect(row(page, 'Ochre')).toContainText('never');
  await page.goto('/shelf');
  await page.getByLabel('Search').fill('Ochre');
  await expect(page.getByRole('row', { name: /Ochre/ }).first()).toContainText('learned');
});

test('a race is read off one picture of its card, each trail given to its cup, and kept', async ({
  page,
  studio,
}) => {
  const cups = ['Deep blue', 'Copper', 'Sea green'];
  const pieceId = await mixedPiece(
    studio,
    'dutch',
    cups.map((paint) => dutch(paint, 11.25)),
  );
  await page.goto(`/thickness/${pieceId}/race`);
  await page.getByText('Run lengths', { exact: true }).click();
  const picture = page.getByRole('region', { name: 'Read off a picture' });
  const file = (buffer: Buffer) => ({ name: 'card.jpg', mimeType: 'image/jpeg', buffer });
  const choose = picture.locator('input[type=file]');

  await choose.setInputFiles(file(await raceCard([])));
  await expect(page.getByText(/No paint can be told from the card/)).toBeVisible();

  await expect(picture.locator('.ant-btn-loading')).toHaveCount(0);

  // As they lie on this card, not in the order of the cups.
  const shown = await send<{
    mixes: { name: string; ingredients: { material: { name: string; colorHex: string } }[] }[];
  }>(studio, 'GET', `/api/pieces/${pieceId}`);
  const hexOf = (name: string) =>
    shown.mixes.find((mix) => mix.name === name)!.ingredients.find(({ material }) => material.name === name)!
      .material.colorHex;
  const trails = [
    { name: 'Sea green', mm: 64 },
    { name: 'Deep blue', mm: 120 },
    { name: 'Copper', mm: 92 },
  ];
  await choose.setInputFiles(file(await raceCard(trails.map(({ name, mm }) => ({ hex: hexOf(name), mm })))));
  const items = picture.getByRole('listitem');
  await expect(items).toHaveCount(3);
  for (const { name, mm } of trails) {
    const words = (await items.filter({ hasText: name }).textContent())!;
    expect(Math.abs(Number(/([\d.]+)\s*mm/.exec(words)![1]) / mm - 1)).toBeLessThan(0.03);
  }
  await page.getByRole('button', { name: 'Keep the race' }).click();
  await expect(page).toHaveURL(new RegExp(`/thickness/${pieceId}$`));
  const { readings } = await send<Json & { readings: { measure: { by: string } }[] }>(
    studio,
    'GET',
    `/api/pieces/${pieceId}`,
  );
  expect(readings.map(({ measure }) => measure.by)).toEqual(['length', 'length', 'length']);
});
