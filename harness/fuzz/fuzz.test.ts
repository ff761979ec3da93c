import { randomUUID } from 'node:crypto';
import {
  openStudio,
  planCup,
  startPiece,
  weighInFully,
  type Studio,
} from '../../server/src/testing/studio.ts';
import { fuzz, type Send } from './fuzz.ts';

let studio: Studio;
beforeAll(async () => {
  studio = await openStudio();
  for (const technique of ['dutch', 'bloom'] as const) {
    const piece = await startPiece(studio, technique);
    if (technique === 'bloom') continue;
    const cup = await weighInFully(studio, await planCup(studio, piece, 'Deep blue', 56_250));
    await planCup(studio, piece, 'Ochre', 40_000);
    const event = {
      id: randomUUID(),
      at: '2026-03-01T10:00:00Z',
      kind: 'layer',
      data: { cupId: cup.id, mg: 9000 },
    };
    await studio.http.post(`/api/pieces/${piece.id}/events`).send(event).expect(201);
  }
});
afterAll(() => studio.close());

const send: Send = async ({ method, path, body, headers }) => {
  const startedAt = performance.now();
  const verb = method.toLowerCase() as 'get' | 'post' | 'put' | 'patch' | 'delete';
  const call = studio.http[verb](path)
    .set(headers ?? {})
    .ok(() => true);
  const answer =
    body === undefined ? await call : await call.set('Content-Type', 'application/json').send(body);
  return { status: answer.status, ms: performance.now() - startedAt, json: answer.body as unknown };
};

it('no made-up request breaks anything, and what was taken can be read, listed and worked out', async () => {
  const report = await fuzz(send, { seed: 12, random: 250, systematic: 350 });
  const failures = report.failures.filter(({ what }) => !/ms$/.test(what));
  expect(failures.map(({ what, request }) => `${request.method} ${request.path}: ${what}`)).toEqual([]);
  expect(studio.faults).toEqual([]);
  expect(report.requests).toBe(600);
  // It reaches more than the front door.
  expect(report.statuses[201] ?? 0).toBeGreaterThan(5);
  expect(report.statuses[422] ?? 0).toBeGreaterThan(100);
}, 180_000);
