import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Material, Mix, Piece, Support } from '@icy-ribbon/contract';
import request from 'supertest';
import { makeApp } from '../app.ts';
import type { Config } from '../config.ts';
import { openDatabase, type Db } from '../db/open.ts';
import { stockStarterShelf } from '../material/starter.ts';

/** A server on an empty data folder of its own, with the starter shelf. */
export interface Studio {
  readonly db: Db;
  readonly folder: string;
  readonly faults: unknown[];
  readonly http: ReturnType<typeof request>;
  close(): Promise<void>;
}

export async function openStudio(changes: Partial<Config> = {}): Promise<Studio> {
  const folder = mkdtempSync(join(tmpdir(), 'icy-ribbon-'));
  const { db } = await openDatabase(folder, new Date().toISOString());
  await stockStarterShelf(db);
  const faults: unknown[] = [];
  const config: Config = {
    host: '127.0.0.1',
    port: 0,
    dataFolder: folder,
    webFolder: join(folder, 'web'),
    demo: false,
    passphrase: null,
    allowedHosts: [],
    ...changes,
  };
  const app = makeApp({ config, db, log: (error) => faults.push(error), seed: 1 });
  return {
    db,
    folder,
    faults,
    http: request(app),
    async close() {
      await db.destroy();
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
  const { id: paintId } = await materialNamed(studio, paint);
  const answer = await studio.http
    .post(`/api/pieces/${piece.id}/mixes`)
    .send({ role, recipeId: 'D2', paintId, totalMg })
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
