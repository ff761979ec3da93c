import { mixedPiece, send, splitDutch, type Json } from './support/pieces.ts';
import { answerTest } from './support/runSheet.ts';
import { choose } from './support/steps.ts';
import { expect, test } from './support/studio.ts';

interface Planned {
  readonly plan: {
    readonly paths: readonly { readonly kind: string; readonly layers: readonly object[] }[];
    readonly stacks: readonly object[];
    readonly base: { readonly pattern: string; readonly seam: object | null } | null;
  } | null;
  readonly mixes: readonly { readonly ingredients: readonly { readonly targetMg: number }[] }[];
}

test('an empty studio leads to a first small test pour', async ({ page }) => {
  await page.goto('/today');
  await expect(page.getByRole('heading', { name: 'Begin here' })).toBeVisible();
  await page.getByRole('button', { name: 'Set it up' }).click();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('First test pour');
  await expect(page.getByText(/Enough for .*2 colors/)).toBeVisible();
  await page.getByRole('button', { name: 'Start and mix' }).click();
  await expect(page.getByText(/Enough for .*2 colors/)).toBeVisible();
});

test('an empty studio looks through a sample and takes it out with one click', async ({ page }) => {
  test.setTimeout(180_000);
  await page.goto('/today');
  await page.getByRole('button', { name: 'Put it in' }).click();
  await page.getByRole('link', { name: 'Look through it' }).click({ timeout: 120_000 });
  await expect(page.getByRole('heading', { name: 'A sample to look through' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Measured on the photo' })).toBeVisible();
  await page.goto('/today');
  await expect(page.getByRole('heading', { name: 'Begin here' })).toBeVisible();
  await page.getByRole('button', { name: 'Take it out again' }).click();
  await expect(page.getByRole('button', { name: 'Put it in' })).toBeVisible();
  await page.goto('/results');
  await expect(page.getByText('A sample to look through')).toHaveCount(0);
});

test('five cups from nothing take seven clicks, and are big enough for the support', async ({
  page,
  studio,
}) => {
  let clicks = 0;
  const click = async (name: string) => {
    clicks += 1;
    await page.getByRole('button', { name }).click();
  };
  await page.goto('/today');
  clicks += 1;
  await page.getByLabel('Name', { exact: true }).click();
  await page.keyboard.type('First pour');
  await expect(page.getByText(/Enough for .*: base \d+\sg, 4 colors \d+\sg each/)).toBeVisible();
  await click('Start and mix');
  for (const paint of ['White', 'Deep blue', 'Sea green', 'Copper', 'Ochre']) {
    await click(`Put a cup of ${paint} on the bench`);
    await expect(page.getByRole('article', { name: `Cup ${paint}` })).toBeVisible();
  }
  expect(clicks).toBe(7);
  const pieceId = page.url().split('/').at(-1)!;
  const weighed = async () =>
    (await send<Json & Planned>(studio, 'GET', `/api/pieces/${pieceId}`)).mixes.map(
      ({ ingredients }) => ingredients.reduce((sum, each) => sum + each.targetMg, 0) / 1000,
    );
  await expect.poll(weighed).toHaveLength(5);
  const grams = await weighed();
  expect(grams[0]).toBeGreaterThan(50);
  expect(new Set(grams.slice(1)).size).toBe(1);

  // A fifth color shares what four had; nothing is weighed in yet, so they follow.
  await click('Put a cup of Lamp black on the bench');
  await expect(page.getByText(/5 colors \d+\sg each/)).toBeVisible();
  await expect
    .poll(async () => {
      const now = await send<Json & Planned>(studio, 'GET', `/api/pieces/${pieceId}`);
      return now.mixes
        .slice(1)
        .map(({ ingredients }) => ingredients.reduce((sum, each) => sum + each.targetMg, 0));
    })
    .toHaveLength(5);
});

test('a split Dutch keeps its ribbon, its flood and its seam from Plan through Pour to Again', async ({
  page,
  studio,
}) => {
  const pieceId = await splitDutch(studio);
  await page.goto(`/plan/${pieceId}`);
  await choose(page, 'Ready layout', 'Split base, colors on the seam');
  await page.getByRole('button', { name: 'Lay it out' }).click();
  await page.getByRole('button', { name: 'Pour it' }).click();
  const title = page.locator('.step-title');
  for (let step = 0; step < 8; step += 1) {
    const said = await title.innerText();
    await answerTest(page);
    await page.keyboard.press('Space');
    await expect(title).not.toHaveText(said);
  }
  await page.goto(`/results/${pieceId}`);
  await page.getByRole('button', { name: 'Again', exact: true }).click();
  const dialog = page.getByRole('dialog', { name: 'Pour it again' });
  await choose(page, 'Support', 'Enter another support …');
  await dialog.getByLabel('Width').fill('60');
  await dialog.getByLabel('Height').fill('80');
  await dialog.getByRole('button', { name: 'Make the plan' }).click();
  await expect(page).toHaveURL(/\/plan\//);
  const again = page.url().split('/').at(-1)!;
  expect(again).not.toBe(pieceId);
  const { plan } = await send<Json & Planned>(studio, 'GET', `/api/pieces/${again}`);
  expect(plan?.base?.pattern).toBe('split');
  expect(plan?.base?.seam).not.toBeNull();
  expect(plan?.paths.map(({ kind, layers }) => [kind, layers.length])).toEqual([
    ['flood', 1],
    ['ribbon', 2],
  ]);
  expect(plan?.stacks).toEqual([]);
});

test('without a plan a puddle lies where it is tapped and a line where it is drawn', async ({
  page,
  studio,
}) => {
  const pieceId = await mixedPiece(studio, 'dutch', [
    { paint: 'White', role: 'base', recipeId: 'D2', totalMg: 150_000 },
    { paint: 'Deep blue', role: 'color', recipeId: 'D2', totalMg: 20_000 },
    { paint: 'Sea green', role: 'color', recipeId: 'D2', totalMg: 20_000 },
  ]);
  await page.goto(`/pour/${pieceId}`);
  const lay = page.getByRole('button', { name: 'Laid down' });
  await expect(page.getByText('Lay down White')).toBeVisible();
  await lay.click();
  const box = (await page.getByRole('img', { name: /^The support from above/ }).boundingBox())!;
  const at = (x: number, y: number) => [box.x + x * box.width, box.y + y * box.height] as const;
  await expect(page.getByText('Lay down Deep blue')).toBeVisible();
  await page.mouse.click(...at(0.4, 0.4));
  await lay.click();
  await expect(page.getByText('Lay down Sea green')).toBeVisible();
  await page.mouse.move(...at(0.35, 0.6));
  await page.mouse.down();
  await page.mouse.move(...at(0.65, 0.6), { steps: 4 });
  await page.mouse.up();
  await choose(page, 'How it lies', 'line');
  await lay.click();
  await expect
    .poll(async () => {
      const { events } = await send<Json & { events: { data: { shape?: { kind: string } } }[] }>(
        studio,
        'GET',
        `/api/pieces/${pieceId}`,
      );
      return events.flatMap(({ data }) => data.shape?.kind ?? []);
    })
    .toEqual(['face', 'stack', 'line']);
});

test('a color of several paints is stirred into one cup', async ({ page }) => {
  await page.goto('/today');
  await page.getByLabel('Name', { exact: true }).fill('Blend');
  await page.getByRole('button', { name: 'Start and mix' }).click();
  await page.getByText('Color', { exact: true }).first().click();
  await page.getByRole('button', { name: 'Several paints' }).click();
  for (const paint of ['White', 'Deep blue']) {
    await page.getByRole('button', { name: `Put a cup of ${paint} on the bench` }).click();
  }
  const parts = page.getByLabel('Parts of Deep blue');
  await parts.fill('1/4');
  await expect(page.getByText('Write a number')).toBeVisible();
  await parts.fill('0,25');
  await parts.press('Tab');
  await page.getByRole('button', { name: 'Put this cup on the bench' }).click();
  const cup = page.getByRole('article', { name: 'Cup White and Deep blue' });
  await expect(cup).toContainText('2.5 : 1 : 0.25 : 0.94');
});
