import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fillWithPours } from '../bench/pours.ts';
import { openDatabase } from '../../server/src/db/open.ts';
import { timestamp } from '../../server/src/db/record.ts';
import { folderOf } from '../../server/src/folder/folder.ts';
import { stockStarterShelf } from '../../server/src/material/starter.ts';
import { torture } from './torture.ts';

/** `npm run torture`: kills the built server again and again while it is written to; KILLS and SEED set the run. */
const kills = Number(process.env.KILLS ?? 50);
const seed = Number(process.env.SEED ?? Date.now() % 1e6);

const folder = mkdtempSync(join(tmpdir(), 'icy-ribbon-torture-'));
const { db } = await openDatabase(folder, timestamp());
await stockStarterShelf(db);
await fillWithPours(db, 60);
await db.destroy();
mkdirSync(folderOf(folder).photos, { recursive: true });
const say = (line: string) => process.stdout.write(`${line}\n`);
try {
  say(`Seed ${seed}: ${kills} kills ...`);
  const report = await torture(folder, { kills, seed, say });
  say(
    `${report.kills} kills: ${report.acknowledged} writes acknowledged, ${report.replayed} sent again, ${report.backups} backups begun`,
  );
  for (const failure of report.failures) say(`FAILED ${failure}`);
  say(`${report.failures.length} failures`);
  process.exitCode = report.failures.length === 0 ? 0 : 1;
} finally {
  rmSync(folder, { recursive: true, force: true });
}
