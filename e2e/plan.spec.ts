import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { mixedPiece, readCups, send, splitDutch, type Json } from './support/pieces.ts';
import { choose } from './support/steps.ts';
import { expect, test, type Studio } from './support/studio.ts';

interface Laid {
  readonly plan: {
    readonly stacks: readonly { readonly at: { x: number; y: number }; readonly footprintMm: number }[];
    readonly passes: readonly object[];
    readonly base: { readonly pattern: string; readonly seam: { control: { x: number } } } | null;
  };
}

/** A bloom set whose thicknesses contrast as they should. */
async function bloomPiece(studio: Studio): Promise<string> {
  const pieceId = await mixedPiece(studio, 'bloom', [
    { paint: 'Wall white', role: 'pillow', recipeId: 'P1', totalMg: 200_000 },
    { paint: 'Fluid teal', role: 'color', recipeId: 'B1', totalMg: 80_000 },
    { paint: 'Fluid white', role: 'color', recipeId: 'B1', totalMg: 80_000 },
    { paint: 'White', role: 'activator', recipeId: 'A1', totalMg: 60_000 },
  ]);
  await readCups(studio, pieceId, { 'Wall white': 500, 'Fluid teal': 380, 'Fluid white': 370, White: 70 });
  return pieceId;
}

async function dutchPiece(studio: Studio): Promise<string> {
  const pieceId = await splitDutch(studio);
  await readCups(studio, pieceId, { White: 90, 'Lamp black': 90, 'Deep blue': 90, 'Sea green': 90 });
  return pieceId;
}

const check = (page: Page) => page.getByRole('region', { name: 'The check' });
const planOf = async (studio: Studio, pieceId: string) =>
  (await send<Json & Laid>(studio, 'GET', `/api/pieces/${pieceId}`)).plan;

/** Where a place of the support lies on the screen. */
async function onScreen(page: Page, support: { width: number; height: number }, x: number, y: number) {
  const box = (await page.locator('.konvajs-content').boundingBox())!;
  const scale = Math.min((box.width - 36) / support.width, (box.height - 36) / support.height);
  return {
    x: box.x + (box.width - support.width * scale) / 2 + x * scale,
    y: box.y + (box.height - support.height * scale) / 2 + y * scale,
  };
}

const SQUARE = { width: 250, height: 250 };

test('a center bloom is laid out, pulled, undone and brought to a clean check with the pointer', async ({
  page,
  studio,
}) => {
  const pieceId = await bloomPiece(studio);
  await page.goto(`/plan/${pieceId}`);
  await expect(check(page)).toContainText('Choose a layout above');
  await page.getByRole('button', { name: 'Lay it out' }).click();
  await expect(page.getByRole('region', { name: 'Core sample' })).toContainText('Wall white');
  await expect(page.getByRole('region', { name: 'Core sample' })).toContainText(/opens in|holds|dries|sinks/);
  await expect(page.getByRole('region', { name: 'Amounts', exact: true })).toContainText(
    /Fluid teal[\d.]+\sg/,
  );

  const middle = await onScreen(page, SQUARE, 125, 125);
  const aside = await onScreen(page, SQUARE, 150, 140);
  await page.mouse.move(middle.x, middle.y);
  await page.mouse.down();
  await page.mouse.move(aside.x, aside.y, { steps: 8 });
  await page.mouse.up();
  await expect.poll(async () => (await planOf(studio, pieceId))?.stacks[0]?.at.x).toBeGreaterThan(140);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(async () => (await planOf(studio, pieceId))?.stacks[0]?.at.x).toBe(125);

  const ring = (await planOf(studio, pieceId)).stacks[0]!.footprintMm / 2;
  const handle = await onScreen(page, SQUARE, 125 + ring, 125);
  const wider = await onScreen(page, SQUARE, 125 + ring + 20, 125);
  await page.mouse.move(handle.x, handle.y);
  await page.mouse.down();
  await page.mouse.move(wider.x, wider.y, { steps: 6 });
  await page.mouse.up();
  await expect
    .poll(async () => (await planOf(studio, pieceId)).stacks[0]!.footprintMm)
    .toBeGreaterThan(2 * ring + 25);

  await page.keyboard.press('Escape');
  await mendAll(page, (button) => button.click());
  await expect(check(page)).toContainText('Nothing is left to see to');
});

