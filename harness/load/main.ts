import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { Agent, request } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { seededRandom } from '@icy-ribbon/core/base/random';
import { fillWithPours } from '../bench/pours.ts';
import { openDatabase } from '../../server/src/db/open.ts';
import { timestamp } from '../../server/src/db/record.ts';
import { stockStarterShelf } from '../../server/src/material/starter.ts';
import { moveArchive } from './archive.ts';
import { photoPeak } from './photoPeak.ts';
import { manyStreams } from './streams.ts';
import { startServer, type ServerProcess } from '../serverProcess.ts';

/**
 * `npm run load`: many clients at once on a large studio, each asking for what its pages ask for, as fast as
 * the answers come. Prints how long the answers took.
 */
const CLIENTS = Number(process.env.CLIENTS ?? 50);
const PIECES = Number(process.env.PIECES ?? 2001);
const SECONDS = Number(process.env.SECONDS_OF_LOAD ?? 60);
const SEED = Number(process.env.SEED ?? 1);

interface Ask {
  readonly kind: string;
  readonly method: 'GET' | 'POST';
  readonly path: string;
  readonly body?: unknown;
}

const agent = new Agent({ keepAlive: true, maxSockets: CLIENTS });

function send(address: string, { method, path, body }: Ask): Promise<{ status: number; ms: number }> {
  const startedAt = performance.now();
  return new Promise((resolve, reject) => {
    const payload = body === undefined ? undefined : JSON.stringify(body);
    const sent = request(
      `${address}${path}`,
      { method, agent, headers: payload ? { 'Content-Type': 'application/json' } : {} },
      (response) => {
        response.resume();
        response.once('end', () =>
          resolve({ status: response.statusCode ?? 0, ms: performance.now() - startedAt }),
        );
      },
    );
    sent.once('error', reject);
    sent.end(payload);
  });
}

async function fillFolder(folder: string): Promise<{ pieceIds: string[]; cups: Map<string, string> }> {
  const { db } = await openDatabase(folder, timestamp());
  await stockStarterShelf(db);
  await fillWithPours(db, PIECES);
  const pieces = await db.selectFrom('piece').select('id').execute();
  const ingredients = await db
    .selectFrom('mixIngredient')
    .innerJoin('mix', 'mix.id', 'mixIngredient.cupId')
    .select(['mix.pieceId', 'mix.id as cupId', 'mixIngredient.id'])
    .execute();
  await db.destroy();
  return {
    pieceIds: pieces.map(({ id }) => id),
    cups: new Map(ingredients.map(({ pieceId, cupId, id }) => [pieceId, `${cupId} ${id}`])),
  };
}

/** What one client asks for next: what pages ask for when they open, and what is logged at the table. */
function asker(studio: Awaited<ReturnType<typeof fillFolder>>, seed: number): () => Ask {
  const random = seededRandom(seed);
  const anyOf = <Value>(values: readonly Value[]): Value => values[Math.floor(random() * values.length)]!;
  const get = (kind: string, path: string): Ask => ({ kind, method: 'GET', path });
  const kinds: readonly (readonly [number, () => Ask])[] = [
    [
      22,
      () =>
        get(
          'list of pieces',
          `/api/pieces?pageSize=50&page=${1 + Math.floor(random() * 5)}${anyOf(['', '&technique=bloom', '&sort=rating', '&tool=mouth', '&q=rim'])}`,
        ),
    ],
    [4, () => get('100 pieces', '/api/pieces?pageSize=100')],
    [10, () => get('shelf', '/api/materials?pageSize=20000')],
    [22, () => get('one piece', `/api/pieces/${anyOf(studio.pieceIds)}`)],
    [5, () => get('numbers', '/api/results/numbers')],
    [5, () => get('recipes', '/api/recipes')],
    [1, () => get('CSV', '/api/mixes.csv?technique=bloom&ratingFrom=5')],
    [
      20,
      () => ({
        kind: 'event',
        method: 'POST',
        path: `/api/pieces/${anyOf(studio.pieceIds)}/events`,
        body: { id: randomUUID(), at: timestamp(), kind: 'note', data: { text: 'a word at the table' } },
      }),
    ],
    [
      8,
      () => {
        const [cupId, ingredientId] = studio.cups.get(anyOf(studio.pieceIds))!.split(' ');
        const body = { id: randomUUID(), ingredientId, mg: 1000, source: 'typed' };
        return { kind: 'weighing in', method: 'POST', path: `/api/mixes/${cupId}/additions`, body };
      },
    ],
    [3, () => get('health', '/api/health')],
  ];
  const total = kinds.reduce((sum, [weight]) => sum + weight, 0);
  return () => {
    let at = random() * total;
    return (kinds.find(([weight]) => (at -= weight) < 0) ?? kinds[0]!)[1]();
  };
}

