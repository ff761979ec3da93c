import type { Page } from '@playwright/test';
import { pieceNamed, send, type Json } from './support/pieces.ts';
import { expect, test } from './support/studio.ts';

test.use({ demo: true });

const face = (page: Page) => page.getByRole('application', { name: /^The support from above/ });
const press = (page: Page, name: string | RegExp) => page.getByRole('button', { name }).click();
/** A number from what the rehearsal says of itself. */
async function said(page: Page, words: RegExp): Promise<number> {
  const found = words.exec(
    (await page.getByRole('status').filter({ hasText: 'of paint' }).innerText()).replaceAll('\u00a0', ' '),
  );
  return Number(found?.[1] ?? Number.NaN);
}
const airSeconds = (page: Page) => said(page, /([\d.]+) s of air/);
const paintSeconds = (page: Page) => said(page, /(\d+) s of paint/);
const ready = async (page: Page) => {
  await expect(face(page)).toBeVisible();
  await expect(page.getByText('The paint runs.')).toBeVisible({ timeout: 60_000 });
};

test('a bloom is blown with the pointer, stepped back and blown again', async ({ page }) => {
  await page.goto('/practice');
  await page.getByRole('link', { name: 'A bloom', exact: true }).click();
  await ready(page);
  const box = (await face(page).boundingBox())!;
  const middle = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  await page.mouse.move(middle.x, middle.y - 10);
  await page.mouse.down();
  for (let step = 1; step <= 12; step += 1) {
    await page.mouse.move(middle.x, middle.y - 10 - 10 * step);
    await page.waitForTimeout(60);
  }
  await expect.poll(() => airSeconds(page)).toBeGreaterThan(0.2);
  await page.mouse.up();
  await expect(page.getByText('One breath blown by hand.')).toBeVisible();
  await expect(page.getByLabel('Toward')).toHaveValue('0');
  const blown = await airSeconds(page);
  await press(page, 'Pause');
  await expect(page.getByText('Paused.')).toBeVisible();
  // What ran after the breath is stepped back first.
  await expect
    .poll(async () => {
      await press(page, 'Step back');
      return airSeconds(page);
    })
    .toBeLessThan(blown);
  await press(page, 'Again');
  await expect.poll(() => airSeconds(page)).toBe(0);
  await expect(page.getByText('One breath blown by hand.')).toBeHidden();
  // Scraped bare while it stands, as running paint closes the place at once; and laid again.
  await ready(page);
  await press(page, 'Pause');
  await expect(page.getByText('Paused.')).toBeVisible();
  await page.getByText('Scrape', { exact: true }).click();
  await page.mouse.click(middle.x, middle.y);
  await expect(page.getByRole('row', { name: /Left in the middle 0/ })).toBeVisible();
  await page.getByText('Lay', { exact: true }).click();
  await page.getByLabel('Amount').fill('8');
  await page.mouse.click(middle.x, middle.y);
  await expect(page.getByRole('row', { name: /Left in the middle [1-9]/ })).toBeVisible();
});

test('a fan is blown by keys alone: aimed, turned, held, tilted, waited for', async ({ page }) => {
  await page.goto('/practice/pour/fan');
  await ready(page);
  await face(page).focus();
  for (let step = 0; step < 6; step += 1) await page.keyboard.press('ArrowDown');
  await page.keyboard.press('PageDown');
  await expect(page.getByLabel('Distance')).toHaveValue('14');
  await page.keyboard.press('e');
  await expect(page.getByLabel('Toward')).toHaveValue('15');
  await page.keyboard.press('q');
  await page.keyboard.down(' ');
  await expect.poll(() => airSeconds(page), { timeout: 60_000 }).toBeGreaterThan(0.3);
  await page.keyboard.up(' ');
  await expect(page.getByText('One breath blown by hand.')).toBeVisible();
  await page.keyboard.press('6');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText(/2° toward 90°/)).toBeVisible();
  await page.keyboard.press('Home');
  const before = await paintSeconds(page);
  await page.keyboard.press('w');
  await expect(page.getByText(/^Waiting/)).toBeVisible();
  await page.keyboard.press('p');
  await expect(page.getByText(/^Waiting/)).toBeHidden();
  expect(await paintSeconds(page)).toBeGreaterThanOrEqual(before);
});