/** Presses the first fix until none is left; each must do something. */
async function mendAll(page: Page, press: (button: ReturnType<Page['locator']>) => Promise<void>) {
  const fixes = check(page).getByRole('listitem');
  for (let round = 0; round < 25; round += 1) {
    const left = await fixes.count();
    if (left === 0) return;
    const said = await check(page).textContent();
    await press(fixes.getByRole('button').first());
    await expect(check(page)).not.toHaveText(said ?? '');
  }
}

test('a split Dutch is planned to a clean check by keyboard only', async ({ page, studio }) => {
  const pieceId = await dutchPiece(studio);
  await page.goto(`/plan/${pieceId}`);
  await expect(check(page)).toContainText('Choose a layout above');
  await page.getByLabel('Ready layout').focus();
  await page.keyboard.press('Enter');
  for (let step = 0; step < 8; step += 1) {
    const marked = page.locator('.ant-select-item-option-active');
    if ((await marked.textContent())?.startsWith('Split base')) break;
    await page.keyboard.press('ArrowDown');
  }
  await page.keyboard.press('Enter');
  await page.getByRole('heading', { name: 'Plan' }).click();
  await page.keyboard.press('l');
  await expect.poll(async () => (await planOf(studio, pieceId))?.base?.pattern).toBe('split');
  await page.keyboard.press('n');
  await expect(page.getByRole('region', { name: 'Flood 1' })).toBeVisible();
  await page.keyboard.press('n');
  await expect(page.getByRole('region', { name: 'Ribbon 2' })).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Shift+ArrowLeft');
  await page.keyboard.press('d');
  await expect(page.getByRole('region', { name: 'Ribbon 3' })).toBeVisible();
  await page.keyboard.press('Delete');
  await page.keyboard.press('c');
  await mendAll(page, async (button) => {
    await button.focus();
    await page.keyboard.press('Enter');
  });
  await expect(check(page)).toContainText('Nothing is left to see to');
  await page.keyboard.press('u');
  await expect(check(page).getByRole('listitem')).toHaveCount(1);
});

test.describe('by touch', () => {
  test.use({ hasTouch: true, viewport: { width: 1024, height: 768 } });

  test('a bloom is put down with a tap, dragged with a finger, and brought to a clean check', async ({
    page,
    studio,
  }) => {
    const pieceId = await bloomPiece(studio);
    await page.goto(`/plan/${pieceId}`);
    await page.getByRole('button', { name: 'Stack', exact: true }).tap();
    const spot = await onScreen(page, SQUARE, 100, 110);
    await page.touchscreen.tap(spot.x, spot.y);
    await expect.poll(async () => (await planOf(studio, pieceId))?.stacks.length).toBe(1);
    const to = await onScreen(page, SQUARE, 125, 125);
    const finger = await page.context().newCDPSession(page);
    const touch = (type: string, at: { x: number; y: number }[]) =>
      finger.send('Input.dispatchTouchEvent', { type: type as 'touchStart', touchPoints: at });
    await touch('touchStart', [spot]);
    for (let step = 1; step <= 6; step += 1) {
      const share = step / 6;
      await touch('touchMove', [
        { x: spot.x + (to.x - spot.x) * share, y: spot.y + (to.y - spot.y) * share },
      ]);
    }
    await touch('touchEnd', []);
    await expect.poll(async () => (await planOf(studio, pieceId)).stacks[0]!.at.x).toBeGreaterThan(115);
    await page.getByText(/^Check/).tap();
    await mendAll(page, (button) => button.tap());
    await expect(check(page)).toContainText('Nothing is left to see to');
    await expect.poll(async () => (await planOf(studio, pieceId)).passes.length).toBeGreaterThan(3);
  });
});

test('what is short is mixed with its grams, and a paint not mixed yet becomes a cup of the plan', async ({
  page,
  studio,
}) => {
  const pieceId = await dutchPiece(studio);
  await page.goto(`/plan/${pieceId}`);
  await page.getByText('Base', { exact: true }).click();
  await page.getByRole('button', { name: 'Plan a paint not mixed yet' }).click();
  await choose(page, 'Paint', 'Warm red');
  await page.getByRole('button', { name: 'Plan with it' }).click();
  await page.keyboard.press('l');
  const amounts = page.getByRole('region', { name: 'Amounts', exact: true });
  await expect(amounts).toContainText(/Warm red[\d.]+\sgnot mixed yet/);
  await amounts.getByRole('button', { name: 'Mix what is missing' }).click();
  await expect(page.getByRole('heading', { name: 'Mix' })).toBeVisible();
  await expect(page.getByRole('article', { name: 'Cup Warm red' })).toBeVisible();
  await page.goto(`/plan/${pieceId}`);
  await expect(amounts).toContainText(/Warm red/);

  await page.getByText('Base', { exact: true }).click();
  await page.getByRole('button', { name: 'Plan a paint not mixed yet' }).click();
  await choose(page, 'Paint', 'Ochre');
  await page.getByRole('button', { name: 'Plan with it' }).click();
  await expect(page.getByText('Ochre is planned: lay it out, or add it to a stack.')).toBeVisible();
  await page.getByRole('button', { name: 'Plan without Ochre' }).click();
  await expect(page.getByText('Ochre, not mixed yet')).toHaveCount(0);
});

