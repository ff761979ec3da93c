import { expect, type Locator, type Page } from '@playwright/test';

/** Says what was seen, where the step is a test: it is not logged without an answer. */
export async function answerTest(page: Page): Promise<void> {
  for (const seen of ['The middle moves', 'It moves easily', 'No more runs over']) {
    const answer = page.getByText(seen, { exact: true });
    if (await answer.isVisible()) await answer.click();
  }
}

/** One step of a run sheet by its widest button, whatever kind it is: done, waited, logged, or left out. */
export async function doStep(page: Page, press: (button: Locator) => Promise<void>): Promise<void> {
  const number = page.getByText(/^Step \d+ of/);
  const before = await number.textContent();
  const done = page.getByRole('button', { name: 'Done', exact: true });
  const wait = page.getByRole('button', { name: 'It was this long' });
  const form = page.getByRole('button', { name: /^(Log|Keep) / }).first();
  const skip = page.getByRole('button', { name: /^Done, without|^Leave it out/ }).first();
  await answerTest(page);
  if (await done.isVisible()) await press(done);
  else if (await wait.isVisible()) await press(wait);
  else if (await form.isVisible()) await press(form);
  else await press(skip);
  await expect(async () => {
    const over = await page.getByText('The run sheet is done.').isVisible();
    expect(over || (await number.textContent()) !== before).toBe(true);
  }).toPass();
}

/**
 * A run sheet from where it stands to its end.
 *
 * @param meanwhile told before each step, counted from 0
 */
export async function pourBySheet(
  page: Page,
  press: (button: Locator) => Promise<void>,
  meanwhile: (step: number) => Promise<void> = async () => {},
): Promise<void> {
  const MOST = 40;
  for (let step = 0; step < MOST; step += 1) {
    if (await page.getByText('The run sheet is done.').isVisible()) break;
    await meanwhile(step);
    await doStep(page, press);
  }
  await expect(page.getByText('The run sheet is done.')).toBeVisible();
}
