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
