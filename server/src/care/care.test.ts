import { randomUUID } from 'node:crypto';
import type { Equipment, Piece, PieceSummary } from '@icy-ribbon/contract';
import ICAL from 'ical.js';
import { openStudio, planCup, startPiece, weighInFully, type Studio } from '../testing/studio.ts';

let studio: Studio;
let piece: Piece;
beforeEach(async () => {
  studio = await openStudio();
  piece = await startPiece(studio);
  const mix = await weighInFully(studio, await planCup(studio, piece, 'Deep blue', 56_250));
  for (const [kind, data] of [
    ['layer', { cupId: mix.id, mg: 40_000 }],
    [
      'pass',
      {
        ...{ tool: 'mouth', setting: 'steady', distanceMm: 100, slantDeg: 25 },
        ...{ directionDeg: 90, seconds: 3, from: null },
      },
    ],
  ] as const) {
    await studio.http
      .post(`/api/pieces/${piece.id}/events`)
      .send({ id: randomUUID(), at: '2026-03-27T10:00:00.000Z', kind, data })
      .expect(201);
  }
});
afterEach(() => studio.close());

const line = (kind: string, data: object, at = '2026-04-10T10:00:00.000Z') => ({
  ...{ id: randomUUID(), at, kind, data },
});
const send = (body: object, id = piece.id) => studio.http.post(`/api/pieces/${id}/care`).send(body);
const summary = async () =>
  ((await studio.http.get('/api/pieces').expect(200)).body as { items: PieceSummary[] }).items.find(
    ({ id }) => id === piece.id,
  )!;

describe('the log after a pour', () => {
  it('is kept with its piece, once, and lists say what it comes to', async () => {
    const coat = line('coat', { kind: 'resin', mg: 138_000, potId: null, note: '' });
    await send(coat).expect(201);
    await send(coat).expect(201);
    await send(line('decide', { what: 'finish', note: 'for the door' })).expect(201);
    const { care } = (await studio.http.get(`/api/pieces/${piece.id}`)).body as Piece;
    expect(care.map(({ kind }) => kind)).toEqual(['coat', 'decide']);
    expect((await summary()).care).toMatchObject({ decision: 'finish', coats: [{ kind: 'resin' }] });
  });

  it('takes back what was a slip, and not twice', async () => {
    const slip = line('decide', { what: 'scrape', note: '' });
    await send(slip).expect(201);
    expect((await summary()).care.isGone).toBe(true);
    await send(line('void', { eventId: slip.id })).expect(201);
    expect((await summary()).care.isGone).toBe(false);
    await send(line('void', { eventId: slip.id })).expect(422);
  });

  it('says what to change: before the pour, no such shelf, a color that is none', async () => {
    const early = await send(
      line('coat', { kind: 'resin', mg: null, potId: null, note: '' }, '2026-03-01T10:00:00.000Z'),
    );
    expect([early.status, early.body.errors[0].message]).toEqual([
      422,
      expect.stringMatching(/poured on 2026-03-27/),
    ]);
    const nowhere = await send(line('place', { shelfId: randomUUID(), slotId: 'left' })).expect(422);
    expect(nowhere.body.errors[0].message).toMatch(/shelf is gone/);
    await send(line('coat', { kind: 'gold', mg: null, potId: null, note: '' })).expect(422);
    await send(line('place', { shelfId: null, slotId: null }), randomUUID()).expect(404);
  });

  it('a piece lies in a slot of a shelf, and lists find it there', async () => {
    const shelf = (
      await studio.http
        .post('/api/equipment')
        .send({
          kind: 'shelf',
          name: 'Upper',
          depthMm: 400,
          slots: [{ id: 'l', name: 'left', widthMm: 700 }],
        })
        .expect(201)
    ).body as Equipment;
    await send(line('place', { shelfId: shelf.id, slotId: 'r' })).expect(422);
    await send(line('place', { shelfId: shelf.id, slotId: 'l' })).expect(201);
    const found = await studio.http.get('/api/pieces').query({ having: 'place' }).expect(200);
    expect(found.body.items.map(({ id }: PieceSummary) => id)).toEqual([piece.id]);
  });
});

describe('a piece out of another', () => {
  it('keeps its parent, which finds it', async () => {
    const { supportId } = piece.support;
    const origin = { pieceId: piece.id, how: 'pour-over' };
    const child = (
      await studio.http
        .post('/api/pieces')
        .send({ name: 'Over it', technique: 'dutch', supportId, origin })
        .expect(201)
    ).body as Piece;
    expect(child.origin).toEqual({ ...origin, part: null });
    const { body } = await studio.http.get('/api/pieces').query({ originId: piece.id }).expect(200);
    expect(body.items.map(({ id }: PieceSummary) => id)).toEqual([child.id]);
    await studio.http
      .post('/api/pieces')
      .send({ name: 'X', technique: 'dutch', supportId, origin: { ...origin, pieceId: randomUUID() } })
      .expect(422);
  });
});

describe('the calendar feed', () => {
  const feed = async () => {
    const answer = await studio.http.get('/api/calendar.ics').expect(200);
    expect(answer.headers['content-type']).toMatch(/^text\/calendar/);
    const calendar = new ICAL.Component(ICAL.parse(answer.text) as unknown[]);
    return calendar.getAllSubcomponents('vevent').map((each) => ({
      event: new ICAL.Event(each),
      alarms: each.getAllSubcomponents('valarm').length,
    }));
  };

  it('parses in an independent library with every event once, under keys that stay', async () => {
    const now = Date.parse('2026-04-01T00:00:00Z');
    jest.spyOn(Date, 'now').mockReturnValue(now);
    await send(
      line(
        'show',
        { name: 'Lichen and Brass', opensOn: '2026-05-03', hanging: '' },
        '2026-03-29T10:00:00.000Z',
      ),
    );
    const first = await feed();
    const uids = first.map(({ event }) => event.uid);
    expect(uids.map((uid) => uid.split('-')[0]).sort()).toEqual(['coat', 'dry', 'show']);
    expect(new Set(uids).size).toBe(uids.length);
    expect(first.every(({ alarms }) => alarms === 1)).toBe(true);
    expect((await feed()).map(({ event }) => event.uid)).toEqual(uids);
    jest.restoreAllMocks();
  });

  it('stands in UTC, so that the clock change of the last Sunday in March moves nothing; a show is a day', async () => {
    jest.spyOn(Date, 'now').mockReturnValue(Date.parse('2026-04-01T00:00:00Z'));
    await send(
      line(
        'show',
        { name: 'Lichen and Brass', opensOn: '2026-05-03', hanging: '' },
        '2026-03-29T10:00:00.000Z',
      ),
    );
    const events = await feed();
    const of = (kind: string) => events.find(({ event }) => event.uid.startsWith(kind))!.event;
    expect(of('coat').startDate.zone?.tzid).toBe('UTC');
    const { drying } = await summary();
    const from = Date.parse('2026-03-27T10:00:00Z') + drying!.low * 3_600_000;
    expect(Math.abs(of('dry').startDate.toJSDate().getTime() - from)).toBeLessThan(12 * 3_600_000);
    expect(of('show').startDate.isDate).toBe(true);
    expect(of('show').startDate.toString()).toBe('2026-05-03');
    jest.restoreAllMocks();
  });
});
