import { send, type Json } from './support/pieces.ts';
import { openStart } from './support/steps.ts';
import { weighIn } from './support/weighIn.ts';
import { expect, test, type Studio } from './support/studio.ts';
import type { Page } from '@playwright/test';
import { answerTest } from './support/runSheet.ts';

interface Logged {
  readonly kind: string;
  readonly data: Record<string, unknown> & { stepId?: string };
}
interface Told extends Json {
  readonly events: readonly Logged[];
  readonly mixes: readonly (Json & { ingredients: readonly (Json & { targetMg: number })[] })[];
}

const told = (studio: Studio, pieceId: string) => send<Told>(studio, 'GET', `/api/pieces/${pieceId}`);

/** Whether the run sheet is through, or at its photo: asked once it shows where it stands, for between two steps it shows neither. */
async function isPoured(page: Page): Promise<boolean> {
  const done = page.getByText('The run sheet is done.');
  const photo = page.locator('.step-title', { hasText: /^Take a photo/ });
  await expect(
    page
      .getByText(/^Step \d+ of/)
      .or(done)
      .or(photo)
      .first(),
  ).toBeVisible();
  return (await done.isVisible()) || (await photo.first().isVisible());
}

/** The next step, done by its own key or button; @returns its sentence */
async function doStep(page: Page): Promise<string> {
  const title = page.locator('.step-title').first();
  const said = await title.innerText();
  const number = page.getByText(/^Step \d+ of/);
  const before = await number.textContent();
  const wait = page.getByRole('button', { name: 'It was this long' });
  await answerTest(page);
  if (await wait.isVisible()) await wait.click();
  else await page.keyboard.press('Space');
  await expect(async () => {
    const over = await page.getByText('The run sheet is done.').isVisible();
    const other = (await number.isVisible()) && (await number.textContent()) !== before;
    const otherForm = !(await number.isVisible());
    expect(over || other || otherForm).toBe(true);
  }).toPass();
  return said;
}

