import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ImportJob, Material, Mix, Piece, Support } from '@icy-ribbon/contract';
import request from 'supertest';
import type { Config } from '../config.ts';
import type { Db } from '../db/open.ts';
import { stockStarterShelf } from '../material/starter.ts';
import { openStudio as openServed, type Studio as Served } from '../studio.ts';
import { inPlaceTasks } from '../task/inPlace.ts';

/** The photos of the demo's pours, from the project's root. */
export const DEMO_FOLDER = 'server/demo';

/** A server on an empty data folder of its own, with the starter shelf; everything is done in place. */
export interface Studio {
  readonly db: Db;
  readonly served: Served;
  readonly folder: string;
  readonly faults: unknown[];
  readonly http: ReturnType<typeof request>;
  close(): Promise<void>;
}

export async function openStudio(
  changes: Partial<Config> = {},
  folder = mkdtempSync(join(tmpdir(), 'icy-ribbon-')),
): Promise<Studio> {
  const faults: unknown[] = [];
  const config: Config = {
    host: '127.0.0.1',
    port: 0,
    dataFolder: folder,
    webFolder: join(folder, 'web'),
    describedFolder: join(folder, 'described'),
    demoFolder: DEMO_FOLDER,
    demo: false,
    passphrase: null,
    isLoopback: true,
    doorPort: 0,
    tls: null,
    allowedHosts: [],
    ...changes,
  };
  const served = await openServed({
    config,
    log: (error) => faults.push(error),
    seed: 1,
    makeTasks: (path, db) => inPlaceTasks(db, path),
    fill: (db) => stockStarterShelf(db),
  });
  return {
    served,
    get db() {
      return served.db;
    },
    folder,
    faults,
    http: request(served.app),
    async close() {
      await served.close();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

export async function materialNamed(studio: Studio, name: string): Promise<Material> {
  const { body } = await studio.http.get('/api/materials').query({ q: name }).expect(200);
  return (body as { items: Material[] }).items.find((each) => each.name === name)!;
}

export async function startPiece(studio: Studio, technique: 'dutch' | 'bloom' = 'dutch'): Promise<Piece> {
  const { body } = await studio.http.get('/api/supports').expect(200);
  const [support] = (body as { items: Support[] }).items;
  const answer = await studio.http
    .post('/api/pieces')
    .send({ name: 'Test piece', technique, supportId: support!.id })
    .expect(201);
  return answer.body as Piece;
}

export async function planCup(
  studio: Studio,
  piece: Piece,
  paint: string,
  totalMg: number,
  role = 'color',
): Promise<Mix> {
  const { id: materialId } = await materialNamed(studio, paint);
  const answer = await studio.http
    .post(`/api/pieces/${piece.id}/mixes`)
    .send({ role, recipeId: 'D2', materialId, totalMg })
    .expect(201);
  return answer.body as Mix;
}

/** Types the planned grams of every ingredient as what the scale showed. */
export async function weighInFully(studio: Studio, mix: Mix): Promise<Mix> {
  let current = mix;
  for (const ingredient of mix.ingredients) {
    const { body } = await studio.http
      .put(`/api/mixes/${mix.id}/ingredients/${ingredient.id}/actual`)
      .send({ version: current.version, mg: ingredient.targetMg, source: 'typed' })
      .expect(200);
    current = body as Mix;
  }
  return current;
}

/** What became of a file that was sent in: the job when it is over. */
export async function importedBy(studio: Studio, sent: request.Test): Promise<ImportJob> {
  const { body } = await sent.expect(202);
  await studio.served.jobs.idle();
  const { id } = body as ImportJob;
  return (await studio.http.get(`/api/imports/${id}`).expect(200)).body as ImportJob;
}
