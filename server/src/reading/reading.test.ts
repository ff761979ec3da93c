import { randomUUID } from 'node:crypto';
import type { Mix, Piece, Reading, ShelvedMaterial } from '@icy-ribbon/contract';
import {
  materialNamed,
  openStudio,
  planCup,
  startPiece,
  weighInFully,
  type Studio,
  importedBy,
} from '../testing/studio.ts';

let studio: Studio;
let piece: Piece;
let mix: Mix;
beforeEach(async () => {
  studio = await openStudio();
  piece = await startPiece(studio);
  mix = await weighInFully(studio, await planCup(studio, piece, 'Ochre', 56_250));
});
afterEach(() => studio.close());

const drain = (seconds: number, cupId: string | null = mix.id) => ({
  id: randomUUID(),
  cupId,
  raceId: null,
  temperatureC: 21,
  measure: { kind: 'drain-cup', cup: 'iso-6', own: null, seconds, densityGPerMl: 1.1 },
});

const add = (readings: object[], pieceId = piece.id) =>
  studio.http.post(`/api/pieces/${pieceId}/readings`).send({ readings });

it('a reading keeps what its cup held; sent again it changes nothing', async () => {
  const reading = drain(60);
  await add([reading]).expect(201);
  const { body } = await add([reading]).expect(201);
  const [kept, ...more] = (body as { readings: Reading[] }).readings;
  expect(more).toEqual([]);
  expect(kept).toMatchObject({ struck: false, temperatureC: 21, measure: { seconds: 60 } });
  expect(kept!.contents.map((each) => each.mg)).toEqual([30_000, 15_000, 11_250]);
});

it('what is stirred in later does not change what was read', async () => {
  await add([drain(60)]).expect(201);
  const water = mix.ingredients[2]!;
  const addition = { id: randomUUID(), ingredientId: water.id, mg: 2_000, source: 'typed' };
  await studio.http.post(`/api/mixes/${mix.id}/additions`).send(addition).expect(201);
  const { body } = await studio.http.get(`/api/pieces/${piece.id}`).expect(200);
  expect((body as Piece).readings[0]!.contents[2]).toEqual({ ingredientId: water.id, mg: 11_250 });
});

it('is struck out and counts again', async () => {
  const reading = drain(60);
  await add([reading]).expect(201);
  const strike = (struck: boolean) =>
    studio.http.post(`/api/readings/${reading.id}/strike`).send({ struck }).expect(200);
  expect((await strike(true)).body.readings[0].struck).toBe(true);
  expect((await strike(true)).body.readings[0].struck).toBe(true);
  expect((await strike(false)).body.readings[0].struck).toBe(false);
  await studio.http.post(`/api/readings/${randomUUID()}/strike`).send({ struck: true }).expect(404);
});

it('a race is kept as lanes of one race, with its reference liquid', async () => {
  const raceId = randomUUID();
  const lane = (cupId: string | null, value: number, liquid: object | null) => ({
    id: randomUUID(),
    cupId,
    raceId,
    temperatureC: null,
    measure: { kind: 'race', by: 'time', value, liquid, card: null },
  });
  const glycerine = { name: 'glycerine', viscosityPaS: 1.4, sdLn: 0.04 };
  const { body } = await add([lane(mix.id, 8, null), lane(null, 12, glycerine)]).expect(201);
  expect((body as { readings: Reading[] }).readings.map((each) => each.cupId)).toEqual([mix.id, null]);
});

it.each([
  [
    'a lane without a race',
    { raceId: null, measure: { kind: 'race', by: 'time', value: 8, liquid: null, card: null } },
    'readings.0.raceId',
  ],
  [
    'a word in a race',
    { raceId: randomUUID(), measure: { kind: 'words', stage: 'gone' } },
    'readings.0.raceId',
  ],
  ['a reading of no cup', { cupId: null }, 'readings.0.cupId'],
  ['a cup of another piece', { cupId: randomUUID() }, 'readings.0.cupId'],
  [
    'an own cup without its formula',
    { measure: { kind: 'drain-cup', cup: 'own', own: null, seconds: 9, densityGPerMl: 1 } },
    'readings.0.measure.cup',
  ],
  ['no seconds', { measure: { kind: 'mound', seconds: 0, constant: null } }, 'readings.0.measure.seconds'],
  ['a frozen room', { temperatureC: -40 }, 'readings.0.temperatureC'],
])('%s is refused, and nothing is kept', async (_what, wrong, path) => {
  const answer = await add([{ ...drain(60), ...wrong }]);
  expect(answer.status).toBeGreaterThanOrEqual(400);
  expect(answer.status).toBeLessThan(500);
  expect(answer.body.errors[0].path).toBe(path);
  const { body } = await studio.http.get(`/api/pieces/${piece.id}`).expect(200);
  expect((body as Piece).readings).toEqual([]);
});

