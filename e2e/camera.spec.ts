import { readFileSync } from 'node:fs';
import { faceShot, swatchShot } from './support/photo.ts';
import { mixedPiece, send } from './support/pieces.ts';
import { expect, test } from './support/studio.ts';

const CUPS = ['Deep blue', 'Copper'].map((paint) => ({ paint, role: 'color', recipeId: 'D2' }));
const jpeg = (buffer: Buffer, name = 'picture.jpg') => ({ name, mimeType: 'image/jpeg', buffer });

interface Seen {
  readonly support: { readonly widthMm: number; readonly heightMm: number };
  readonly photos: readonly {
    readonly state: string;
    readonly original: string | null;
    readonly widthPx: number;
  }[];
}

test('the camera beside the pour: bare spots are marked, puddles are sized, the picture is kept', async ({
  page,
  studio,
}) => {
  const pieceId = await mixedPiece(studio, 'dutch', CUPS);
  const { support } = await send<Seen>(studio, 'GET', `/api/pieces/${pieceId}`);
  const { widthMm: w, heightMm: h } = support;
  await page.goto(`/pour/${pieceId}`);
  await page.getByRole('button', { name: 'Camera', exact: true }).click();
  const drawer = page.getByRole('region', { name: 'Camera' });
  const choose = drawer.locator('input[type=file]');
  await drawer.getByLabel('The base, wet, as a number').fill('#e9e6dc');
  await drawer.getByLabel('The bare ground, as a number').fill('#e6e3da');
  await choose.setInputFiles(jpeg(await faceShot(support, '#e9e6dc', '')));
  await expect(drawer.getByRole('alert')).toContainText('Look along the face against the light');
  // One that is no picture says so, and leaves nothing of the one before.
  await choose.setInputFiles(jpeg(Buffer.from('no picture'), 'other.jpg'));
  await expect(drawer.getByRole('alert')).toContainText('no picture that the browser can read');
  await expect(drawer.getByRole('button', { name: 'Keep it at the piece' })).toBeHidden();
  await choose.setInputFiles(jpeg(await faceShot(support, '#e9e6dc', '')));

  await drawer.getByLabel('The bare ground, as a number').fill('#8a6a48');
  await expect(drawer.getByText('It is covered')).toBeVisible();
  const spot = `<ellipse cx="${0.2 * w}" cy="${0.3 * h}" rx="12" ry="6" fill="#8a6a48"/>`;
  await choose.setInputFiles(jpeg(await faceShot(support, '#e9e6dc', spot)));
  const share = (100 * Math.PI * 12 * 6) / (w * h);
  await expect(drawer.getByText(/Bare on .* one spot, the largest 17\smm across/)).toBeVisible();
  const said = Number(/Bare on ([\d.]+)/.exec((await drawer.locator('.said').first().textContent())!)![1]);
  expect(Math.abs(said - share)).toBeLessThan(0.12);

  const puddles = [14, 14, 14, 21, 14]
    .map((d, at) => `<circle cx="${(0.14 + 0.18 * at) * w}" cy="${0.5 * h}" r="${d / 2}" fill="#24557a"/>`)
    .join('');
  await drawer.getByText('How even are the puddles?').click();
  await choose.setInputFiles(jpeg(await faceShot(support, '#e9e6dc', puddles)));
  await expect(drawer.getByText('5 puddles in a row.')).toBeVisible();
  await expect(drawer.getByText(/the 4th is large \(21\smm\)/)).toBeVisible();
  await expect(drawer.getByRole('row')).toHaveCount(6);

  await drawer.getByRole('button', { name: 'Keep it at the piece' }).click();
  await expect(page.getByText('The photo is at the piece.')).toBeVisible();
  const { photos } = await send<Seen>(studio, 'GET', `/api/pieces/${pieceId}`);
  expect(photos.map(({ state }) => state)).toEqual(['wet']);
});

test('a color beside a gray card becomes the color that is matched, by mouse and by keys', async ({
  page,
}) => {
  await page.goto('/shelf');
  await page.getByText('Match a color').click();
  const part = page.getByRole('region', { name: 'A color from a picture' });
  await part.locator('input[type=file]').setInputFiles(jpeg(await swatchShot('#2f7a5c')));
  const picture = part.getByRole('application');
  const at = async (x: number, y: number) => {
    const box = (await picture.boundingBox())!;
    await page.mouse.click(box.x + box.width * x, box.y + box.height * y);
  };
  await expect(part.getByRole('status')).toHaveText('Click the gray card, well inside it.');
  await at(0.25, 0.5);
  await expect(part.getByRole('status')).toHaveText('Now click the color.');
  await at(0.7, 0.5);
  await expect(part.getByText(/nine in ten within dE2000/)).toBeVisible();
  const target = page.getByLabel('The color you want, as a number');
  const near = async () => {
    const hex = await target.inputValue();
    const channel = (of: string, start: number) => Number.parseInt(of.slice(start, start + 2), 16);
    return Math.max(...[1, 3, 5].map((start) => Math.abs(channel(hex, start) - channel('#2f7a5c', start))));
  };
  expect(await near()).toBeLessThanOrEqual(4);

  await part.getByRole('button', { name: 'Begin anew' }).click();
  await target.fill('#000000');
  await picture.focus();
  for (let step = 0; step < 2; step += 1) await page.keyboard.press('Shift+ArrowLeft');
  await page.keyboard.press('Enter');
  for (let step = 0; step < 4; step += 1) await page.keyboard.press('Shift+ArrowRight');
  await page.keyboard.press('Enter');
  await expect.poll(near).toBeLessThanOrEqual(4);

  // A click beside the card, where there is none to be gray.
  await part.getByRole('button', { name: 'Begin anew' }).click();
  await at(0.25, 0.3);
  await at(0.7, 0.5);
  await expect(part.getByRole('alert')).toContainText('click well inside it');
});

test('a photo goes on where it stopped after a broken line and a reload; the file as it came is kept', async ({
  page,
  studio,
  context,
}) => {
  const pieceId = await mixedPiece(studio, 'dutch', CUPS);
  await page.goto(`/results/${pieceId}`);
  await page.getByText('Keep the camera’s file too').click();
  const { support } = await send<Seen>(studio, 'GET', `/api/pieces/${pieceId}`);
  const photo = jpeg(await faceShot(support, '#e9e6dc', ''));
  // The line breaks in the middle of the first photo.
  await context.route('**/api/uploads/**', (route) =>
    route.request().method() === 'PATCH' ? route.abort() : route.continue(),
  );
  await page.getByLabel('Photo files').setInputFiles(photo);
  await expect(page.getByRole('status').filter({ hasText: 'Photo of' })).toContainText('% sent');
  await page.reload();
  await expect(page.getByRole('status').filter({ hasText: 'Photo of' })).toBeVisible();
  await context.unroute('**/api/uploads/**');
  await expect(page.getByRole('status').filter({ hasText: 'Photo of' })).toBeHidden({ timeout: 30_000 });
  const seen = () => send<Seen>(studio, 'GET', `/api/pieces/${pieceId}`).then(({ photos }) => photos);
  await expect.poll(seen).toMatchObject([{ original: 'jpeg' }]);
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'The camera’s own file' }).click();
  expect(readFileSync(await (await download).path()).equals(photo.buffer)).toBe(true);
});
