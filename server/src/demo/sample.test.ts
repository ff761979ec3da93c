import { openStudio, type Studio } from '../testing/studio.ts';

let studio: Studio;
beforeEach(async () => {
  studio = await openStudio();
});
afterEach(() => studio.close());

it('a sample is put into an empty studio, poured and measured, and taken out without a trace', async () => {
  const shelf = async () =>
    (await studio.http.get('/api/materials?pageSize=200').expect(200)).body.items as { name: string }[];
  const before = (await shelf()).map(({ name }) => name);
  expect((await studio.http.get('/api/sample').expect(200)).body).toEqual({ pieceId: null });

  const { body } = await studio.http.post('/api/sample').expect(201);
  const { body: piece } = await studio.http.get(`/api/pieces/${body.pieceId}`).expect(200);
  expect(
    piece.photos.map(({ state, standIn }: { state: string; standIn: boolean }) => [state, standIn]),
  ).toEqual([
    ['wet', true],
    ['dry', true],
  ]);
  expect(piece.photos[0].measurement.cells.count).toBeGreaterThan(10);
  expect(piece.judgement.rating).not.toBeNull();
  // What its made-up readings teach stays with its own materials.
  const own = new Set(
    piece.mixes.flatMap((mix: { ingredients: { material: { name: string } }[] }) =>
      mix.ingredients.map(({ material }) => material.name),
    ),
  );
  expect([...own].every((name) => (name as string).startsWith('Sample '))).toBe(true);
  expect((await studio.http.post('/api/sample').expect(201)).body).toEqual(body);

  expect((await studio.http.delete('/api/sample').expect(200)).body).toEqual({ pieceId: null });
  expect((await studio.http.get('/api/pieces').expect(200)).body.total).toBe(0);
  expect((await shelf()).map(({ name }) => name)).toEqual(before);
  expect(studio.faults).toEqual([]);
}, 60_000);
