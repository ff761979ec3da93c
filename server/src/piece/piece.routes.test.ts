import { randomUUID } from 'node:crypto';
import type { Piece, PieceDocument, PieceSummary } from '@icy-ribbon/contract';
import { pieceDocumentSchema } from '@icy-ribbon/contract';
import sharp from 'sharp';
import { openStudio, planCup, startPiece, weighInFully, type Studio, importedBy } from '../testing/studio.ts';

let studio: Studio;
beforeEach(async () => (studio = await openStudio()));
afterEach(() => studio.close());

/** A piece that went the whole way: two cups, layers, passes, one taken back, a photo, a judgement. */
async function finishedPiece(): Promise<Piece> {
  const piece = await startPiece(studio);
  const base = await weighInFully(studio, await planCup(studio, piece, 'White', 150_000, 'base'));
  const color = await weighInFully(studio, await planCup(studio, piece, 'Copper', 40_000));
  const log = async (kind: string, data: object) => {
    const event = { id: randomUUID(), at: new Date().toISOString(), kind, data };
    await studio.http.post(`/api/pieces/${piece.id}/events`).send(event).expect(201);
    return event.id;
  };
  const pass = {
    tool: 'hair-dryer',
    setting: 'low',
    distanceMm: 150,
    slantDeg: 30,
    directionDeg: 0,
    seconds: 4,
    from: null,
  };
  await log('room', { temperatureC: 21, humidityPercent: 45 });
  await log('layer', { cupId: base.id, mg: 140_000 });
  await log('layer', { cupId: color.id, mg: 36_500 });
  await log('pass', pass);
  const mistaken = await log('pass', { ...pass, slantDeg: 90 });
  await log('void', { eventId: mistaken });
  const photo = await sharp({ create: { width: 80, height: 60, channels: 3, background: '#345' } })
    .jpeg()
    .toBuffer();
  await studio.http
    .post(`/api/pieces/${piece.id}/photos`)
    .attach('photo', photo, 'p.jpg')
    .field('state', 'wet')
    .expect(201);
  await studio.http
    .put(`/api/pieces/${piece.id}/judgement`)
    .send({
      cells: 3,
      lacing: 2,
      petals: 4,
      mud: 0,
      cellSizeMm: 2.4,
      tryNext: 'Thinner, =1+1',
      note: '',
      version: 0,
    })
    .expect(200);
  return (await studio.http.get(`/api/pieces/${piece.id}`).expect(200)).body as Piece;
}

/** All pieces of which a cup holds paint, or that are not judged, however many there are. */
it('its top coat is ticked off, and that is told by the lists until it is taken back', async () => {
  const piece = await startPiece(studio);
  const tick = (version: number, topCoatedAt: string | null) =>
    studio.http.patch(`/api/pieces/${piece.id}`).send({ version, topCoatedAt }).expect(200);
  const listed = async () =>
    ((await studio.http.get('/api/pieces').expect(200)).body.items as PieceSummary[]).map(
      (each) => each.topCoatedAt,
    );
  await tick(1, '2026-03-02T10:00:00.000Z');
  expect(await listed()).toEqual(['2026-03-02T10:00:00.000Z']);
  await tick(2, null);
  expect(await listed()).toEqual([null]);
});

it('lists what still holds paint and what is not judged yet, in SQL', async () => {
  const done = await finishedPiece();
  const empty = await startPiece(studio);
  const full = await startPiece(studio);
  await weighInFully(studio, await planCup(studio, full, 'Ochre', 30_000));
  const ids = async (having: string) =>
    (await list({ having })).items.map(({ id }: PieceSummary) => id).sort();
  expect(await ids('paint')).toEqual([done.id, full.id].sort());
  expect(await ids('open')).toEqual([empty.id, full.id].sort());
});

const list = async (query: Record<string, string | number> = {}) =>
  (await studio.http.get('/api/pieces').query(query).expect(200)).body as {
    items: PieceSummary[];
    total: number;
  };

