import { randomUUID } from 'node:crypto';
import type { Mix, Piece, PieceSummary, Reading } from '@icy-ribbon/contract';
import { DRAIN_CUP_NAMES, type DrainCupName } from '@icy-ribbon/core/thickness/reading';
import { toJson, type JsonText } from '../db/json.ts';
import { openStudio, planCup, startPiece, weighInFully, type Studio } from '../testing/studio.ts';

let studio: Studio;
let piece: Piece;
let mix: Mix;
beforeEach(async () => {
  studio = await openStudio();
  piece = await startPiece(studio);
  mix = await weighInFully(studio, await planCup(studio, piece, 'Deep blue', 56_250));
});
afterEach(() => studio.close());

const drained = (cup: DrainCupName, seconds: number) => ({
  ...{ id: randomUUID(), cupId: mix.id, raceId: null, temperatureC: null },
  measure: { kind: 'drain-cup' as const, cup, own: null, seconds, densityGPerMl: 1.1 },
});
const add = (reading: object) =>
  studio.http.post(`/api/pieces/${piece.id}/readings`).send({ readings: [reading] });
const listed = async () =>
  ((await studio.http.get('/api/pieces').expect(200)).body as { items: PieceSummary[] }).items;

it.each(DRAIN_CUP_NAMES)(
  'a time too short for the cup %s is refused with what to do instead',
  async (cup) => {
    const answer = await add(drained(cup, 1)).expect(422);
    expect(answer.body.errors[0]).toMatchObject({
      path: 'readings.0.measure.seconds',
      message: expect.stringMatching(/too fast for this cup: check the time, or (drain it|race it)/),
    });
    expect((await listed())[0]!.trouble).toBeNull();
  },
);

describe('a reading that an older program kept, and that nothing can be read off', () => {
  let bad: ReturnType<typeof drained>;
  beforeEach(async () => {
    bad = drained('iso-6', 8);
    const { id, cupId, measure } = bad;
    const at = '2026-03-01T10:00:00.000Z';
    const rest = {
      pieceId: piece.id,
      raceId: null,
      temperatureC: null,
      struckAt: null,
      contents: toJson([]),
    };
    await studio.db
      .insertInto('reading')
      .values({ id, cupId, at, measure: toJson(measure), ...rest })
      .execute();
  });

  it('does not count, takes no list with it, and is shown with its piece', async () => {
    expect((await listed())[0]).toMatchObject({ id: piece.id, trouble: null, station: 'thickness' });
    const { body } = await studio.http.get(`/api/pieces/${piece.id}`).expect(200);
    expect((body as Piece).readings.map(({ id }) => id)).toEqual([bad.id]);
    for (const path of ['/api/materials', '/api/results/numbers', '/api/pieces.csv', '/api/mixes.csv']) {
      await studio.http.get(path).expect(200);
    }
  });

  it('can be struck out', async () => {
    const { body } = await studio.http
      .post(`/api/readings/${bad.id}/strike`)
      .send({ struck: true })
      .expect(200);
    expect((body as { readings: Reading[] }).readings[0]!.struck).toBe(true);
  });

  it('other readings count beside it', async () => {
    await add(drained('iso-6', 60)).expect(201);
    const [first] = await listed();
    expect(first!.mixes[0]!.viscosityPaS).toBeCloseTo(0.001 * 1.1 * (6.9 * 60 - 570 / 60), 1);
  });
});

describe('a record that was damaged', () => {
  const damage = (measure: string) =>
    studio.db
      .updateTable('reading')
      .set({ measure: measure as JsonText<Reading['measure']> })
      .where('pieceId', '=', piece.id)
      .execute();
  beforeEach(async () => {
    await add(drained('iso-6', 60)).expect(201);
  });

  it.each([
    ['its text is cut short', '{"kind":"drain-cu'],
    ['it is of a kind that is not known', '{"kind":"hydrometer","degrees":12}'],
    ['it holds a number that cannot be', '{"kind":"mound","seconds":-4,"constant":null}'],
  ])(
    '%s: it is named with its reason, the rest is shown, and it can be set aside',
    async (_what, measure) => {
      await damage(measure);
      const other = await startPiece(studio);
      expect((await listed()).map(({ id }) => id).sort()).toEqual([other.id, piece.id].sort());
      const troubled = (await listed()).find(({ id }) => id === piece.id)!;
      expect(troubled.trouble).not.toBeNull();
      for (const path of ['/api/materials', '/api/results/numbers', '/api/pieces.csv', '/api/archive.zip']) {
        await studio.http.get(path).expect(200);
      }
      await planCup(studio, other, 'Ochre', 50_000);
      const { body } = await studio.http.get(`/api/pieces/${piece.id}`).expect(200);
      const { damaged, mixes, readings } = body as Piece;
      expect(mixes).toHaveLength(1);
      expect(readings).toEqual([]);
      expect(damaged).toEqual([{ what: 'reading', id: expect.any(String), reason: expect.any(String) }]);
      const kept = await studio.http.get('/api/safekeeping').expect(200);
      expect(kept.body.pieces.map((each: { id: string }) => each.id)).toEqual([piece.id]);

      const { what, id } = damaged![0]!;
      const after = await studio.http
        .post(`/api/pieces/${piece.id}/set-aside`)
        .send({ what, id })
        .expect(200);
      expect(after.body.damaged).toBeUndefined();
      expect((await listed()).find((each) => each.id === piece.id)!.trouble).toBeNull();
      const [aside] = await studio.db.selectFrom('setAside').selectAll().execute();
      expect(aside).toMatchObject({ what: 'reading', id });
      expect(JSON.parse(aside!.content).record[0].measure).toBe(measure);
    },
  );

  it('what can be read is not set aside', async () => {
    const { body } = await studio.http.get(`/api/pieces/${piece.id}`).expect(200);
    const { id } = (body as Piece).readings[0]!;
    await studio.http.post(`/api/pieces/${piece.id}/set-aside`).send({ what: 'reading', id }).expect(422);
  });

  it('a piece in trouble can be written to, and left as it is', async () => {
    await damage('{"kind":"hydrometer"}');
    await studio.http.patch(`/api/pieces/${piece.id}`).send({ version: 1, name: 'Renamed' }).expect(200);
    expect((await listed())[0]).toMatchObject({ name: 'Renamed', trouble: expect.any(String) });
  });
});
