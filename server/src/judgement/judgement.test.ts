import { randomUUID } from 'node:crypto';
import type { Piece } from '@icy-ribbon/contract';
import { openStudio, startPiece, type Studio } from '../testing/studio.ts';

let studio: Studio;
let piece: Piece;
beforeEach(async () => {
  studio = await openStudio();
  piece = await startPiece(studio, 'bloom');
});
afterEach(() => studio.close());

const judged = {
  rating: 4,
  faults: [{ id: randomUUID(), kind: 'dented', at: { x: 0.5, y: 0.5 }, note: 'where it stuck' }],
  hangingDeg: 180,
  verdict: 'finish',
  cells: 2,
  lacing: 1,
  petals: 3,
  mud: 0,
  cellSizeMm: 3.1,
  tryNext: 'further off',
  note: '',
};
const put = (body: object, id = piece.id) => studio.http.put(`/api/pieces/${id}/judgement`).send(body);

it('is kept with its piece, pins and all', async () => {
  const { body } = await put({ ...judged, version: 0 }).expect(200);
  expect(body).toMatchObject({ version: 1, rating: 4, verdict: 'finish', hangingDeg: 180 });
  const { judgement } = (await studio.http.get(`/api/pieces/${piece.id}`).expect(200)).body as Piece;
  expect(judgement?.faults).toEqual([{ ...judged.faults[0], cupId: null }]);
});

it('is changed by the version that was read', async () => {
  await put({ ...judged, version: 0 }).expect(200);
  const { body } = await put({ ...judged, rating: 5, version: 1 }).expect(200);
  expect(body).toMatchObject({ version: 2, rating: 5 });
});

it('two tabs: the second is told what the first one kept', async () => {
  await put({ ...judged, version: 0 }).expect(200);
  const { body } = await put({ ...judged, rating: 1, version: 0 }).expect(409);
  expect(body.current).toMatchObject({ rating: 4, version: 1 });
  expect((await studio.http.get(`/api/pieces/${piece.id}`)).body.judgement.rating).toBe(4);
});

it('of a piece that is gone is refused', async () => {
  await put({ ...judged, version: 0 }, randomUUID()).expect(404);
});

it('a rating is sorted and narrowed by', async () => {
  const other = await startPiece(studio);
  await put({ ...judged, rating: 2, version: 0 }).expect(200);
  await put({ ...judged, rating: 5, version: 0 }, other.id).expect(200);
  const list = async (query: object) =>
    ((await studio.http.get('/api/pieces').query(query).expect(200)).body as { items: Piece[] }).items.map(
      ({ id }) => id,
    );
  expect(await list({ sort: 'rating' })).toEqual([other.id, piece.id]);
  expect(await list({ ratingFrom: 3 })).toEqual([other.id]);
});

it('its words are searched', async () => {
  await put({ ...judged, version: 0 }).expect(200);
  const found = async (q: string) => (await studio.http.get('/api/pieces').query({ q })).body.total as number;
  expect([await found('further'), await found('stuck'), await found('closer')]).toEqual([1, 1, 0]);
});
