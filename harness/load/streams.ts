import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { get, type ClientRequest } from 'node:http';
import { setTimeout as sleep } from 'node:timers/promises';
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
  let [opened, refused, slowestHealthMs, isOver] = [0, 0, 0, false];
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
  const watching = (async () => {
    while (!isOver) {
      slowestHealthMs = Math.max(slowestHealthMs, await health(address));
      await sleep(10);
    }
  })();
  await Promise.all(asked);
  isOver = true;
  await watching;
  for (const stream of streams) stream.destroy();
  return { opened, refused, slowestHealthMs };
}

async function health(address: string): Promise<number> {
  const startedAt = performance.now();
  await (await fetch(`${address}/api/health`)).text();
  return performance.now() - startedAt;
}
