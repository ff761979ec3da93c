import { execFileSync } from 'node:child_process';
import { closeSync, mkdtempSync, openSync, rmSync, writeFileSync, writeSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import type { Page } from '@playwright/test';
import { mixedPiece, send, type Json } from './support/pieces.ts';
import { expect, test, type Studio } from './support/studio.ts';

const CUPS = [
  { paint: 'White', role: 'base', recipeId: 'D2' },
  { paint: 'Deep blue', role: 'color', recipeId: 'D2' },
] as const;
const database = (studio: Studio) => join(studio.folder, 'icy-ribbon.sqlite');

async function rename(studio: Studio, id: string, name: string): Promise<void> {
  const { version } = await send<Json & { version: number }>(studio, 'GET', `/api/pieces/${id}`);
  await send(studio, 'PATCH', `/api/pieces/${id}`, { version, name });
}

const newestRow = (page: Page) => page.locator('tbody tr').first();

test('a backup is made by a button, and put back over what was spoilt since', async ({ page, studio }) => {
  const id = await mixedPiece(studio, 'dutch', CUPS);
  await page.goto('/safekeeping');
  await expect(page.getByText('None yet.')).toBeVisible();
  await page.getByRole('button', { name: 'Back up now' }).click();
  await expect(newestRow(page)).toContainText('made by you');
  await rename(studio, id, 'Spoilt');
  await page.getByRole('button', { name: /^Put back/ }).click();
  await page.getByRole('button', { name: 'Put it back' }).click();
  await page.waitForURL('**/today');
  await page.goto('/results');
  await expect(page.getByRole('row', { name: /Raced/ })).toBeVisible();
  await page.goto('/safekeeping');
  await expect(newestRow(page)).toContainText('before a copy was put back');
});

test('a folder for second copies is checked at its field', async ({ page, studio }) => {
  const second = mkdtempSync(join(tmpdir(), 'icy-ribbon-second-'));
  await page.goto('/safekeeping');
  await page.getByLabel('Folder', { exact: true }).fill('somewhere');
  await page.getByRole('button', { name: 'Use it' }).click();
  await expect(page.getByText('Enter the whole path')).toBeVisible();
  await page.getByLabel('Folder', { exact: true }).fill(second);
  await page.getByRole('button', { name: 'Use it' }).click();
  await expect(page.getByRole('button', { name: 'Stop using it' })).toBeVisible();
  await page.getByRole('button', { name: 'Back up now' }).click();
  await expect(newestRow(page)).toContainText(/in the second folder|same disk, photos linked/);
  void studio;
  rmSync(second, { recursive: true });
});

test('a damaged database leads to its copies, and the newest makes it well', async ({ page, studio }) => {
  await mixedPiece(studio, 'dutch', CUPS);
  await send(studio, 'POST', '/api/safekeeping/backups');
  await studio.stop();
  const file = openSync(database(studio), 'r+');
  writeSync(file, Buffer.alloc(20_000, 0x5a), 0, 20_000, 0);
  closeSync(file);
  await studio.start();
  await page.goto('/today');
  await page.waitForURL('**/safekeeping');
  await expect(page.getByText('The database cannot be read as it is.')).toBeVisible();
  await page.getByRole('button', { name: /^Put back/ }).click();
  await page.getByRole('button', { name: 'Put it back' }).click();
  await page.waitForURL('**/today');
  await page.goto('/results');
  await expect(page.getByRole('row', { name: /Raced/ })).toBeVisible();
});

test('the same from the command line, while nothing runs', async ({ page, studio }) => {
  await mixedPiece(studio, 'dutch', CUPS);
  await send(studio, 'POST', '/api/safekeeping/backups');
  const restore = (...words: string[]) =>
    execFileSync(process.execPath, [resolve(import.meta.dirname, '../server/bundle/restore.js'), ...words], {
      env: { ...process.env, ICY_RIBBON_DATA: studio.folder },
      encoding: 'utf8',
    });
  expect(restore()).toMatch(/Backups, the newest first:\n.*by-hand.*1 pieces, 0 photos/);
  expect(() => restore('newest')).toThrow();
  await studio.stop();
  writeFileSync(database(studio), '');
  expect(restore('newest')).toMatch(/is back, with 1 pieces/);
  await studio.start();
  await page.goto('/results');
  await expect(page.getByRole('row', { name: /Raced/ })).toBeVisible();
});

test('a second start on the same data leads to the server that runs', async ({ studio }) => {
  const said = execFileSync(process.execPath, [resolve(import.meta.dirname, '../server/bundle/main.js')], {
    env: { ...process.env, ICY_RIBBON_DATA: studio.folder, ICY_RIBBON_PORT: '0' },
    encoding: 'utf8',
  });
  expect(said).toContain(`runs already on this data, at ${studio.address}/`);
});

test('a reading that the cup cannot give is not kept, and says what to do instead', async ({
  page,
  studio,
}) => {
  const id = await mixedPiece(studio, 'dutch', CUPS);
  const { mixes } = await send<Json & { mixes: Json[] }>(studio, 'GET', `/api/pieces/${id}`);
  await page.goto(`/thickness/${id}/cup/${mixes[0]!.id}`);
  const seconds = page.getByLabel('Seconds to the break of the stream');
  const keep = page.locator('form.drain').getByRole('button', { name: 'Keep' });
  await seconds.fill('8');
  await expect(page.getByText('drain it from the ISO 2431, 5 mm cup')).toBeVisible();
  await expect(keep).toBeDisabled();
  await seconds.fill('45');
  await expect(keep).toBeEnabled();
  await keep.click();
  await expect(page.getByText('Kept.')).toBeVisible();
});

test('records that were damaged are named, take nothing with them, and can be set aside', async ({
  page,
  studio,
}) => {
  const id = await mixedPiece(studio, 'dutch', CUPS);
  const healthy = await mixedPiece(studio, 'dutch', CUPS.slice(1));
  await rename(studio, healthy, 'Healthy');
  const { mixes } = await send<Json & { mixes: Json[] }>(studio, 'GET', `/api/pieces/${id}`);
  const reading = {
    ...{ id: crypto.randomUUID(), cupId: mixes[0]!.id, raceId: null, temperatureC: null },
    measure: { kind: 'words', stage: 'fading' },
  };
  await send(studio, 'POST', `/api/pieces/${id}/readings`, { readings: [reading] });
  await studio.stop();
  execFileSync(process.execPath, [
    '-e',
    `const file = new (require('better-sqlite3'))(process.argv[1]);
     file.exec("UPDATE reading SET measure = '{\\"kind\\":\\"hydrometer\\"}'");`,
    database(studio),
  ]);
  await studio.start();
  await page.goto('/results');
  await expect(page.getByRole('row', { name: /Healthy/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /Raced/ })).toContainText('cannot be worked out');
  for (const station of ['mix', 'thickness', 'plan', 'pour', 'results']) {
    await page.goto(`/${station}/${id}`);
    await expect(page.getByText('A reading of thickness cannot be read and is left out')).toBeVisible();
    await expect(page.locator('main').first(), station).toBeVisible();
  }
  await page.getByRole('button', { name: 'Set it aside' }).click();
  await expect(page.getByText('cannot be read and is left out')).toBeHidden();
  await page.goto('/results');
  await expect(page.getByRole('row', { name: /Raced/ })).not.toContainText('cannot be worked out');
});

test('a studio goes out as a zip and into another, and says how far it has come', async ({
  page,
  studio,
}) => {
  await mixedPiece(studio, 'dutch', CUPS);
  await page.goto('/results');
  await page.getByRole('button', { name: 'Files' }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Everything as one zip' }).click(),
  ]);
  const zip = join(studio.folder, 'studio.zip');
  await download.saveAs(zip);
  await page.getByLabel('A studio as a zip').setInputFiles(zip);
  await expect(page.getByText('0 pieces came in, 1 were here already')).toBeVisible();
  writeFileSync(zip, 'no zip at all');
  await page.getByLabel('A studio as a zip').setInputFiles(zip);
  await expect(page.getByText('This is no zip')).toBeVisible();
});
