import { openStudio, type Studio } from '../testing/studio.ts';

let studio: Studio;
beforeEach(async () => {
  studio = await openStudio();
});
afterEach(() => studio.close());

const fit = {
  values: { strength: 2.4, friction: 0.021, tauHalfPa: 3.1, ruptureM: 2e-4, spreadingNM: 3e-3, netM: 4e-4 },
  sdLn: { strength: 0.2, friction: 0.3, tauHalfPa: 0.3, ruptureM: 0.3, spreadingNM: 0.4, netM: 0.2 },
  ...{ n: 7, nCells: 4, helps: true },
  before: { negativeSpace: 0.2, coverage: 0.05, sheet: 0.2, cellsLn: 0.6 },
  after: { negativeSpace: 0.1, coverage: null, sheet: 0.1, cellsLn: null },
};
const get = async () => (await studio.http.get('/api/film-fit').expect(200)).body as { fit: unknown };
const put = (body: object) => studio.http.put('/api/film-fit').send(body);

it('there is none until one is kept; the newest counts; null goes back to the usual', async () => {
  expect(await get()).toEqual({ fit: null });
  await put({ fit }).expect(200);
  await put({ fit: { ...fit, n: 8 } }).expect(200);
  expect(await get()).toMatchObject({ fit: { ...fit, n: 8, fittedAt: expect.any(String) as string } });
  await put({ fit: null }).expect(200);
  expect(await get()).toEqual({ fit: null });
});

it('one that was damaged counts as none', async () => {
  await studio.db.insertInto('studio').values({ key: 'film-fit', value: '{"values":' }).execute();
  expect(await get()).toEqual({ fit: null });
});

it.each([
  [{ fit: { ...fit, values: { ...fit.values, strength: 0 } } }, 'fit.values.strength'],
  [{ fit: { ...fit, n: 0 } }, 'fit.n'],
  [{ fit: { ...fit, after: { ...fit.after, coverage: 2 } } }, 'fit.after.coverage'],
])('what no fit can be is refused at its place: %#', async (body, path) => {
  const answer = await put(body);
  expect(answer.status).toBeGreaterThanOrEqual(400);
  expect(answer.body.errors[0].path).toBe(path);
});