test(
  'a plan is rehearsed, taken from what was blown, measured, poured and held beside the result',
  { tag: '@proof' },
  async ({ page, studio }) => {
    test.setTimeout(400_000);
    const id = await pieceNamed(studio, 'Door panel');
    type Piece = Json & {
      plan: { passes: { directionDeg: number }[] };
      mixes: (Json & { role: string })[];
      rehearsals: { state: string; measurement: object | null }[];
      photos: { measurement: object | null }[];
    };
    const read = () => send<Piece>(studio, 'GET', `/api/pieces/${id}`);
    await page.goto(`/practice/piece/${id}`);
    await ready(page);

    await test.step('its own passes', async () => {
      await press(page, /^Blow its 7 passes/);
      await expect(page.getByText(/^Pass [2-7] of 7/)).toBeVisible({ timeout: 90_000 });
      await press(page, 'Stop');
      await expect.poll(() => airSeconds(page)).toBeGreaterThan(0.5);
    });

    await test.step('what is blown freely goes into the plan', async () => {
      const box = (await face(page).boundingBox())!;
      await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
      await page.mouse.down();
      for (let step = 1; step <= 10; step += 1) {
        await page.mouse.move(box.x + box.width / 2 + 8 * step, box.y + box.height / 2);
        await page.waitForTimeout(80);
      }
      await page.mouse.up();
      await press(page, 'Take into the plan');
      await expect(page.getByText('One pass taken into the plan.')).toBeVisible();
      await expect.poll(async () => (await read()).plan.passes.length).toBe(1);
      expect((await read()).plan.passes[0]!.directionDeg).toBe(90);
    });

    await test.step('it is measured and kept', async () => {
      await expect(page.getByRole('button', { name: /^Blow its one pass/ })).toBeVisible();
      await ready(page);
      await press(page, 'Measure and keep it');
      await expect(page.getByText('Kept with the piece as its rehearsal.')).toBeVisible({ timeout: 120_000 });
      const { rehearsals, photos } = await read();
      expect(rehearsals).toHaveLength(1);
      expect(rehearsals[0]!.measurement).not.toBeNull();
      expect(photos).toHaveLength(0);
    });

    await test.step('it is poured and photographed', async () => {
      const { mixes } = await read();
      const face = { kind: 'face', pattern: 'one', area: 0, seam: null };
      const pile = { kind: 'stack', itemId: 'pile', at: { x: 150, y: 200 }, footprintMm: 150 };
      const log = (kind: string, data: object) =>
        send(studio, 'POST', `/api/pieces/${id}/events`, {
          ...{ id: crypto.randomUUID(), at: new Date().toISOString(), kind, data },
        });
      for (const { id: cupId, role } of mixes) {
        const mg = role === 'activator' ? 1500 : 9000;
        await log(
          'layer',
          role === 'pillow' ? { cupId, mg: 150_000, shape: face } : { cupId, mg, shape: pile },
        );
      }
      for (const directionDeg of [0, 60, 120, 180, 240, 300]) {
        const breath = { tool: 'mouth', setting: 'steady', distanceMm: 100, slantDeg: 30, seconds: 2 };
        await log('pass', { ...breath, directionDeg, from: { x: 0.5, y: 0.5 } });
      }
      await send(studio, 'POST', `/api/pieces/${id}/camera`, { state: 'wet', megapixels: 1 });
      await page.goto(`/results/${id}`);
      await press(page, /^Measure it/);
      await page.getByRole('button', { name: 'Measure', exact: true }).click();
      await expect(page.getByRole('region', { name: 'Measured on the photo' })).toBeVisible({
        timeout: 120_000,
      });
      // A rehearsal is no photo of the piece.
      expect((await read()).photos).toHaveLength(1);
    });

    await test.step('both stand side by side', async () => {
      await page.goto(`/practice/piece/${id}/result`);
      await expect(page.getByRole('img', { name: 'Rehearsed' })).toBeVisible();
      await expect(page.getByRole('img', { name: 'Poured' })).toBeVisible();
      await expect(page.getByRole('row', { name: /^Base left open \d+\s% \d+\s%/ })).toBeVisible();
    });
  },
);

