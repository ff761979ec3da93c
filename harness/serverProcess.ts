import { spawn, type ChildProcess } from 'node:child_process';
import { resolve } from 'node:path';

/** The built server as a process of its own, which can be killed. */
export interface ServerProcess {
  readonly address: string;
  readonly pid: number;
  /** Seconds from the start of the process to its first answer. */
  readonly startSeconds: number;
  kill(): Promise<void>;
  stop(): Promise<void>;
}

const MAIN = resolve('server/bundle/main.js');

/**
 * Starts the built server on a data folder, on a port that is free.
 *
 * @param nodeOptions further options of the process, like "--max-old-space-size=512"
 */
export function startServer(
  dataFolder: string,
  env: Readonly<Record<string, string>> = {},
  nodeOptions: readonly string[] = [],
): Promise<ServerProcess> {
  const startedAt = performance.now();
  const child = spawn(process.execPath, [...nodeOptions, MAIN], {
    env: { ...process.env, ICY_RIBBON_DATA: dataFolder, ICY_RIBBON_PORT: '0', ICY_RIBBON_DEMO: '0', ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  return new Promise((resolve, reject) => {
    let said = '';
    const listen = (chunk: Buffer) => {
      said += chunk.toString();
      const address = said.match(/http:\/\/[^\s]+?(?=\/\s)/)?.[0];
      if (!address) return;
      resolve({
        address,
        pid: child.pid ?? 0,
        startSeconds: (performance.now() - startedAt) / 1000,
        kill: () => end(child, 'SIGKILL'),
        stop: () => end(child, 'SIGTERM'),
      });
    };
    child.stdout.on('data', listen);
    child.stderr.on('data', listen);
    child.once('exit', (code) => reject(new Error(`The server ended with ${code}: ${said}`)));
  });
}

function end(child: ChildProcess, signal: NodeJS.Signals): Promise<void> {
  if (child.exitCode !== null || child.signalCode !== null) return Promise.resolve();
  return new Promise((resolve) => {
    child.once('exit', () => resolve());
    child.kill(signal);
  });
}