describe('what readings taught', () => {
  const learned = async (name: string) => ((await materialNamed(studio, name)) as ShelvedMaterial).learned;

  it('shows on the shelf, and goes again when they are struck out', async () => {
    expect(await learned('Ochre')).toBeNull();
    const thick = drain(200);
    await add([thick]).expect(201);
    const found = await learned('Ochre');
    expect(found).toMatchObject({ readings: 1 });
    expect(found!.viscosityPaS).toBeGreaterThan(45);
    expect(found!.sdLn).toBeLessThan(0.92);
    expect(await learned('Water')).toBeNull();
    await studio.http.post(`/api/readings/${thick.id}/strike`).send({ struck: true }).expect(200);
    expect(await learned('Ochre')).toBeNull();
  });

  it('is used by the next piece, but not twice by its own', async () => {
    await add([drain(200)]).expect(201);
    const own = await planCup(studio, piece, 'Ochre', 56_250);
    expect(own.ingredients[1]!.material).toMatchObject({
      viscosityPaS: 45,
      viscosityTrust: 'typical',
      viscositySdLn: null,
    });
    const next = await planCup(studio, await startPiece(studio), 'Ochre', 56_250);
    const { material } = next.ingredients[1]!;
    // Read in a cup with two others: known better, not yet measured by itself.
    expect(material.viscosityTrust).toBe('read');
    expect(material.viscosityPaS).toBeGreaterThan(45);
    expect(material.viscositySdLn).toBeGreaterThan(0);
    expect(material.waterBend).not.toBeNull();
  });

  it('makes the list of pieces show what was read', async () => {
    await add([drain(200)]).expect(201);
    const { body } = await studio.http.get('/api/pieces').expect(200);
    const [listed] = (body as { items: { mixes: { viscosityPaS: number }[]; station: string }[] }).items;
    expect(listed!.mixes[0]!.viscosityPaS).toBeCloseTo(1.5, 1);
    expect(listed!.station).toBe('plan');
  });
});

it('readings travel with the piece’s document and come back equal', async () => {
  await add([drain(60), drain(61)]).expect(201);
  const { body: document } = await studio.http.get(`/api/pieces/${piece.id}/export`).expect(200);
  const other = await openStudio();
  const { result } = await importedBy(other, other.http.post('/api/pieces/import').send(document as object));
  const there = await other.http.get(`/api/pieces/${result!.piece!.pieceId}`).expect(200);
  const here = await studio.http.get(`/api/pieces/${piece.id}`).expect(200);
  expect((there.body as Piece).readings).toEqual((here.body as Piece).readings);
  await other.close();
});

it('a piece that is here already comes in as a copy, its readings and movements with it', async () => {
  await add([drain(60)]).expect(201);
  await studio.http
    .post(`/api/mixes/${mix.id}/movements`)
    .send({ id: randomUUID(), kind: 'loss', mg: 500 })
    .expect(201);
  const { body: document } = await studio.http.get(`/api/pieces/${piece.id}/export`).expect(200);
  const { result } = await importedBy(
    studio,
    studio.http.post('/api/pieces/import').send(document as object),
  );
  expect(result!.piece).toMatchObject({ copied: true });
  const there = await studio.http.get(`/api/pieces/${result!.piece!.pieceId}`).expect(200);
  const copy = there.body as Piece;
  expect(copy.readings).toHaveLength(1);
  expect(copy.readings[0]!.cupId).toBe(copy.mixes[0]!.id);
  expect(copy.mixes[0]!.movements).toHaveLength(1);
});

describe('a cup gets room for another thinner', () => {
  it('once, however often it is asked for, with what is known of it', async () => {
    const varnish = await materialNamed(studio, 'Gloss varnish').catch(() => undefined);
    const shelf = await studio.http.get('/api/materials').query({ pageSize: 200 }).expect(200);
    const material =
      varnish ?? (shelf.body.items as ShelvedMaterial[]).find((each) => each.kind === 'varnish')!;
    const send = () =>
      studio.http
        .post(`/api/mixes/${mix.id}/ingredients`)
        .send({ id: randomUUID(), materialId: material.id })
        .expect(201);
    await send();
    const { body } = await send();
    expect((body as Mix).ingredients).toHaveLength(4);
    expect((body as Mix).ingredients[3]).toMatchObject({ role: 'thinner', share: 0, targetMg: 0 });
  });

  it('only from the shelf', async () => {
    const answer = await studio.http
      .post(`/api/mixes/${mix.id}/ingredients`)
      .send({ id: randomUUID(), materialId: randomUUID() })
      .expect(422);
    expect(answer.body.errors[0].path).toBe('materialId');
  });
});