test('an order is searched in a worker; files come out; the same is scaled to a new piece', async ({
  page,
  studio,
}) => {
  const pieceId = await bloomPiece(studio);
  await page.goto(`/plan/${pieceId}`);
  await page.getByRole('button', { name: 'Lay it out' }).click();
  await page.getByText('Order', { exact: true }).click();
  const order = page.getByRole('region', { name: 'Order advice' });
  await choose(page, 'Lies lowest, or is laid first', 'Fluid white');
  await order.getByRole('button', { name: 'Suggest an order' }).click();
  await expect(order).toContainText(/Every order was looked at in \d+ ms|lies well as it is/);

  const out = async (label: string) => {
    await page.getByRole('button', { name: 'Take out' }).click();
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByText(label, { exact: true }).click(),
    ]);
    return readFileSync(await download.path());
  };
  expect((await out('Drawing, SVG')).toString()).toMatch(/^<svg [^>]*width="274mm"/);
  expect((await out('Picture, PNG')).subarray(1, 4).toString()).toBe('PNG');
  const document = JSON.parse((await out('Plan, JSON')).toString()) as { plan: { stacks: object[] } };
  expect(document.plan.stacks).toHaveLength(1);

  await page.getByRole('button', { name: 'Take out' }).click();
  await page.getByText('Run sheet, to print', { exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Raced' })).toBeVisible();
  await expect(page.getByText(/Stack 1, .*Wall white, then/)).toBeVisible();
  await page.getByRole('link', { name: 'Back to the plan' }).click();

  await page.getByRole('button', { name: 'Scale up' }).click();
  await choose(page, 'Support to scale to', 'Panel 50 x 70');
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('A breath reaches no further');
  await dialog.getByRole('button', { name: 'Start that piece' }).click();
  await expect(page.getByText('Raced, on Panel 50 x 70').first()).toBeVisible();
  await expect(page.getByRole('region', { name: 'Amounts', exact: true })).toContainText(
    /Fluid teal[\d.]+\sgnot mixed yet/,
  );
});

test('two tabs: what the other one planned is shown beside one’s own, and the artist decides', async ({
  page,
  context,
  studio,
}) => {
  const pieceId = await bloomPiece(studio);
  // It has not heard of the other's change yet when its own is made.
  await page.route('**/api/live?*', (route) => route.abort());
  await page.goto(`/plan/${pieceId}`);
  await expect(check(page)).toContainText('Choose a layout above');
  const other = await context.newPage();
  await other.goto(`/plan/${pieceId}`);
  await other.getByRole('button', { name: 'Lay it out' }).click();
  await expect.poll(async () => (await planOf(studio, pieceId))?.stacks.length).toBe(1);
  await page.keyboard.press('b');
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('Changed elsewhere');
  await dialog.getByRole('button', { name: 'Take what is there' }).click();
  await expect(page.getByRole('region', { name: 'Core sample' })).toContainText('Wall white');
});

test('an edit that never reached the server is there again when the page is', async ({ page, studio }) => {
  const pieceId = await bloomPiece(studio);
  await page.goto(`/plan/${pieceId}`);
  await expect(check(page)).toContainText('Choose a layout above');
  await page.route('**/plan', (route) => route.abort());
  await page.getByRole('button', { name: 'Lay it out' }).click();
  await expect(page.getByRole('region', { name: 'Amounts', exact: true })).toContainText('Wall white');
  await page.waitForTimeout(800);
  await page.goto('about:blank');
  await page.unrouteAll({ behavior: 'ignoreErrors' });
  await page.goto(`/plan/${pieceId}`);
  await expect.poll(async () => (await planOf(studio, pieceId))?.stacks.length).toBe(1);
});
