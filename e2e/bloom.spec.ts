import { answerTest } from './support/runSheet.ts';
import { expect, test } from './support/studio.ts';

test.use({ demo: true });

test('a planned bloom is poured step by step, broken off and gone on with, photographed, measured and judged', async ({
  page,
  context,
  studio,
}) => {
  const list = await (await page.request.get(`${studio.address}/api/pieces?q=Door`)).json();
  const id = (list as { items: { id: string }[] }).items[0]!.id;
  await page.goto(`/pour/${id}`);

  await test.step('follows the run sheet and logs what happens between', async () => {
    await expect(page.getByText('Level the support both ways')).toBeVisible();
    await page.keyboard.press('Space');
    await expect(page.getByText(/^Step 2 of/)).toBeVisible();
    await page.keyboard.press('n');
    await page.getByLabel('In your words').fill('pillow a little stiff');
    await page.getByRole('button', { name: 'Log it' }).click();
    await expect(page.getByText('pillow a little stiff')).toBeVisible();
    await page.keyboard.press('Space');
    await expect(page.getByText(/^Step 3 of/)).toBeVisible();
  });

  await test.step('the server is away, the tab is closed: what was logged is still there', async () => {
    await page.route('**/api/pieces/*/events', (route) => route.abort('connectionrefused'));
    await page.keyboard.press('Space');
    await expect(page.getByText('kept here, not sent yet').last()).toBeVisible();
    await expect(page.getByText(/^Step 4 of/)).toBeVisible();
    await page.close();
  });

  const again = await context.newPage();
  await test.step('the server was killed meanwhile; a new tab goes on where it was', async () => {
    await studio.killAndRestart();
    await again.goto(`${studio.address}/pour/${id}`);
    await expect(again.getByText(/^Step 4 of/)).toBeVisible();
    await expect(again.getByText('kept here, not sent yet')).toHaveCount(0);
    const { events } = (await (await again.request.get(`${studio.address}/api/pieces/${id}`)).json()) as {
      events: { kind: string }[];
    };
    expect(events.filter((event) => event.kind === 'layer')).toHaveLength(2);
    expect(events.filter((event) => event.kind === 'plan')).toHaveLength(1);
  });

  await test.step('goes through the rest', async () => {
    for (let step = 4; step < 40; step += 1) {
      if (await again.getByText('The run sheet is done.').isVisible()) break;
      const number = again.getByText(/^Step \d+ of/);
      const before = await number.textContent();
      const wait = again.getByRole('button', { name: 'It was this long' });
      const form = again.getByRole('button', { name: 'Log it' });
      await answerTest(again);
      if (await wait.isVisible()) await wait.click();
      else if (await form.isVisible()) await form.click();
      else await again.getByRole('button', { name: 'Done', exact: true }).click();
      await expect(async () => {
        const done = await again.getByText('The run sheet is done.').isVisible();
        expect(done || (await number.textContent()) !== before).toBe(true);
      }).toPass();
    }
    await again.getByRole('button', { name: 'Look and judge' }).click();
  });

  await test.step('measures the photo', async () => {
    await again.getByRole('button', { name: 'Measure it' }).click();
    await expect(again.getByRole('button', { name: /^Corner top left/ })).toBeVisible();
    await again.getByRole('button', { name: /^Corner top left/ }).focus();
    await again.keyboard.press('ArrowRight');
    await again.keyboard.press('ArrowLeft');
    await again.getByRole('button', { name: 'Measure', exact: true }).click();
    await expect(again.getByRole('region', { name: 'Measured on the photo' })).toBeVisible();
    await again.getByRole('checkbox', { name: 'cells' }).check();
    await again.getByRole('checkbox', { name: 'net' }).check();
  });

  await test.step('pins a fault and asks why', async () => {
    await again.getByLabel('Which fault').click();
    await again.getByTitle('Mud', { exact: true }).click();
    await again.getByRole('button', { name: 'Pin it on the photo' }).click();
    await again.getByRole('img', { name: 'Door panel, wet' }).click();
    await expect(again.getByRole('button', { name: 'Fault 1: Mud' })).toBeVisible();
    await expect(again.getByRole('region', { name: 'Why: Mud' })).toContainText('Overworked');
  });

  await test.step('pours it again', async () => {
    await again.getByRole('button', { name: 'Again', exact: true }).click();
    await again.getByRole('button', { name: 'Make the plan' }).click();
    await expect(again).toHaveURL(/\/plan\//);
    await expect(again.getByRole('link', { name: /Door panel, again/ })).toBeVisible();
  });
});

test('two pours are compared, charted and asked what made the difference', async ({ page, studio }) => {
  await page.goto('/results');
  await page.getByLabel('Compare Small bloom 12').check();
  await page.getByLabel('Compare Small bloom 11').check();
  await page.getByRole('link', { name: 'Compare 2 pours' }).click();
  await expect(page.getByRole('region', { name: 'Outcome' })).toContainText('Cell size');
  await expect(page.getByRole('img', { name: /Small bloom 12/ })).toBeVisible();
  await page.getByRole('link', { name: 'Back to the results' }).click();
  await page.getByRole('button', { name: 'Charts' }).click();
  // In the film the thickness of the activator hardly changes its cells, and so it says.
  await expect(page.getByText(/^1\d pours do not tell whether it goes up or down/)).toBeVisible();
  await page.getByRole('button', { name: 'What made the difference' }).click();
  await expect(page.getByText('The most telling next test.')).toBeVisible();
  await page.getByRole('button', { name: 'Table', exact: true }).click();
  await page.getByLabel('Search results').fill('kelp');
  await expect(page.getByRole('row', { name: /Kelp line/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /Small bloom 12/ })).toBeHidden();
  const zip = await page.request.get(`${studio.address}/api/archive.zip`);
  expect(zip.headers()['content-type']).toContain('zip');
});

test('a piece photographed wet and dry is compared with itself, against its gray card', async ({
  page,
  studio,
}) => {
  const list = await (await page.request.get(`${studio.address}/api/pieces?q=Brass%20moth`)).json();
  await page.goto(`/results/${(list as { items: { id: string }[] }).items[0]!.id}`);
  await page.getByRole('button', { name: 'Wet against dry' }).click();
  await expect(page.getByText(/compared one by one/)).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText(/held against the gray card/)).toBeVisible();

  await test.step('measured again without the card, by colors that are clicked', async () => {
    await page.getByRole('button', { name: 'Measure again' }).click();
    await page.getByRole('button', { name: 'No card' }).click();
    await page.getByRole('button', { name: 'Add a color' }).click();
    await page.getByRole('img', { name: 'The photo to be measured' }).click({ position: { x: 12, y: 12 } });
    await page.getByRole('button', { name: /^Do not look for Color \d$/ }).click();
    await page.getByRole('button', { name: 'Measure', exact: true }).click();
    // Without its card a photo may want the colors confirmed.
    const measured = page.getByText(/Measured in/);
    const sure = page.getByRole('button', { name: 'The colors are right: keep it' });
    await expect(measured.or(sure)).toBeVisible({ timeout: 150_000 });
    if (await sure.isVisible()) await sure.click();
    await expect(measured).toBeVisible();
  });
});
