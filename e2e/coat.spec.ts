import { expect, test } from './support/studio.ts';

test.use({ demo: true, onlyLooks: true });

test('a coat of resin is reckoned for a piece with its kit, and a ratio of 0 is answered', async ({
  page,
  studio,
}) => {
  const answer = await fetch(`${studio.address}/api/pieces?pageSize=100`);
  const { items } = (await answer.json()) as { items: { id: string; name: string }[] };
  await page.goto(`/results/${items.find(({ name }) => name === 'Small bloom 8')!.id}`);
  await page.getByRole('button', { name: 'Coat with resin' }).click();
  const sheet = page.getByRole('dialog', { name: 'A coat of resin' });
  // 25 x 25 cm with sides of 1.8 cm, 1.5 mm and 15 % drips: (62 500 + 18 000) mm2 x 1.5 mm x 1.15 = 138.9 ml.
  await expect(sheet.getByText(/139\sml in all/)).toBeVisible();
  await expect(sheet.getByRole('row', { name: /Part A/ })).toContainText(/69\sml77\.8\sg/);
  await sheet.getByText('by weight').click();
  await sheet.getByLabel('Part A of the ratio').fill('2');
  await sheet.getByLabel('Part A of the ratio').press('Tab');
  await expect(sheet.getByRole('row', { name: /Part B/ })).toContainText(/50\.[0-9]\sg/);
  await sheet.getByLabel('Thickness of the coat').fill('7');
  await sheet.getByLabel('Thickness of the coat').press('Tab');
  await expect(sheet.getByText(/in 3 pours, each set before the next/)).toBeVisible();
  await sheet.getByLabel('Part A of the ratio').fill('0');
  await sheet.getByLabel('Part A of the ratio').press('Tab');
  await expect(sheet.getByRole('alert')).toHaveText(/Both parts of the ratio are above 0/);
  await expect(sheet.getByText(/respirator for organic vapor/)).toBeVisible();
});
