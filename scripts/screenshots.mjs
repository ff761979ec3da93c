/** `npm run screenshots`: one picture of each main view on a fresh demo studio, into docs/screenshots. */
import { join } from 'node:path';
import { ROOT } from './bootstrap.mjs';
import { withStudio } from './studio.mjs';

await withStudio(4497, async ({ address: ADDRESS, page, idOf }) => {
  async function picture(name, path, prepare = async () => {}) {
    await page.goto(ADDRESS + path);
    await page.locator('main').waitFor();
    await page.waitForTimeout(700);
    await prepare();
    await page.waitForTimeout(400);
    await page.screenshot({ path: join(ROOT, 'docs/screenshots', `${name}.png`) });
  }

  await picture('today', '/today');
  await picture('shelf', '/shelf');
  await picture('mix', `/mix/${idOf('Ember seam')}`);
  await picture('at-the-scale', `/mix/${idOf('Ember seam')}`, async () => {
    await page.keyboard.press('w');
    await page.getByText('0.00 g', { exact: true }).waitFor();
    await page.keyboard.press('p');
    await page.waitForTimeout(500);
  });
  await picture('thickness', `/thickness/${idOf('Rain shutter')}`);
  const drift = await (await fetch(`${ADDRESS}/api/pieces/${idOf('Lichen drift')}`)).json();
  await picture('one-cup', `/thickness/${drift.id}/cup/${drift.mixes[2].id}`, async () => {
    await page.waitForTimeout(1200);
  });
  await picture('tilt-race', `/thickness/${idOf('Rain shutter')}/race`, async () => {
    await page.keyboard.press('Space');
    await page.waitForTimeout(2600);
    for (const key of ['4', '2']) await page.keyboard.press(key);
  });
  await picture('plan', `/plan/${idOf('Door panel')}`);
  await picture('practice', '/practice/pour/bloom', async () => {
    await page.getByRole('button', { name: /^Blow its/ }).click();
    await page.getByText('The paint runs.').waitFor({ timeout: 240_000 });
    await page.getByRole('button', { name: 'Pause' }).click();
    await page.waitForTimeout(1500);
  });
  await picture('pour', `/pour/${idOf('Door panel')}`, async () => {
    // Some layers are laid, and a pass is being entered.
    for (let step = 0; step < 8; step += 1) {
      await page.keyboard.press('Space');
      await page.waitForTimeout(300);
    }
    await page.keyboard.press('p');
    await page.waitForTimeout(300);
    await page.getByRole('button', { name: 'Log the pass' }).click();
    await page.getByLabel(/^Direction,/).fill('60');
    await page.waitForTimeout(300);
  });
  await picture('results', '/results');
  await picture(
    'compare',
    `/compare?ids=${idOf('Small bloom 2')},${idOf('Small bloom 12')},${idOf('Small bloom 8')}`,
  );
  // The view that is chosen is remembered.
  await picture('charts', '/results', async () => {
    await page.getByRole('button', { name: 'Charts' }).click();
    await page.waitForTimeout(2000);
  });
  await picture('one-piece', `/results/${idOf('Small bloom 8')}`, async () => {
    await page.getByRole('checkbox', { name: 'cells' }).check();
    await page.getByRole('button', { name: /Middle dented.*Why/ }).click();
    await page.getByRole('heading', { name: 'What went wrong' }).scrollIntoViewIfNeeded();
    await page.waitForTimeout(600);
  });
  await picture('measure', `/results/${idOf('Small bloom 12')}`, async () => {
    await page.getByRole('button', { name: 'Measure again' }).click();
    await page.waitForTimeout(1500);
  });
  await picture('rack', '/rack', () => page.waitForTimeout(1500));
  await picture('sketch', `/rack/${idOf('Tide table 4')}/sketch`, async () => {
    const box = await page.getByRole('application').boundingBox();
    const draw = async (...places) => {
      for (const [index, [x, y]] of places.entries()) {
        await page.mouse.move(box.x + x * box.width, box.y + y * box.height, { steps: 8 });
        if (index === 0) await page.mouse.down();
      }
      await page.mouse.up();
    };
    await page.getByRole('button', { name: /^Oyster/ }).click();
    await draw([0.12, 0.9], [0.4, 0.83], [0.88, 0.93]);
    await page.getByRole('button', { name: /^Rust/ }).click();
    await page.getByRole('button', { name: 'Petal' }).click();
    await draw([0.24, 0.62], [0.05, 0.4]);
    await draw([0.8, 0.75], [0.96, 0.58]);
    await page.waitForTimeout(800);
  });
  // Four screens of a phone side by side.
  const phone = await page
    .context()
    .browser()
    .newContext({
      ...{ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true, deviceScaleFactor: 1 },
    });
  const hand = await phone.newPage();
  const seam = await (await fetch(`${ADDRESS}/api/pieces/${idOf('Ember seam')}`)).json();
  const screens = [];
  for (const path of [
    `/mix/${seam.id}/scale/${seam.mixes[2].id}`,
    `/plan/${idOf('Door panel')}`,
    `/pour/${idOf('Door panel')}`,
    `/results/${idOf('Small bloom 8')}`,
  ]) {
    await hand.goto(ADDRESS + path);
    await hand.locator('main').waitFor();
    await hand.waitForTimeout(1500);
    screens.push((await hand.screenshot()).toString('base64'));
  }
  await phone.close();
  const sheet = await page
    .context()
    .browser()
    .newPage({ viewport: { width: 1280, height: 800 } });
  await sheet.setContent(
    `<body style="margin:0;display:flex;gap:16px;padding:80px 24px;background:#dbe5ea">${screens
      .map((png) => `<img height="640" src="data:image/png;base64,${png}">`)
      .join('')}</body>`,
  );
  await sheet.waitForTimeout(500);
  await sheet.screenshot({ path: join(ROOT, 'docs/screenshots/phone.png') });
  await sheet.close();

  await page.emulateMedia({ colorScheme: 'dark' });
  await picture('drill-dark', '/practice/drill/fan', async () => {
    await page.getByText('Like this').waitFor({ timeout: 240_000 });
    await page.getByRole('application', { name: /^The support/ }).focus();
    for (const turn of ['q', 'e']) {
      await page.keyboard.down(' ');
      await page.waitForTimeout(900);
      await page.keyboard.up(' ');
      await page.keyboard.press(turn);
    }
    await page.waitForTimeout(1500);
  });
});
