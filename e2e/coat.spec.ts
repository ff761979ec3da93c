import { expect, test } from './support/studio.ts';
import { pieceNamed } from './support/pieces.ts';

test.use({ demo: true, onlyLooks: true });

test('a coat of resin is reckoned for a piece with its kit, and a ratio of 0 is answered', async ({
  page,
  studio,
}) => {
  await page.goto(`/rack/${await pieceNamed(studio, 'Small bloom 8')}?view=finish`);
  const part = (name: RegExp) => page.getByRole('row', { name });
  // 25 x 25 cm with sides of 1.8 cm, 1.5 mm and 15 % drips: (62 500 + 18 000) mm2 x 1.5 mm x 1.15 = 138.9 ml.
  await expect(part(/Part A/)).toContainText(/69\sml77\.8\sg/);
  await page.getByText('The kit', { exact: false }).first().click();
  await page.getByText('by weight').last().click();
  await page.getByLabel('Part A of the ratio').fill('2');
  await page.getByLabel('Part A of the ratio').press('Tab');
  await expect(part(/Part B/)).toContainText(/50\.[0-9]\sg/);
  await page.getByLabel('Thickness of the coat').fill('7');
  await page.getByLabel('Thickness of the coat').press('Tab');
  await expect(page.getByText(/3 pours of it, each set before the next/)).toBeVisible();
  await page.getByLabel('Part A of the ratio').fill('0');
  await page.getByLabel('Part A of the ratio').press('Tab');
  await expect(page.getByText(/Both parts of the ratio are above 0/)).toBeVisible();
  await expect(page.getByText(/respirator for organic vapor/)).toBeVisible();
});
