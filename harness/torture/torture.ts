import { createHash, randomUUID } from 'node:crypto';
import { readdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import type { Piece, Safekeeping } from '@icy-ribbon/contract';
import { seededRandom, type Random } from '@icy-ribbon/core/base/random';
import SqliteFile from 'better-sqlite3';
import sharp from 'sharp';
import { verify } from '../../server/src/backup/verify.ts';
import { folderOf } from '../../server/src/folder/folder.ts';
import { startServer, type ServerProcess } from '../serverProcess.ts';
import { foreignFolder } from './foreign.ts';

export interface TortureReport {
  readonly kills: number;
  readonly acknowledged: number;
  readonly replayed: number;
  readonly backups: number;
  /** What was lost, doubled or damaged; empty when all is well. */
  readonly failures: readonly string[];
}

/** A write with an id of its own, so that it may be sent again. */
interface Write {
  readonly id: string;
  readonly table: 'mixAddition' | 'pourEvent' | 'reading' | 'photo';
  readonly send: (address: string) => Promise<Response>;
}

const CLIENTS = 6;
const SOONEST_MS = 40;
const LATEST_MS = 700;

/**
 * Kills the built server at random moments while clients write to it, starts it again, and looks whether everything
 * that was acknowledged is there once, whether what was under way can be sent again, and whether what lies on the disk
 * is whole, in the folder for second copies what is not ours included. At the end a backup is put back.
 *
 * @param dataFolder of a studio with pieces and cups
 * @param seed repeats the moments and the writes of a run
 */
export async function torture(
  dataFolder: string,
  given: { kills: number; seed: number; say?: (line: string) => void },
): Promise<TortureReport> {
  const random = seededRandom(given.seed);
  const failures: string[] = [];
  const acknowledged = new Map<string, Write>();
  const targets = targetsIn(dataFolder);
  const image = await sharp({ create: { width: 90, height: 60, channels: 3, background: '#446688' } })
    .jpeg()
    .toBuffer();
  const foreign = await foreignFolder(dataFolder);
  let [replayed, backups] = [0, 0];

  for (let kill = 0; kill < given.kills; kill += 1) {
    const server = await startServer(dataFolder);
    const underway = new Map<string, Write>();
    const stop = new AbortController();
    const clients = Array.from({ length: CLIENTS }, async () => {
      while (!stop.signal.aborted) {
        const write = makeWrite(targets, image, random);
        underway.set(write.id, write);
        try {
          const { ok, status } = await write.send(server.address);
          if (ok) acknowledged.set(write.id, write);
          else if (status !== 422 && status !== 507)
            failures.push(`kill ${kill}: ${write.table} answered ${status}`);
          underway.delete(write.id);
        } catch {
          return;
        }
      }
    });
    if (random() < 0.15) {
      backups += 1;
      void fetch(`${server.address}/api/safekeeping/backups`, { method: 'POST' }).catch(() => undefined);
    }
    await sleep(SOONEST_MS + random() * (LATEST_MS - SOONEST_MS));
    await server.kill();
    stop.abort();
    await Promise.all(clients);
    failures.push(
      ...[...lookAtDisk(dataFolder, [...acknowledged.values()]), ...foreign.look()].map(
        (each) => `kill ${kill}: ${each}`,
      ),
    );
    if (kill % 10 === 9 || kill === given.kills - 1) {
      replayed += await replay(dataFolder, [...underway.values()], acknowledged, failures);
    }
    if (kill % 50 === 49)
      given.say?.(`${kill + 1} kills, ${acknowledged.size} writes acknowledged, ${failures.length} failures`);
    if (failures.length > 20) break;
  }
  failures.push(...(await restoreAtTheEnd(dataFolder)), ...foreign.look());
  rmSync(foreign.folder, { recursive: true, force: true });
  return { kills: given.kills, acknowledged: acknowledged.size, replayed, backups, failures };
}

interface Target {
  readonly pieceId: string;
  readonly cupId: string;
  readonly ingredientId: string;
}

function targetsIn(dataFolder: string): Target[] {
  const file = new SqliteFile(folderOf(dataFolder).database, { readonly: true });
  const rows = file
    .prepare(
      `SELECT mix.pieceId, mix.id AS cupId, mixIngredient.id AS ingredientId FROM mix
       JOIN mixIngredient ON mixIngredient.cupId = mix.id GROUP BY mix.pieceId`,
    )
    .all() as Target[];
  file.close();
  return rows;
}

function makeWrite(targets: readonly Target[], image: Buffer, random: Random): Write {
  const { pieceId, cupId, ingredientId } = targets[Math.floor(random() * targets.length)]!;
  const id = randomUUID();
  const post = (path: string, body: unknown) => (address: string) =>
    fetch(`${address}${path}`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(body),
    });
  const kind = random();
  if (kind < 0.5) {
    const event = { id, at: new Date().toISOString(), kind: 'note', data: { text: `note ${id}` } };
    return { id, table: 'pourEvent', send: post(`/api/pieces/${pieceId}/events`, event) };
  }
  if (kind < 0.8) {
    const body = { id, ingredientId, mg: 1 + Math.floor(random() * 900), source: 'typed' };
    return { id, table: 'mixAddition', send: post(`/api/mixes/${cupId}/additions`, body) };
  }
  if (kind < 0.92) {
    const measure = { kind: 'words', stage: 'fading' };
    const readings = [{ id, cupId, raceId: null, temperatureC: null, measure }];
    return { id, table: 'reading', send: post(`/api/pieces/${pieceId}/readings`, { readings }) };
  }
  return {
    id,
    table: 'photo',
    send(address) {
      const form = new FormData();
      form.set('id', id);
      form.set('state', 'wet');
      // A tail of its own makes each photo another file to clean and to name.
      form.set('photo', new Blob([new Uint8Array(Buffer.concat([image, Buffer.from(id)]))]));
      return fetch(`${address}/api/pieces/${pieceId}/photos`, { method: 'POST', body: form });
    },
  };
}

