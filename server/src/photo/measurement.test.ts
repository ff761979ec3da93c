import { randomUUID } from 'node:crypto';
import type { Measurement, Photo, Piece } from '@icy-ribbon/contract';
import { openStudio, planCup, startPiece, weighInFully, type Studio } from '../testing/studio.ts';

jest.setTimeout(60_000);

let studio: Studio;
let piece: Piece;
beforeEach(async () => {
  studio = await openStudio();
  piece = await startPiece(studio);
});
afterEach(() => studio.close());

async function pourAll(): Promise<void> {
  for (const [paint, role, mg] of [
    ['White', 'base', 40_000],
    ['Deep blue', 'color', 15_000],
    ['Copper', 'color', 10_000],
  ] as const) {
    const { id: cupId } = await weighInFully(studio, await planCup(studio, piece, paint, 40_000, role));
    const event = { id: randomUUID(), kind: 'layer', at: '2026-03-01T10:00:00.000Z', data: { cupId, mg } };
    await studio.http.post(`/api/pieces/${piece.id}/events`).send(event).expect(201);
  }
}

const shutter = (body: object = { state: 'wet', megapixels: 0.3 }) =>
  studio.http.post(`/api/pieces/${piece.id}/camera`).send(body);

const measurement: Measurement = {
  corners: [
    [10, 10],
    [90, 10],
    [90, 70],
    [10, 70],
  ],
  palette: [
    { name: 'White', hex: '#eeeeee', cupId: null },
    { name: 'Deep blue', hex: '#203a80', cupId: null },
  ],
  base: 'White',
  activator: null,
  grayPatchMm: [-14, 23, -8, 32],
  shares: { White: 0.6, 'Deep blue': 0.4 },
  negativeSpace: 0.6,
  mud: 0,
  cells: { count: 3, medianMm: 2, p10Mm: 1, p90Mm: 3, perCm2: 0.1 },
  lacing: { areaShare: 0, widthMm: 0 },
  petals: { count: 0, reachMm: 0, symmetry: 0, edges: { top: 0, right: 0, bottom: 0, left: 0 } },
  warnings: [],
  measuredAt: '2026-03-01T10:00:00.000Z',
};
const detail = {
  cells: [[10, 20, 2, 1, 0, 1, 1, 1]],
  masks: { widthPx: 4, heightPx: 2, net: [8], mud: [2, 3, 3], glare: [8] },
};

describe('the camera over the table', () => {
  it('takes a photo of what was laid, the same each time it is asked', async () => {
    await pourAll();
    const { body: first } = await shutter().expect(201);
    expect(first).toMatchObject({ state: 'wet', pieceId: piece.id, measurement: null });
    const { body: again } = await shutter().expect(201);
    expect(again.hash).toBe(first.hash);
    expect(again.id).not.toBe(first.id);
  });

  it('asked twice with one id it takes one', async () => {
    await pourAll();
    const body = { id: randomUUID(), state: 'wet', megapixels: 0.3 };
    await shutter(body).expect(201);
    await shutter(body).expect(201);
    expect((await studio.http.get(`/api/pieces/${piece.id}`)).body.photos).toHaveLength(1);
  });

  it('a dry one is another picture', async () => {
    await pourAll();
    const { body: wet } = await shutter().expect(201);
    const { body: dry } = await shutter({ state: 'dry', megapixels: 0.3 }).expect(201);
    expect(dry.hash).not.toBe(wet.hash);
  });

  it('says what is missing when nothing is laid yet', async () => {
    const { body } = await shutter().expect(422);
    expect(body.errors[0].message).toContain('log what was laid down first');
  });

  it('has a limit', async () => {
    await pourAll();
    await shutter({ state: 'wet', megapixels: 80 }).expect(422);
  });
});

describe('a picture of the stand-in', () => {
  const listed = async (query: object) =>
    ((await studio.http.get('/api/pieces').query(query).expect(200)).body.items as Piece[]).map(
      ({ id }) => id,
    );

  it('says so, and its piece can be left out of the lists', async () => {
    await pourAll();
    const photo = (await shutter().expect(201)).body as Photo;
    expect(photo.standIn).toBe(true);
    await studio.http
      .put(`/api/photos/${photo.id}/measurement`)
      .send({ version: 1, measurement, detail })
      .expect(200);
    expect(await listed({})).toContain(piece.id);
    expect(await listed({ standIns: 'without' })).not.toContain(piece.id);
  });
});

describe('a measurement', () => {
  let photo: Photo;
  beforeEach(async () => {
    await pourAll();
    photo = (await shutter().expect(201)).body as Photo;
  });
  const keep = (body: object) => studio.http.put(`/api/photos/${photo.id}/measurement`).send(body);

  it('is kept with its photo, its detail apart', async () => {
    const { body } = await keep({ version: 1, measurement, detail }).expect(200);
    expect(body).toMatchObject({ version: 2, measurement });
    expect((await studio.http.get(`/api/photos/${photo.id}/detail`).expect(200)).body).toEqual(detail);
    const { photos } = (await studio.http.get(`/api/pieces/${piece.id}`)).body as Piece;
    expect(photos[0]!.measurement).toEqual(measurement);
  });

  it('that another tab has overtaken is refused, and the present one told', async () => {
    await keep({ version: 1, measurement, detail }).expect(200);
    const { body } = await keep({ version: 1, measurement: { ...measurement, mud: 0.5 }, detail }).expect(
      409,
    );
    expect(body.current).toMatchObject({ version: 2, measurement: { mud: 0 } });
  });

  it.each([
    [
      'three corners',
      { measurement: { ...measurement, corners: measurement.corners.slice(1) } },
      'measurement.corners',
    ],
    ['a share above one', { measurement: { ...measurement, mud: 1.5 } }, 'measurement.mud'],
    [
      'a run of half a pixel',
      { detail: { ...detail, masks: { ...detail.masks, mud: [1.5] } } },
      'detail.masks.mud',
    ],
    ['a cell of words', { detail: { ...detail, cells: [['a']] } }, 'detail.cells.0'],
  ])('with %s is refused at its field', async (_, changes, path) => {
    const { body } = await keep({ version: 1, measurement, detail, ...changes }).expect(422);
    expect(body.errors.map((each: { path: string }) => each.path)).toContain(path);
  });

  it('of a photo that is gone goes nowhere', async () => {
    await studio.http
      .put(`/api/photos/${randomUUID()}/measurement`)
      .send({ version: 1, measurement, detail })
      .expect(404);
  });
});