test('a newcomer pours a Dutch and repairs a place of it, from an empty studio', async ({ page, studio }) => {
  let clicks = 0;
  const click = async (name: string | RegExp) => {
    clicks += 1;
    await page.getByRole('button', { name }).click();
  };
  await page.goto('/today');
  await page.getByLabel('Name', { exact: true }).fill('First Dutch');
  await page.getByLabel('Colors').fill('2');
  await page.getByLabel('Colors').press('Tab');
  await expect(page.getByText(/Enough for/)).toBeVisible();
  await click('Start and mix');
  for (const paint of ['White', 'Deep blue', 'Sea green']) {
    await click(`Put a cup of ${paint} on the bench`);
    await expect(page.getByRole('article', { name: `Cup ${paint}` })).toBeVisible();
  }
  const pieceId = page.url().split('/').at(-1)!;
  await weighIn(studio, pieceId);
  await page.goto(`/plan/${pieceId}`);
  await click('Lay it out');
  await click('Pour it');

  await test.step('gets ready once, then pours by the run sheet', async () => {
    await expect(page.getByText(/^Get ready: \d of \d to do/)).toBeVisible();
    await click('All of it is done');
    await expect(page.getByText('All is ready')).toBeVisible();
    const said: string[] = [];
    for (let step = 0; step < 12; step += 1) {
      if ((await page.locator('.step-title').first().innerText()).startsWith('Pass 2')) break;
      said.push(await doStep(page));
    }
    expect(said).toContain('Blow the base alone');
    expect(said.some((each) => each.startsWith('Pass 1'))).toBe(true);
    await expect(page.getByRole('region', { name: 'Stop or go on?' })).toContainText(/Blow on|you may stop/);
  });

  await test.step('marks a place, is told what it takes, and is led through it', async () => {
    await page.keyboard.press('v');
    await expect(page.getByText('Tap the place on the support.')).toBeVisible();
    const box = (await page.getByRole('img', { name: /^The support from above/ }).boundingBox())!;
    clicks += 1;
    await page.mouse.click(box.x + 0.45 * box.width, box.y + 0.5 * box.height);
    await expect(
      page.getByRole('list', { name: 'What is laid there again' }).getByRole('listitem'),
    ).toHaveCount(3);
    await expect(page.getByText(/differ by \d+ \(CIEDE2000\)/)).toBeVisible();
    await click('Begin the repair');
    const said: string[] = [];
    for (let step = 0; step < 6; step += 1) said.push(await doStep(page));
    expect(said.map((each) => each.split(' ')[0])).toEqual(['Scrape', 'Wipe', 'Lay', 'Lay', 'Lay', 'Torch']);
    await expect(page.getByText(/a new angle/)).toBeVisible();
    await page.keyboard.press('Space');
    await click('Log the pass');
    await expect(page.getByText(/^Pass 2/).first()).toBeVisible();
  });

  await test.step('it is recorded with its place, and pouring it again leaves it out', async () => {
    // What is logged shows at once and is sent after: its end is waited for.
    const own = async () =>
      (await told(studio, pieceId)).events
        .filter(({ data }) => data.stepId?.startsWith('repair:'))
        .map(({ kind }) => kind);
    await expect.poll(own).toEqual(['scrape', 'step', 'layer', 'layer', 'layer', 'torch', 'pass']);
    const { events } = await told(studio, pieceId);
    const repair = events.find(({ kind }) => kind === 'repair')!;
    expect(repair.data['mark']).toMatchObject({ kind: 'spot', radiusMm: 25 });
    await page.goto(`/results/${pieceId}`);
    await page.getByRole('button', { name: 'Again', exact: true }).click();
    await page.getByRole('button', { name: 'Make the plan' }).click();
    await expect(page).toHaveURL(/\/plan\//);
    const again = await send<Json & { plan: { stacks: object[]; passes: object[] } }>(
      studio,
      'GET',
      `/api/pieces/${page.url().split('/').at(-1)!}`,
    );
    expect(again.plan.stacks).toEqual([]);
    expect(again.plan.passes).toHaveLength(1);
  });
  // Start, three cups, layout, pour; ready; the place, the repair, its air.
  expect(clicks).toBe(10);
});

test('a newcomer blooms with left-overs, by keyboard alone at the table', async ({ page, studio }) => {
  const start = async (name: string) => {
    await openStart(page);
    await page.locator('#piece-technique').getByText('Bloom').click();
    await page.getByLabel('Name', { exact: true }).fill(name);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'Mix' })).toBeVisible();
    return page.url().split('/').at(-1)!;
  };
  const cup = async (paint: string) => {
    await page.getByRole('button', { name: `Put a cup of ${paint} on the bench` }).click();
    await expect(page.getByRole('article', { name: `Cup ${paint}` })).toBeVisible();
  };
  const pour = async (pieceId: string) => {
    await page.goto(`/plan/${pieceId}`);
    await page.getByRole('button', { name: 'Lay it out' }).click();
    await page.getByRole('button', { name: 'Pour it' }).click();
    const said: string[] = [];
    for (let step = 0; step < 45; step += 1) {
      if (await isPoured(page)) break;
      said.push(await doStep(page));
    }
    return said;
  };

  const first = await start('Bloom one');
  for (const paint of ['Wall white', 'Deep blue', 'Copper']) await cup(paint);
  await weighIn(studio, first);
  const said = await pour(first);
  // What a bloom wants: the straw once the cells are open, slow spins both ways with a tip test between, the skewer.
  const place = (start: string) => said.findIndex((each) => each.startsWith(start));
  expect(place('Break the middle')).toBeGreaterThan(place('Pass 1'));
  expect(place('Spin 1 of 3')).toBeGreaterThan(place('Break the middle'));
  expect(said.filter((each) => each.startsWith('Tip it'))).toHaveLength(2);
  expect(said.at(-1)).toBe('Draw the petals with a skewer');
  const spins = async () =>
    (await told(studio, first)).events.filter(({ kind }) => kind === 'spin').map(({ data }) => data['way']);
  await expect.poll(spins).toEqual(['clockwise', 'counterclockwise', 'clockwise']);

  await test.step('what is left over is taken into the next one', async () => {
    const second = await start('Bloom two');
    await page.getByRole('button', { name: /^[\d.]+\sg Wall white,/ }).click();
    await expect(page.getByRole('article', { name: 'Cup Wall white' })).toBeVisible();
    await expect
      .poll(async () => (await told(studio, second)).mixes.map((mix) => mix['name']))
      .toEqual(['Wall white']);
  });
});