describe('the list', () => {
  it('shows mixes beside passes beside outcome, without what was taken back', async () => {
    const piece = await finishedPiece();
    const { items } = await list();
    expect(items[0]).toMatchObject({
      id: piece.id,
      phase: 'judged',
      mixes: [
        { name: 'White', role: 'base', phase: 'mixed', actualMg: 150_000, laidMg: 140_000, leftMg: 10_000 },
        { name: 'Copper', role: 'color', laidMg: 36_500 },
      ],
      passes: [{ tool: 'hair-dryer', distanceMm: 150, slantDeg: 30, seconds: 4 }],
      judgement: { cells: 3, cellSizeMm: 2.4 },
    });
    expect(items[0]?.mixes[0]?.viscosityPaS).toBeCloseTo(0.764, 3);
  });

  it('is filtered, searched, sorted and paged by the database', async () => {
    const judged = await finishedPiece();
    const plain = await startPiece(studio);
    const bloom = await startPiece(studio, 'bloom');
    await studio.http
      .patch(`/api/pieces/${plain.id}`)
      .send({ version: 1, name: '100% rain_drop' })
      .expect(200);
    expect((await list({ technique: 'bloom' })).items.map((each) => each.id)).toEqual([bloom.id]);
    expect((await list({ q: '100% rain_dr' })).items.map((each) => each.id)).toEqual([plain.id]);
    expect((await list({ q: 'thinner' })).items.map((each) => each.id)).toEqual([judged.id]);
    expect((await list({ sort: 'cells' })).items[0]?.id).toBe(judged.id);
    const second = await list({ page: 2, pageSize: 2, sort: 'oldest' });
    expect(second).toMatchObject({ total: 3 });
    expect(second.items.map((each) => each.id)).toEqual([bloom.id]);
  });

  it('is empty when nothing matches', async () => {
    expect(await list({ q: 'nothing like it' })).toMatchObject({ items: [], total: 0 });
  });
});

describe('one piece', () => {
  it('is renamed, deleted and brought back, never overwritten in silence', async () => {
    const piece = await startPiece(studio);
    await studio.http.patch(`/api/pieces/${piece.id}`).send({ version: 1, name: 'Reef' }).expect(200);
    const stale = await studio.http
      .patch(`/api/pieces/${piece.id}`)
      .send({ version: 1, name: 'Leaf' })
      .expect(409);
    expect(stale.body.current.name).toBe('Reef');
    await studio.http.delete(`/api/pieces/${piece.id}`).query({ version: 2 }).expect(200);
    await studio.http.get(`/api/pieces/${piece.id}`).expect(404);
    await studio.http.post(`/api/pieces/${piece.id}/restore`).send({ version: 3 }).expect(200);
    await studio.http.get(`/api/pieces/${piece.id}`).expect(200);
  });

  it('needs a support from the shelf', async () => {
    const given = { name: 'x', technique: 'dutch', supportId: randomUUID() };
    const answer = await studio.http.post('/api/pieces').send(given).expect(422);
    expect(answer.body.errors[0].path).toBe('supportId');
  });

  it('two judgements made at once do not overwrite each other', async () => {
    const piece = await finishedPiece();
    const judged = { cells: 1, lacing: 1, petals: 1, mud: 1, cellSizeMm: null, tryNext: '', note: '' };
    const put = (version: number) =>
      studio.http.put(`/api/pieces/${piece.id}/judgement`).send({ ...judged, version });
    await put(1).expect(200);
    expect((await put(1).expect(409)).body.current).toMatchObject({ cells: 1, version: 2 });
  });
});

