import { randomUUID } from 'node:crypto';
import type { Mix, Piece } from '@icy-ribbon/contract';
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

const event = (kind: string, data: object) => ({
  id: randomUUID(),
  at: new Date().toISOString(),
  kind,
  data,
});
const send = (body: object) => studio.http.post(`/api/pieces/${piece.id}/events`).send(body);
const breath = {
  tool: 'mouth',
  setting: 'steady',
  distanceMm: 100,
  slantDeg: 25,
  directionDeg: 90,
  seconds: 3,
  from: { x: 0.5, y: 0.5 },
};

it('layers and passes are kept in the order they were logged', async () => {
  await send(event('layer', { cupId: mix.id, mg: 40_000 })).expect(201);
  await send(event('pass', breath)).expect(201);
  const { body } = await send(event('pass', { ...breath, tool: 'hair-dryer', from: null })).expect(201);
  expect(body.events.map((each: { kind: string }) => each.kind)).toEqual(['layer', 'pass', 'pass']);
  expect(body.events[1].data).toEqual(breath);
});

it('an event sent again after a broken line changes nothing', async () => {
  const once = event('layer', { cupId: mix.id, mg: 40_000 });
  await send(once).expect(201);
  const { body } = await send(once).expect(201);
  expect(body.events).toHaveLength(1);
});

it('a cup cannot give more than it holds; taking back gives it back', async () => {
  const first = event('layer', { cupId: mix.id, mg: 40_000 });
  await send(first).expect(201);
  const answer = await send(event('layer', { cupId: mix.id, mg: 20_000 })).expect(422);
  expect(answer.body.errors).toEqual([{ path: 'data.mg', message: expect.stringContaining('holds 16.3 g') }]);
  await send(event('void', { eventId: first.id })).expect(201);
  await send(event('layer', { cupId: mix.id, mg: 50_000 })).expect(201);
  await send(event('void', { eventId: first.id })).expect(422);
});

describe('a correction', () => {
  const correcting = (insteadOf: string, kind: string, data: object) => ({ ...event(kind, data), insteadOf });

  it('stands in the place of what it corrects, and its cup is counted with it', async () => {
    const first = event('layer', { cupId: mix.id, mg: 40_000 });
    await send(first).expect(201);
    const { body } = await send(correcting(first.id, 'layer', { cupId: mix.id, mg: 50_000 })).expect(201);
    expect(body.events.map((each: { insteadOf?: string }) => each.insteadOf)).toEqual([undefined, first.id]);
    await send(event('layer', { cupId: mix.id, mg: 6_000 })).expect(201);
    const answer = await send(event('layer', { cupId: mix.id, mg: 1_000 })).expect(422);
    expect(answer.body.errors[0].message).toContain('holds 0.3 g');
  });

  it('cannot lay down more than the cup would hold without the old one', async () => {
    const first = event('layer', { cupId: mix.id, mg: 40_000 });
    await send(first).expect(201);
    await send(correcting(first.id, 'layer', { cupId: mix.id, mg: 56_300 })).expect(422);
    await send(correcting(first.id, 'layer', { cupId: mix.id, mg: 56_250 })).expect(201);
  });

  it('is of the same kind, and of an event that stands', async () => {
    const first = event('pass', breath);
    await send(first).expect(201);
    await send(correcting(first.id, 'torch', { seconds: 3 })).expect(422);
    await send(correcting(randomUUID(), 'pass', breath)).expect(422);
    await send(correcting(first.id, 'pass', { ...breath, seconds: 5 })).expect(201);
    await send(correcting(first.id, 'pass', { ...breath, seconds: 6 })).expect(422);
  });
});

it('another piece’s cup does not go on this one', async () => {
  const other = await startPiece(studio);
  const theirs = await weighInFully(studio, await planCup(studio, other, 'Ochre', 56_250));
  await send(event('layer', { cupId: theirs.id, mg: 1_000 })).expect(422);
});

it('refuses a pass that cannot be, at its field', async () => {
  const answer = await send(event('pass', { ...breath, distanceMm: 0, seconds: -1 })).expect(422);
  expect(answer.body.errors.map((each: { path: string }) => each.path)).toEqual([
    'data.distanceMm',
    'data.seconds',
  ]);
});

it('a piece that is gone takes no events', async () => {
  await studio.http.post(`/api/pieces/${randomUUID()}/events`).send(event('pass', breath)).expect(404);
});
