/** `npm run demo:pictures`: blows every pour of the demo in the film, takes its photos, and keeps them with what was measured. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { PhotoState } from '@icy-ribbon/contract';
import type { Rehearsal } from '@icy-ribbon/core/piece/rehearse';
import { demoDocuments } from '../../server/src/demo/fill.ts';
import { photographDemo } from '../../server/src/demo/photograph.ts';
import { demoPictures, type DemoPicture, type DemoShot } from '../../server/src/demo/pictures.ts';
import { sampleDocument } from '../../server/src/demo/sample.ts';
import { openDatabase } from '../../server/src/db/open.ts';
import { stockStarterShelf } from '../../server/src/material/starter.ts';
import { filmFrom } from '../../server/src/standin/camera/filmFrom.ts';
import { filmOfPour } from '../../server/src/standin/camera/world.ts';

const makeFilm = filmFrom('core/bundle/film.wasm');
const pictures = demoPictures('server/demo');
const films = new Map<string, Rehearsal>();
const taken = new Map<string, Map<PhotoState, DemoPicture>>();

async function photograph(shot: DemoShot): Promise<DemoPicture> {
  const film = films.get(shot.name) ?? filmOfPour(shot.record, makeFilm);
  films.set(shot.name, film);
  const picture = await photographDemo(film, shot);
  const all = taken.get(shot.name) ?? new Map<PhotoState, DemoPicture>();
  taken.set(shot.name, all.set(shot.moment, picture));
  const { negativeSpace, cells } = picture.measurement;
  process.stdout.write(
    `${shot.name}, ${shot.moment}: ${Math.round(100 * negativeSpace)} % base, ${cells.count} cells of ${cells.medianMm.toFixed(1)} mm\n`,
  );
  return picture;
}

const folder = mkdtempSync(join(tmpdir(), 'icy-ribbon-pictures-'));
const { db } = await openDatabase(folder, 'pictures');
await stockStarterShelf(db);
await demoDocuments(db, new Date(), photograph);
await sampleDocument(db, photograph);
await pictures.clear();
for (const [name, all] of taken) await pictures.keep(name, films.get(name)!.scene, all);
await db.destroy();
rmSync(folder, { recursive: true, force: true });
