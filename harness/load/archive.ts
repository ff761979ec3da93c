import { createWriteStream, openAsBlob, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { setTimeout as sleep } from 'node:timers/promises';
import type { ReadableStream } from 'node:stream/web';
import type { ImportJob } from '@icy-ribbon/contract';
import { startServer } from '../serverProcess.ts';
import { peakOf, processorSeconds } from './peak.ts';

/** How a whole studio came out of one server and into another. */
export interface ArchiveMoved {
  readonly zipMb: number;
  readonly outSeconds: number;
  readonly outPeakMb: number;
  readonly inSeconds: number;
  /** The same as processor time, which others on the machine do not lengthen. */
  readonly inProcessorSeconds: number;
  readonly inPeakMb: number;
  /** What became of it. */
  readonly state: ImportJob['state'];
  readonly problem: string;
}

/**
 * Takes a studio out as a zip and into an empty one, each by a server of its own.
 *
 * @param from the folder of the studio
 * @param to an empty folder
 */
export async function moveArchive(from: string, to: string): Promise<ArchiveMoved> {
  const zip = join(to, 'studio.zip');
  const out = await writeOut(from, zip);
  const zipMb = statSync(zip).size / 1e6;
  const server = await startServer(join(to, 'studio'));
  try {
    const startedAt = performance.now();
    const form = new FormData();
    form.set('archive', await openAsBlob(zip), 'studio.zip');
    const answer = await fetch(`${server.address}/api/archive`, { method: 'POST', body: form });
    let job = (await answer.json()) as ImportJob;
    while (job.state === 'waiting' || job.state === 'running') {
      await sleep(200);
      job = (await (await fetch(`${server.address}/api/imports/${job.id}`)).json()) as ImportJob;
    }
    const inSeconds = (performance.now() - startedAt) / 1000;
    const problem = job.problem ? JSON.stringify(job.problem) : '';
    const inProcessorSeconds = processorSeconds(server.pid);
    const inPeakMb = peakOf(server.pid);
    return { zipMb, ...out, inSeconds, inProcessorSeconds, inPeakMb, state: job.state, problem };
  } finally {
    await server.stop();
    rmSync(zip, { force: true });
  }
}

async function writeOut(from: string, zip: string): Promise<{ outSeconds: number; outPeakMb: number }> {
  const server = await startServer(from);
  try {
    const startedAt = performance.now();
    const answer = await fetch(`${server.address}/api/archive.zip`);
    await pipeline(Readable.fromWeb(answer.body as ReadableStream), createWriteStream(zip));
    return { outSeconds: (performance.now() - startedAt) / 1000, outPeakMb: peakOf(server.pid) };
  } finally {
    await server.stop();
  }
}
