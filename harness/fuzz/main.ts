import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fillWithPours } from '../bench/pours.ts';
import { openDatabase } from '../../server/src/db/open.ts';
import { timestamp } from '../../server/src/db/record.ts';
import { stockStarterShelf } from '../../server/src/material/starter.ts';
import { fuzz, sendTo } from './fuzz.ts';
import { startServer } from '../serverProcess.ts';

/** `npm run fuzz`: made-up requests to every route of the built server; SEED, RANDOM and SYSTEMATIC set the run. */
const seed = Number(process.env.SEED ?? Date.now() % 1e6);
const random = Number(process.env.RANDOM ?? 10_000);
const systematic = Number(process.env.SYSTEMATIC ?? 10_000);

const folder = mkdtempSync(join(tmpdir(), 'icy-ribbon-fuzz-'));
const { db } = await openDatabase(folder, timestamp());
await stockStarterShelf(db);
await fillWithPours(db, 8);
await db.destroy();
const server = await startServer(folder);

try {
  process.stdout.write(`Seed ${seed}: ${random} random and ${systematic} systematic requests ...\n`);
  const report = await fuzz(sendTo(server.address), { seed, random, systematic, withSlow: true });
  process.stdout.write(`${report.requests} requests, slowest ${report.slowestMs.toFixed(0)} ms\n`);
  process.stdout.write(`Statuses: ${JSON.stringify(report.statuses)}\n`);
  for (const { what, request } of report.failures.slice(0, 20)) {
    process.stdout.write(
      `FAILED ${request.method} ${request.path}: ${what}\n  ${request.body?.slice(0, 600) ?? ''}\n`,
    );
  }
  process.stdout.write(`${report.failures.length} failures\n`);
  process.exitCode = report.failures.length === 0 ? 0 : 1;
} finally {
  await server.stop();
  rmSync(folder, { recursive: true, force: true });
}