/** Everything acknowledged is there, once, in a database that is whole, beside photos that are what they are named. */
function lookAtDisk(dataFolder: string, writes: readonly Write[]): string[] {
  const { database, photos } = folderOf(dataFolder);
  const found: string[] = [];
  const { wrong } = verify(database);
  if (wrong) found.push(wrong);
  const file = new SqliteFile(database, { readonly: true });
  for (const table of ['mixAddition', 'pourEvent', 'reading', 'photo'] as const) {
    const ids = (file.prepare(`SELECT id FROM ${table}`).all() as { id: string }[]).map(({ id }) => id);
    const known = new Set(ids);
    if (known.size !== ids.length) found.push(`${table}: ${ids.length - known.size} doubled`);
    const lost = writes.filter((write) => write.table === table && !known.has(write.id));
    if (lost.length > 0) found.push(`${table}: ${lost.length} acknowledged writes lost`);
  }
  const hashes = file.prepare('SELECT DISTINCT hash FROM photo').all() as { hash: string }[];
  file.close();
  const there = new Set(readdirSync(photos, { withFileTypes: true }).map(({ name }) => name));
  for (const { hash } of hashes) {
    if (!there.has(`${hash}.jpg`)) {
      if (hash !== 'f'.repeat(64)) found.push(`photo ${hash} has no file`);
      continue;
    }
    const content = readFileSync(join(photos, `${hash}.jpg`));
    if (createHash('sha256').update(content).digest('hex') !== hash)
      found.push(`photo ${hash} is another one`);
  }
  return found;
}

/** What was under way when it was killed is sent again, twice: it is there once. */
async function replay(
  dataFolder: string,
  underway: readonly Write[],
  acknowledged: Map<string, Write>,
  failures: string[],
): Promise<number> {
  const server = await startServer(dataFolder);
  try {
    for (const write of [...underway, ...[...acknowledged.values()].slice(-5)]) {
      for (const turn of [1, 2]) {
        const { ok, status } = await write.send(server.address);
        if (!ok && status !== 422) failures.push(`sent again (${turn}): ${write.table} answered ${status}`);
        if (ok) acknowledged.set(write.id, write);
      }
    }
  } finally {
    await server.stop();
  }
  failures.push(...lookAtDisk(dataFolder, [...acknowledged.values()]));
  return underway.length;
}

/** A backup is made, something is written, and the backup put back: the studio is as it was. */
async function restoreAtTheEnd(dataFolder: string): Promise<string[]> {
  const server: ServerProcess = await startServer(dataFolder);
  const get = async <Body>(path: string) => (await (await fetch(`${server.address}${path}`)).json()) as Body;
  const post = (path: string) => fetch(`${server.address}${path}`, { method: 'POST' });
  try {
    const first = (await get<{ items: { id: string }[] }>('/api/pieces')).items[0]!.id;
    const before = await get<Piece>(`/api/pieces/${first}`);
    await post('/api/safekeeping/backups');
    const { backups } = await get<Safekeeping>('/api/safekeeping');
    const event = {
      id: randomUUID(),
      at: new Date().toISOString(),
      kind: 'note',
      data: { text: 'after the backup' },
    };
    await fetch(`${server.address}/api/pieces/${first}/events`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(event),
    });
    const restored = await post(`/api/safekeeping/backups/${backups[0]!.name}/restore`);
    if (!restored.ok) return [`restore answered ${restored.status}`];
    const after = await get<Piece>(`/api/pieces/${first}`);
    return JSON.stringify(after) === JSON.stringify(before) ? [] : ['the piece is not as the backup had it'];
  } finally {
    await server.stop();
  }
}