test(
  'what if: one cause of a plan as small runs, the best by the aim first, one is taken',
  { tag: '@proof' },
  async ({ page, studio }) => {
    const id = await pieceNamed(studio, 'Door panel');
    await page.goto(`/plan/${id}`);
    await press(page, 'Rehearse');
    await page.getByRole('link', { name: 'What if' }).click();
    await page.getByLabel('Change').selectOption('order');
    await expect(page.getByText(/^About \d+\ss\.$/)).toBeVisible({ timeout: 60_000 });
    await press(page, 'Run 2');
    await expect(page.getByText(/% done\.$/)).toBeVisible();
    const runs = page.getByRole('list', { name: 'Runs' }).getByRole('listitem');
    await expect(runs).toHaveCount(2);
    await expect(page.getByRole('button', { name: 'Take this one' })).toHaveCount(2, { timeout: 180_000 });
    await page.getByLabel('The best by').selectOption('middle');
    await expect(runs.first()).toContainText('in the middle');
    const layers = async () =>
      (
        await send<Json & { plan: { stacks: { layers: { cupId: string }[] }[] } }>(
          studio,
          'GET',
          `/api/pieces/${id}`,
        )
      ).plan.stacks[0]!.layers.map(({ cupId }) => cupId);
    const before = await layers();
    await runs.filter({ hasText: 'colors turned over' }).getByRole('button').click();
    await expect(page).toHaveURL(new RegExp(`/practice/piece/${id}$`));
    await expect.poll(layers).not.toEqual(before);
    expect([...(await layers())].sort()).toEqual([...before].sort());
  },
);

test(
  'the film is held against the measured pours: begun with its time, stopped; a kept fit is used and let go',
  { tag: '@proof' },
  async ({ page, studio }) => {
    await page.goto('/practice');
    await page.getByRole('link', { name: 'Hold it against them' }).click();
    const begin = page.getByRole('button', { name: /^Fit to \d+ pours/ });
    await expect(begin).toBeVisible({ timeout: 60_000 });
    await expect(page.getByText(/about .* on this machine/)).toBeVisible({ timeout: 60_000 });
    await expect(page.getByRole('row', { name: /Size of the cells/ })).toBeVisible();
    await begin.click();
    await expect(page.getByRole('status').filter({ hasText: /^[1-9]\d*\s%/ })).toBeVisible({
      timeout: 60_000,
    });
    await press(page, 'Stop');
    await expect(begin).toBeVisible();
    await expect(page.getByText('not fitted yet').first()).toBeVisible();

    const fit = {
      values: {
        ...{ strength: 3.1, friction: 0.03, tauHalfPa: 2.8 },
        ...{ ruptureM: 2.4e-4, spreadingNM: 3e-3, netM: 4e-4 },
      },
      sdLn: {
        ...{ strength: 0.1, friction: 0.2, tauHalfPa: 0.3 },
        ...{ ruptureM: 0.2, spreadingNM: 0.3, netM: 0.1 },
      },
      ...{ n: 9, nCells: 5, helps: true },
      before: { negativeSpace: 0.2, coverage: 0.05, sheet: 0.2, cellsLn: 0.5 },
      after: { negativeSpace: 0.08, coverage: 0.04, sheet: 0.1, cellsLn: 0.4 },
    };
    await send(studio, 'PUT', '/api/film-fit', { fit });
    const panel = await pieceNamed(studio, 'Door panel');
    await page.goto(`/plan/${panel}`);
    await page.getByText('Air', { exact: true }).click();
    await press(page, 'Run it in the film');
    await expect(
      page.getByText(/covers \d+\s%, base left open \d+\s%, on average 8\s% off by your 9 pours/),
    ).toBeVisible({
      timeout: 120_000,
    });
    await expect(page.getByRole('img', { name: 'What the film forecasts' })).toBeVisible();

    await page.goto('/practice/fit');
    await expect(page.getByText('Rehearsals use it.')).toBeVisible();
    await expect(page.getByRole('row', { name: /Your breath/ })).toContainText('3.10, 2.63 to 3.65');
    await press(page, 'Back to the usual film');
    await expect(page.getByText('Rehearsals use the usual film again.')).toBeVisible();
    await expect(page.getByText('not fitted yet').first()).toBeVisible();
  },
);
