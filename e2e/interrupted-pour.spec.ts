import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { expect, test, type Studio } from './support/studio.ts';

test.use({ demo: true });

async function pieceId(page: Page, studio: Studio, name: string): Promise<string> {
  const answer = await page.request.get(`${studio.address}/api/pieces?q=${encodeURIComponent(name)}`);
  return ((await answer.json()) as { items: { id: string }[] }).items[0]!.id;
}

async function notesOf(page: Page, studio: Studio, id: string): Promise<string[]> {
  // A connection that was idle may just be closed by the server when it is used again.
  const answer = await page.request.get(`${studio.address}/api/pieces/${id}`, { maxRetries: 3 });
  const { events } = (await answer.json()) as { events: { kind: string; data: { text: string } }[] };
  return events.filter((event) => event.kind === 'note').map((event) => event.data.text);
}

async function note(page: Page, words: string): Promise<void> {
  await expect(page.getByRole('region', { name: 'The pour so far' })).toBeVisible();
  await page.keyboard.press('n');
  await page.getByLabel('In your words').fill(words);
  await page.getByRole('button', { name: 'Log it' }).click();
  await expect(page.getByRole('region', { name: 'The pour so far' })).toContainText(words);
}

const away = (page: Page) =>
  page.route('**/api/pieces/*/events', (route) => route.abort('connectionrefused'));

test('two tabs log one pour: each shows what the other logged, and nothing is there twice', async ({
  page,
  context,
  studio,
}) => {
  const id = await pieceId(page, studio, 'Lichen drift');
  const other = await context.newPage();
  await page.goto(`/pour/${id}`);
  await other.goto(`${studio.address}/pour/${id}`);
  await note(page, 'from the one tab');
  await expect(other.getByRole('region', { name: 'The pour so far' })).toContainText('from the one tab');
  await away(other);
  await note(other, 'while the line was down');
  await other.unrouteAll();
  await note(other, 'from the other tab');
  await expect(page.getByRole('region', { name: 'The pour so far' })).toContainText('from the other tab');
  await expect(async () => {
    expect(await notesOf(page, studio, id)).toEqual([
      'from the one tab',
      'while the line was down',
      'from the other tab',
    ]);
  }).toPass();
});

test('the battery dies in mid-pour while the server is away: the next start has it all', async ({
  page,
  studio,
}) => {
  const id = await pieceId(page, studio, 'Lichen drift');
  const profile = mkdtempSync(join(tmpdir(), 'icy-ribbon-profile-'));
  const launch = () =>
    chromium.launchPersistentContext(profile, {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: ['--no-sandbox', '--no-first-run'],
    });
  try {
    const before = await launch();
    const tab = await before.newPage();
    await tab.goto(`${studio.address}/pour/${id}`);
    await away(tab);
    await note(tab, 'before the battery died');
    await expect(tab.getByText('kept here, not sent yet')).toBeVisible();
    // Every process of this browser at once, with no time to write anything down.
    execFileSync('pkill', ['-9', '-f', profile]);
    await before.close().catch(() => {});
    expect(await notesOf(page, studio, id)).toEqual([]);

    const after = await launch();
    const again = await after.newPage();
    await again.goto(`${studio.address}/pour/${id}`);
    await expect(again.getByRole('region', { name: 'The pour so far' })).toContainText(
      'before the battery died',
    );
    await expect(async () => {
      expect(await notesOf(page, studio, id)).toEqual(['before the battery died']);
    }).toPass();
    await after.close();
  } finally {
    rmSync(profile, { recursive: true, force: true });
  }
});

test('what was logged is changed in its place; a wait goes on while another piece is seen to', async ({
  page,
  studio,
}) => {
  const id = await pieceId(page, studio, 'Lichen drift');
  await page.goto(`/pour/${id}`);
  const line = page.getByRole('region', { name: 'The pour so far' });

  await test.step('a pass is logged with the wrong distance and set right', async () => {
    await page.keyboard.press('p');
    await page.getByLabel('Distance').fill('10');
    await page.getByRole('button', { name: 'Log the pass' }).click();
    await line
      .getByRole('button', { name: /10\scm/ })
      .last()
      .click();
    await page.getByLabel('Distance').fill('14,5');
    await page.getByRole('button', { name: 'Keep the change' }).click();
    await expect(line).toContainText('14.5 cm');
    await expect(line).toContainText('changed');
    await expect(line).not.toContainText('10 cm, 25');
  });

  await test.step('a wait starts, and the other piece on the table is opened', async () => {
    await page.keyboard.press('w');
    await page.getByRole('textbox', { name: 'Seconds' }).fill('90');
    await page.getByRole('button', { name: 'Start the wait' }).click();
    await page.keyboard.press('Escape');
    const table = page.getByRole('list', { name: 'Pieces on the table' });
    await expect(table.getByRole('button', { name: /Lichen drift 1:[12]/ })).toBeVisible();
    const second = table.getByRole('button').filter({ hasNotText: 'Lichen drift' }).first();
    await second.click();
    await expect(page).not.toHaveURL(new RegExp(id));
    await expect(table.getByRole('button', { name: /Lichen drift \d:/ })).toBeVisible();
    await page.reload();
    await table.getByRole('button', { name: /Lichen drift \d:/ }).click();
    await expect(page).toHaveURL(new RegExp(id));
    await expect(line).toContainText('14.5 cm');
    await page.keyboard.press('w');
    await page.getByRole('button', { name: 'It is over' }).click();
    await expect(line).toContainText('Waited');
  });
});
