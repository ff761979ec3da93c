import { fuzz, sendTo } from '../harness/fuzz/fuzz.ts';
import { mixedPiece, send, type Json } from './support/pieces.ts';
import { expect, test, type Studio } from './support/studio.ts';

const LONG = 'Wwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwwww'.slice(0, 80);
const CUPS = [
  { paint: 'White', role: 'base', recipeId: 'D2' },
  { paint: 'Deep blue', role: 'color', recipeId: 'D2', totalMg: 5_000_000 },
  { paint: 'Ochre', role: 'color', recipeId: 'D2', totalMg: 1000 },
] as const;
const STATIONS = ['mix', 'thickness', 'thickness/race', 'plan', 'plan/sheet', 'pour', 'results'];
const WHOLE = ['/today', '/shelf', '/cups', '/calibrate', '/results', '/computation', '/safekeeping'];
const pathOf = (station: string, id: string) => {
  const [name, rest] = station.split('/');
  return `/${name}/${id}${rest ? `/${rest}` : ''}`;
};

/** Everything that the server takes, at its edges: the longest names, the largest and smallest of every number. */
async function worstPiece(studio: Studio): Promise<string> {
  const sizes = { shape: 'rectangle', widthMm: 5000, heightMm: 10, sideDepthMm: 200 };
  await send(studio, 'POST', '/api/supports', { name: LONG, ...sizes });
  await send(studio, 'POST', '/api/materials', {
    ...{ name: LONG, kind: 'artist-tube', densityGPerMl: 5, viscosityPaS: 2000, stockMg: 20_000_000 },
    ...{ priceCents: 10_000_000, packMg: 1, note: 'n'.repeat(4000) },
  });
  const id = await mixedPiece(studio, 'dutch', CUPS.slice(1));
  const { version, mixes } = await send<
    Json & { version: number; mixes: (Json & { ingredients: Json[] })[] }
  >(studio, 'GET', `/api/pieces/${id}`);
  await send(studio, 'PATCH', `/api/pieces/${id}`, { version, name: LONG, note: '\u202e'.repeat(4000) });
  for (const { id: cupId, ingredients } of mixes) {
    for (const _ of [1, 2]) {
      void _;
      const body = {
        id: crypto.randomUUID(),
        ingredientId: ingredients[0]!.id,
        mg: 20_000_000,
        source: 'typed',
      };
      await send(studio, 'POST', `/api/mixes/${cupId}/additions`, body);
    }
  }
  const own = { name: LONG, a: 1e-6, b: 0, sdLn: 10 };
  const measures = [
    { kind: 'mound', seconds: 0.001, constant: { ln: -50, sdLn: 10 } },
    { kind: 'mound', seconds: 3600, constant: { ln: 50, sdLn: 0.0001 } },
    { kind: 'drain-cup', cup: 'own', own, seconds: 3600, densityGPerMl: 0.5 },
    { kind: 'drain-cup', cup: 'iso-6', own: null, seconds: 9.1, densityGPerMl: 5 },
  ];
  for (const measure of measures) {
    const reading = {
      id: crypto.randomUUID(),
      cupId: mixes[0]!.id,
      raceId: null,
      temperatureC: -10,
      measure,
    };
    await send(studio, 'POST', `/api/pieces/${id}/readings`, { readings: [reading] });
  }
  const event = (kind: string, data: object, at = '0001-01-01T00:00:00Z') =>
    send(studio, 'POST', `/api/pieces/${id}/events`, { id: crypto.randomUUID(), at, kind, data });
  await event('layer', { cupId: mixes[0]!.id, mg: 20_000_000, at: { x: 0, y: 1 } }, '9999-12-31T23:59:59Z');
  const pass = {
    tool: 'leaf-blower',
    setting: 's'.repeat(40),
    distanceMm: 5,
    slantDeg: 5,
    from: { x: 1, y: 0 },
  };
  await event('pass', { ...pass, directionDeg: 359.999, seconds: 600 });
  await event('wait', { seconds: 86_400, forWhat: 'w'.repeat(2000) });
  await event('spin', { rpm: 400, seconds: 600, way: 'both' });
  await event('note', { text: '<script>alert(1)</script>'.repeat(60) });
  await send(studio, 'PUT', `/api/pieces/${id}/judgement`, {
    ...{ version: 0, rating: 1, verdict: 'scrape', hangingDeg: 270, cells: 4, lacing: 4, petals: 0, mud: 4 },
    ...{ cellSizeMm: 100, tryNext: 't'.repeat(4000), note: 'j'.repeat(4000) },
    faults: Array.from({ length: 60 }, () => ({
      ...{ id: crypto.randomUUID(), kind: 'mud', at: { x: 1, y: 1 }, cupId: null, note: 'f'.repeat(4000) },
    })),
  });
  return id;
}

test('every station opens on the worst that the server takes', async ({ page, studio }) => {
  test.setTimeout(480_000);
  await mixedPiece(studio, 'dutch', CUPS);
  const worst = await worstPiece(studio);
  const report = await fuzz(sendTo(studio.address), { seed: 7, random: 250, systematic: 0 });
  expect(report.failures.map(({ what }) => what).filter((what) => !/ms$/.test(what))).toEqual([]);
  const { items } = await send<{ items: Json[] }>(studio, 'GET', '/api/pieces?pageSize=20');
  const pieces = [worst, ...items.map(({ id }) => id).filter((id) => id !== worst)].slice(0, 3);
  for (const path of [...WHOLE, ...pieces.flatMap((id) => STATIONS.map((station) => pathOf(station, id)))]) {
    await page.goto(path);
    await expect(page.locator('main').first(), path).toBeVisible();
    await expect(page.getByText('Something broke on this page'), path).toBeHidden();
  }
});
