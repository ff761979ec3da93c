import { dirname, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { pino } from 'pino';
import { makeApp } from './app.ts';
import { readConfig } from './config.ts';
import { openDatabase } from './db/open.ts';
import { timestamp } from './db/record.ts';
import { fillDemo } from './demo/fill.ts';
import { photoFiles } from './photo/files.ts';

const packageFolder = resolve(dirname(fileURLToPath(import.meta.url)), '..');

async function start(): Promise<void> {
  const config = readConfig(process.env, packageFolder);
  const logger = pino({ level: process.env.ICY_RIBBON_LOG ?? 'warn' });
  const { db, backup } = await openDatabase(config.dataFolder, timestamp());
  if (backup) process.stdout.write(`The data had an older form; a copy was kept at ${backup}\n`);
  await fillDemo(db, photoFiles(config.dataFolder), {
    wanted: config.demo,
    now: new Date(),
    say: (line) => process.stdout.write(`${line}\n`),
  });
  const app = makeApp({
    config,
    db,
    log: (error) => logger.error(error),
    seed: Date.now(),
  });
  const server = app.listen(config.port, config.host, (error?: Error) => {
    if (error) {
      fail(error);
      return;
    }
    const address = server.address();
    const port = typeof address === 'object' && address ? address.port : config.port;
    const host = config.host.includes(':') ? `[${config.host}]` : config.host;
    process.stdout.write(`Icy Ribbon is at http://${host}:${port}/\n`);
  });
  for (const signal of ['SIGINT', 'SIGTERM'] as const) {
    process.on(signal, () => {
      server.close();
      server.closeAllConnections();
      void db.destroy().then(() => process.exit(0));
    });
  }
}

function fail(error: unknown): never {
  const code = (error as { code?: string }).code;
  const message = error instanceof Error ? error.message : String(error);
  process.stderr.write(
    code === 'EADDRINUSE'
      ? 'That port is taken: stop the other program, or set ICY_RIBBON_PORT to another one.\n'
      : `${message}\n`,
  );
  process.exit(1);
}

start().catch(fail);