describe('out and in again', () => {
  const exported = async (id: string) =>
    (await studio.http.get(`/api/pieces/${id}/export`).expect(200)).body as PieceDocument;

  it('a piece goes into an empty database and comes out equal, photo and struck-out events included', async () => {
    const document = await exported((await finishedPiece()).id);
    expect(document.piece.events.some((event) => event.kind === 'void')).toBe(true);
    const elsewhere = await openStudio();
    try {
      const job = await importedBy(elsewhere, elsewhere.http.post('/api/pieces/import').send(document));
      expect(job.result?.piece).toEqual({ pieceId: document.piece.id, copied: false });
      const again = await elsewhere.http.get(`/api/pieces/${document.piece.id}/export`).expect(200);
      expect(again.body).toEqual(document);
      const photo = document.piece.photos[0]!;
      const image = await elsewhere.http.get(`/api/photos/${photo.id}/image`).buffer(true).expect(200);
      expect((image.body as Buffer).toString('base64')).toBe(document.photoFiles[0]?.base64);
    } finally {
      await elsewhere.close();
    }
  });

  it('a piece that is here already comes in as a copy with ids of its own', async () => {
    const document = await exported((await finishedPiece()).id);
    const job = await importedBy(studio, studio.http.post('/api/pieces/import').send(document));
    expect(job.result?.piece?.copied).toBe(true);
    const copy = await exported(job.result!.piece!.pieceId);
    expect(copy.piece.id).not.toBe(document.piece.id);
    expect(copy.piece.mixes.map((mix) => mix.name)).toEqual(document.piece.mixes.map((mix) => mix.name));
    expect(copy.piece.events.map((event) => event.kind)).toEqual(
      document.piece.events.map((event) => event.kind),
    );
    expect(copy.photoFiles[0]?.base64).toBe(document.photoFiles[0]?.base64);
    expect((await list()).total).toBe(2);
  });

  it.each([
    ['another program’s file', (document: PieceDocument) => ({ ...document, format: 'else' }), 'format'],
    ['a newer form', (document: PieceDocument) => ({ ...document, formatVersion: 3 }), 'formatVersion'],
    [
      'a missing material',
      (document: PieceDocument) => ({ ...document, materials: [] }),
      'piece.mixes.0.ingredients.0',
    ],
    ['a missing photo', (document: PieceDocument) => ({ ...document, photoFiles: [] }), 'piece.photos.0'],
    [
      'a damaged photo',
      (document: PieceDocument) => ({
        ...document,
        photoFiles: document.photoFiles.map((file) => ({ ...file, base64: 'AAAA' })),
      }),
      'photoFiles.0',
    ],
  ])('%s is refused whole', async (_what, spoil, path) => {
    const document = await exported((await finishedPiece()).id);
    const elsewhere = await openStudio();
    try {
      const job = await importedBy(
        elsewhere,
        elsewhere.http.post('/api/pieces/import').send(spoil(document)),
      );
      expect(job).toMatchObject({ state: 'refused', result: null, problem: { status: 422 } });
      expect(job.problem?.errors?.[0]?.path).toBe(path);
      expect((await elsewhere.http.get('/api/pieces')).body.total).toBe(0);
    } finally {
      await elsewhere.close();
    }
  });

  it('the document fits the schema that is published', async () => {
    const document = await exported((await finishedPiece()).id);
    expect(pieceDocumentSchema.safeParse(document).success).toBe(true);
    const { body } = await studio.http.get('/api/schema/piece.json').expect(200);
    expect(body.properties.piece.properties.mixes.type).toBe('array');
  });
});

describe('the list as CSV', () => {
  it('has one row a piece in RFC 4180 form and disarms formulas', async () => {
    await finishedPiece();
    await startPiece(studio);
    const answer = await studio.http.get('/api/pieces.csv').query({ sort: 'cells' }).expect(200);
    expect(answer.headers['content-type']).toMatch('text/csv');
    const lines = answer.text.split('\r\n');
    expect(lines).toHaveLength(3);
    expect(lines[0]).toMatch(/^piece,technique,phase,started,poured,support,width_mm/);
    expect(lines[1]).toContain('White; Copper,140; 36.5,0.764; 0.505,fading; fading');
    expect(lines[1]).toMatch(/hair-dryer 150 mm 30 deg 4 s,(,){8}3,2,4,0,2.4,"Thinner, =1\+1"/);
  });

  it('refuses an unknown order', async () => {
    await studio.http.get('/api/pieces.csv').query({ sort: 'luck' }).expect(422);
  });
});
