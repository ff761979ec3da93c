import { spawn } from 'node:child_process';
import { dirname, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { pino } from 'pino';
import { readConfig, type Config } from './config.ts';
import { storageFault } from './db/fault.ts';
import { NewerDatabase } from './db/migrate.ts';
import { stockStarterShelf } from './material/starter.ts';
import { takeLock, type FolderLock } from './folder/lock.ts';
import { sweep, sweepAbandoned } from './folder/sweep.ts';
import { openStudio, type Studio } from './studio.ts';
import { threadedTasks } from './task/threads.ts';

const packageFolder = resolve(dirname(fileURLToPath(import.meta.url)), '..');
const say = (line: string) => process.stdout.write(`${line}\n`);
const FIRST_BACKUP_MS = 60_000;
const HOUR_MS = 3_600_000;

async function start(): Promise<void> {
  const config = readConfig(process.env, packageFolder);
  const logger = pino({ level: process.env.ICY_RIBBON_LOG ?? 'warn' });
  const lock = await takeLock(config.dataFolder);
  if ('heldAt' in lock) {
    openRunning(lock.heldAt);
    return;
  }
  await sweep(config.dataFolder);
  // Only a demo needs what makes one.
  const demo = config.demo ? await import('./demo/fill.ts') : undefined;
  await demo?.discardHalfDemo(config.dataFolder);
  const studio = await openStudio({
    config,
    log: (error) => logger.error(error),
    seed: Date.now(),
    makeTasks: threadedTasks,
    fill: (db, files, tasks) =>
      demo
        ? demo.fillDemo(db, files, tasks, { now: new Date(), say, pictures: config.demoFolder })
        : stockStarterShelf(db),
  });
  if (studio.migratedFrom) say(`The data had an older form; a copy was kept: ${studio.migratedFrom}`);
  if (studio.trouble) await sayTrouble(studio);
  listen(config, studio, lock);
  watch(studio, config);
}

/** The folder is served already: that is where to go. */
function openRunning(address: string | undefined): void {
  if (address === undefined) {
    fail(new Error('Another Icy Ribbon is just starting on this data: wait a moment and try again.'));
  }
  say(`Icy Ribbon runs already on this data, at ${address}`);
  const opener = { darwin: 'open', win32: 'explorer' }[process.platform as string] ?? 'xdg-open';
  if (process.stdout.isTTY) {
    spawn(opener, [address], { stdio: 'ignore', detached: true })
      .on('error', () => {})
      .unref();
  }
}

function listen(config: Config, studio: Studio, lock: FolderLock): void {
  const server = studio.app.listen(config.port, config.host, (error?: Error) => {
    if (error) {
      fail(error);
      return;
    }
    const address = server.address();
    const port = typeof address === 'object' && address ? address.port : config.port;
    const host = config.host.includes(':') ? `[${config.host}]` : config.host;
    const url = `http://${host}:${port}/`;
    void lock.tell(url).then(() => {
      say(`Icy Ribbon is at ${url}`);
      studio.warmUp();
      studio.door.openAsKept(studio.app).then(
        () => studio.door.state().addresses.forEach((each) => say(`Other devices find it at ${each.url}`)),
        (error: unknown) => say(`Other devices cannot come in: ${wordsFor(error)}`),
      );
    });
  });
  for (const signal of ['SIGINT', 'SIGTERM'] as const) {
    process.on(signal, () => {
      server.close();
      server.closeAllConnections();
      void studio.close().then(() => {
        lock.release();
        process.exit(0);
      });
    });
  }
}

/** Backups go on by themselves, and the database is read from end to end once beside everything else. */
function watch(studio: Studio, { dataFolder }: Config): void {
  const tidy = () => {
    void studio.backUpIfDue();
    void sweepAbandoned(dataFolder, new Date()).catch(() => undefined);
  };
  setTimeout(tidy, FIRST_BACKUP_MS).unref();
  setInterval(tidy, HOUR_MS).unref();
}

async function sayTrouble(studio: Studio): Promise<void> {
  say(`${studio.trouble} Nothing of it was changed.`);
  const [newest] = await studio.backups.list();
  say(
    newest
      ? `The newest good copy is of ${newest.madeAt} (${newest.pieces} pieces). Open the address below to put it back, or stop this and run "npm run restore".`
      : 'There is no backup in its folder: if you have a copy elsewhere, stop this and put it in place of the data folder.',
  );
}

function fail(error: unknown): never {
  process.stderr.write(`${wordsFor(error)}\n`);
  process.exit(1);
}

function wordsFor(error: unknown): string {
  const code = (error as { code?: string }).code;
  if (code === 'EADDRINUSE')
    return 'That port is taken: stop the other program, or set ICY_RIBBON_PORT to another one.';
  if (error instanceof NewerDatabase) return error.message;
  const folder = process.env.ICY_RIBBON_DATA ?? 'the data folder';
  switch (storageFault(error)) {
    case 'full':
      return `The disk of ${folder} is full: make room on it and start again. Nothing was changed.`;
    case 'not-writable':
      return `${folder} cannot be written: check who may write there, or set ICY_RIBBON_DATA to another folder. Nothing was changed.`;
    case 'busy':
      return `Another program has the database of ${folder} open: close it and start again.`;
    default:
      return error instanceof Error ? error.message : String(error);
  }
}

start().catch(fail);
