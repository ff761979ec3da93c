import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { get, type ClientRequest } from 'node:http';
import { once } from 'node:events';
import { setTimeout as sleep } from 'node:timers/promises';
import { Worker } from 'node:worker_threads';
import { startServer } from '../serverProcess.ts';

export interface StreamReport {
  readonly opened: number;
  readonly refused: number;
  /** The slowest answer of "health" while the streams were asked for, ms. */
  readonly slowestHealthMs: number;
  /** How much more memory is held when all have gone, MB. */
  readonly leftMb: number;
}

const ATTEMPTS = 1000;
const SETTLE_MS = 3000;

const heldMb = (pid: number): number =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;

/**
 * Asks for a thousand event streams at once, reads none of them, and lets them all go; twice, since a process keeps what it
 * needed the first time. Reads memory as Linux tells it.
 */
export async function manyStreams(dataFolder: string): Promise<StreamReport> {
  const server = await startServer(dataFolder);
  try {
    await ask(server.address);
    await sleep(SETTLE_MS);
    const before = heldMb(server.pid);
    const asked = await ask(server.address);
    await sleep(SETTLE_MS);
    return { ...asked, leftMb: heldMb(server.pid) - before };
  } finally {
    await server.stop();
  }
}

async function ask(address: string): Promise<Omit<StreamReport, 'leftMb'>> {
  let [opened, refused] = [0, 0];
  const watch = await watchHealth(address);
  const streams: ClientRequest[] = [];
  const asked = Array.from({ length: ATTEMPTS }, async () => {
    const status = await new Promise<number>((resolve) => {
      const stream = get(`${address}/api/live?tab=${randomUUID()}`, (answer) => {
        answer.pause();
        resolve(answer.statusCode ?? 0);
      });
      stream.on('error', () => resolve(0));
      streams.push(stream);
    });
    if (status === 200) opened += 1;
    else if (status === 429) refused += 1;
  });
  await Promise.all(asked);
  const slowestHealthMs = await watch.end();
  for (const stream of streams) stream.destroy();
  return { opened, refused, slowestHealthMs };
}

const WATCHER = `
const { parentPort, workerData } = require('node:worker_threads');
let [slowest, isOver] = [0, false];
parentPort.once('message', () => (isOver = true));
(async () => {
  for (let asked = 0; !isOver; asked += 1) {
    const startedAt = performance.now();
    await (await fetch(workerData + '/api/health')).text();
    // The first makes the connection ready.
    if (asked > 0) slowest = Math.max(slowest, performance.now() - startedAt);
    else parentPort.postMessage('ready');
    await new Promise((done) => setTimeout(done, 10));
  }
  parentPort.postMessage(slowest);
  parentPort.close();
})();
`;

/** Asks for "health" again and again, on a thread of its own: asking for the streams keeps this one busy. */
async function watchHealth(address: string): Promise<{ end(): Promise<number> }> {
  const worker = new Worker(WATCHER, { eval: true, workerData: address });
  await once(worker, 'message');
  return {
    async end() {
      worker.postMessage('over');
      const [slowestMs] = (await once(worker, 'message')) as [number];
      return slowestMs;
    },
  };
}