const folder = mkdtempSync(join(tmpdir(), 'icy-ribbon-load-'));
const empty = mkdtempSync(join(tmpdir(), 'icy-ribbon-load-empty-'));
let server: ServerProcess | undefined;
try {
  process.stdout.write(`Making a studio of ${PIECES} pieces ...\n`);
  const studio = await fillFolder(folder);
  server = await startServer(folder);
  const { address } = server;
  process.stdout.write(`Start: ${server.startSeconds.toFixed(2)} s\n`);
  await send(address, asker(studio, 0)());
  const times = new Map<string, number[]>();
  const statuses = new Map<number, number>();
  const until = performance.now() + SECONDS * 1000;
  await Promise.all(
    Array.from({ length: CLIENTS }, async (_, client) => {
      const next = asker(studio, SEED * 1000 + client);
      while (performance.now() < until) {
        const ask = next();
        const { status, ms } = await send(address, ask);
        if (!times.has(ask.kind)) times.set(ask.kind, []);
        times.get(ask.kind)?.push(ms);
        statuses.set(status, 1 + (statuses.get(status) ?? 0));
      }
    }),
  );
  const line = (kind: string, all: readonly number[]) => {
    const sorted = [...all].sort((a, b) => a - b);
    const at = (share: number) =>
      `${(sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0).toFixed(0)} ms`;
    return [
      kind.padEnd(16),
      ...[String(all.length), at(0.5), at(0.99), at(1)].map((each) => each.padStart(10)),
    ].join('');
  };
  process.stdout.write(
    `\n${['what'.padEnd(16), ...['answers', 'p50', 'p99', 'worst'].map((each) => each.padStart(10))].join('')}\n`,
  );
  for (const [kind, all] of times) process.stdout.write(`${line(kind, all)}\n`);
  process.stdout.write(`${line('all', [...times.values()].flat())}\n`);
  process.stdout.write(
    `Statuses: ${[...statuses].map(([status, count]) => `${status}: ${count}`).join(', ')}\n`,
  );
  await server.stop();
  const { opened, refused, slowestHealthMs, leftMb } = await manyStreams(folder);
  process.stdout.write(
    `1,000 event streams asked for: ${opened} opened, ${refused} refused, health at most ${slowestHealthMs.toFixed(0)} ms, ${leftMb.toFixed(0)} MB left afterwards\n`,
  );
  const moved = await moveArchive(folder, empty);
  process.stdout.write(
    `The studio as a zip of ${moved.zipMb.toFixed(1)} MB: out in ${moved.outSeconds.toFixed(1)} s, at most ${moved.outPeakMb.toFixed(0)} MB; ` +
      `in within ${moved.inSeconds.toFixed(1)} s (${moved.inProcessorSeconds.toFixed(0)} s of the processor), at most ${moved.inPeakMb.toFixed(0)} MB: ${moved.state} ${moved.problem}\n`,
  );
  for (const photos of [
    { count: 20, megapixels: 24 },
    { count: 12, megapixels: 59 },
  ]) {
    const { peakMb, seconds, taken } = await photoPeak(folder, studio.pieceIds[0]!, photos);
    process.stdout.write(
      `${photos.count} photos of ${photos.megapixels} MP at once: ${taken} taken in ${seconds.toFixed(1)} s, at most ${peakMb.toFixed(0)} MB\n`,
    );
  }
} finally {
  agent.destroy();
  await server?.stop();
  for (const made of [folder, empty]) rmSync(made, { recursive: true, force: true });
}
