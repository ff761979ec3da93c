import { expect, type Page } from '@playwright/test';
import { send, type Json } from './pieces.ts';
import type { Studio } from './studio.ts';

interface Poured extends Json {
  readonly events: readonly { readonly kind: string; readonly data: { readonly stepId?: string } }[];
}

/** Waits for what was logged without the line: so many passes and layers at the least, and no layer twice. */
export async function expectPoured(
  studio: Studio,
  pieceId: string,
  least: { readonly pass: number; readonly layer: number },
): Promise<void> {
  const steps = async (kind: string) =>
    (await send<Poured>(studio, 'GET', `/api/pieces/${pieceId}`)).events
      .filter((event) => event.kind === kind)
      .map(({ data }) => data.stepId);
  for (const kind of ['pass', 'layer'] as const) {
    await expect.poll(async () => (await steps(kind)).length).toBeGreaterThanOrEqual(least[kind]);
  }
  const laid = await steps('layer');
  expect(new Set(laid).size).toBe(laid.length);
}

/** Measures the photo that is shown, by touch. */
export async function measureByTouch(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Measure it' }).tap();
  await expect(page.getByRole('button', { name: /^Corner top left/ })).toBeVisible();
  await page.getByRole('button', { name: 'Measure', exact: true }).tap();
  await expect(page.getByRole('region', { name: 'Measured on the photo' })).toBeVisible({ timeout: 90_000 });
}

/** A finger that is drawn across the page. */
export async function swipe(
  page: Page,
  from: readonly [x: number, y: number],
  to: readonly [x: number, y: number],
): Promise<void> {
  const STEPS = 12;
  const devtools = await page.context().newCDPSession(page);
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', points: { x: number; y: number }[]) =>
    devtools.send('Input.dispatchTouchEvent', { type, touchPoints: points });
  await touch('touchStart', [{ x: from[0], y: from[1] }]);
  for (let step = 1; step <= STEPS; step += 1) {
    const share = step / STEPS;
    await touch('touchMove', [
      { x: from[0] + share * (to[0] - from[0]), y: from[1] + share * (to[1] - from[1]) },
    ]);
    await page.waitForTimeout(12);
  }
  await touch('touchEnd', []);
}
