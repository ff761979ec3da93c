import { pieceNamed, send, type Json } from './support/pieces.ts';
import { expect, test } from './support/studio.ts';

test.use({ onlyLooks: true, viewport: { width: 390, height: 844 } });

/** Scripts and styles that a page needs before it can be used, compressed, in a browser that has never been here. To be lowered, never raised. */
const MOST_REQUESTS = 10;
const MOST_KB = 180;

test('Today and At the scale ask for few files before they can be used', async ({ browser, studio }) => {
  const pieceId = await pieceNamed(studio, 'Ember seam');
  const { mixes } = await send<Json & { mixes: Json[] }>(studio, 'GET', `/api/pieces/${pieceId}`);
  for (const path of ['/today', `/mix/${pieceId}/scale/${mixes[0]!.id}`]) {
    const context = await browser.newContext({ baseURL: studio.address });
    const page = await context.newPage();
    const devtools = await context.newCDPSession(page);
    await devtools.send('Network.enable');
    const asked = new Map<string, string>();
    let bytes = 0;
    devtools.on('Network.requestWillBeSent', ({ requestId, request }) => {
      if (/\/assets\/.*\.(js|css)$/.test(request.url)) asked.set(requestId, request.url);
    });
    devtools.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
      if (asked.has(requestId)) bytes += encodedDataLength;
    });
    await page.goto(path);
    await page.locator('main').waitFor();
    await page.waitForLoadState('networkidle');
    // Other stations follow while nothing else is done.
    const said = `${path}: ${asked.size} files, ${Math.round(bytes / 1000)} kB`;
    test.info().annotations.push({ type: 'first load', description: said });
    expect(asked.size, said).toBeLessThanOrEqual(MOST_REQUESTS);
    expect(bytes / 1000, said).toBeLessThanOrEqual(MOST_KB);
    await context.close();
  }
});
