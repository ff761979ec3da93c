import { existsSync, statSync } from 'node:fs';
import { setTimeout as sleep } from 'node:timers/promises';
import type { Backup, Safekeeping } from '@icy-ribbon/contract';
import type { Database as SqliteConnection } from 'better-sqlite3';
import express, { type Express, type Router } from 'express';
import { makeApp, studioRouter } from './app.ts';
import { openBackups, type Backups } from './backup/backups.ts';
import { deletionGuard } from './backup/deletionGuard.ts';
import { finishRestore, restore } from './backup/restore.ts';
import { shown } from './backup/store.ts';
import { verify, type Verified } from './backup/verify.ts';
import type { Config } from './config.ts';
import { storageFault } from './db/fault.ts';
import { openDatabase, type Db } from './db/open.ts';
import { openDevices } from './device/devices.ts';
import { makeDoor, type Door } from './device/door.ts';
import { openInvitations } from './device/invitations.ts';
import { makeHub } from './device/live.ts';
import { openStreams } from './device/streams.ts';
import { folderOf } from './folder/folder.ts';
import { bytesIn, freeBytes } from './folder/space.ts';
import { HttpProblem, notFound } from './http/problem.ts';
import { importJobs, type ImportJobs } from './import/jobs.ts';
import { photoFiles, type PhotoFiles } from './photo/files.ts';
import { unpackHeic } from './photo/heic.ts';
import { piecesWithoutFacts, refreshFacts, warmUpFacts } from './piece/evaluate.ts';
import type { Tasks } from './task/threads.ts';

export interface StudioOptions {
  readonly config: Config;
  readonly log: (error: unknown) => void;
  readonly seed: number;
  /** Where long work is done: on threads, or in place (tests). */
  readonly makeTasks: (dataFolder: string, db: Db) => Tasks;
  /** Readies a new studio: its starter shelf, the demo. */
  readonly fill: (db: Db, files: PhotoFiles, tasks: Tasks) => Promise<void>;
  readonly now?: () => Date;
}

/** A studio that is being served; a restore opens it anew beneath the same address. */
export interface Studio {
  readonly app: Express;
  /** What other devices come in by. */
  readonly door: Door;
  /** @throws Error while the database is damaged */
  readonly db: Db;
  readonly jobs: ImportJobs;
  readonly backups: Backups;
  /** What was wrong with the database when it was opened, in words; undefined when nothing was. */
  readonly trouble: string | undefined;
  /** The copy that was made before the data's form was changed. */
  readonly migratedFrom: string | undefined;
  /** Starts what answers pages; called when the server can be reached. */
  warmUp(): void;
  /** A backup, when one is due; never throws. */
  backUpIfDue(): Promise<void>;
  close(): Promise<void>;
}

interface Opened {
  readonly db: Db;
  readonly file: SqliteConnection;
  readonly tasks: Tasks;
  readonly jobs: ImportJobs;
  readonly router: Router;
}

const DAY_HOURS = 24;
const HOUR_MS = 3_600_000;
const SETTLE_MS = 5000;
const LASTING = '/api/scale/readings';

/**
 * Opens the studio in a data folder. A database that is damaged does not stop it: then only its backups can be seen,
 * and one put back.
 */
export async function openStudio(options: StudioOptions): Promise<Studio> {
  const { config, log, now = () => new Date() } = options;
  const folder = folderOf(config.dataFolder);
  let opened: Opened | undefined;
  const files = photoFiles(config.dataFolder, (path, to) =>
    opened ? opened.tasks.run('unpackHeic', { path, to }) : unpackHeic(path, to),
  );
  let trouble: string | undefined;
  let isRestoring = false;
  let underway = 0;
  let migratedFrom: string | undefined;

  const verifyBeside = (path: string): Promise<Verified> =>
    opened ? opened.tasks.run('verifyCopy', path) : Promise.resolve(verify(path));
  const backups = openBackups(config.dataFolder, verifyBeside, now);

  const faulty = (error: unknown) => {
    if (storageFault(error) === 'damaged') trouble ??= 'A part of the database cannot be read.';
    log(error);
  };

  async function open(): Promise<void> {
    await finishRestore(folder);
    const missing = await missingDatabase(folder.database, backups);
    if (missing) {
      trouble = missing;
      return;
    }
    try {
      const { db, file, backup } = await openDatabase(config.dataFolder, now().toISOString(), async (of) => {
        const made = await backups.make('before-migration', of);
        return made.name;
      });
      migratedFrom = backup;
      const tasks = options.makeTasks(config.dataFolder, db);
      await options.fill(db, files, tasks);
      const jobs = importJobs(tasks, folder.incoming, () => backUpBeforeImport(file), faulty);
      const beforeDeleting = deletionGuard(() => backUp('before-deleting', file));
      const { dataFolder, demoFolder } = config;
      const router = studioRouter({ db, files, tasks, jobs, beforeDeleting, dataFolder, demoFolder });
      opened = { db, file, tasks, jobs, router };
      if (isRestoring) tasks.warmUp();
      trouble = undefined;
      // What older code worked out is worked out anew beside everything else.
      void refresh(opened).catch(faulty);
    } catch (error) {
      if (storageFault(error) !== 'damaged') throw error;
      trouble = 'The database cannot be read.';
    }
  }

  const backUp = (reason: Backup['reason'], file: SqliteConnection, spared?: string): Promise<Backup> =>
    backups.make(reason, file, spared);

  /** One an hour is enough: a file that comes in only adds, and what it adds can be deleted. */
  async function backUpBeforeImport(file: SqliteConnection): Promise<void> {
    const since = now().getTime() - HOUR_MS;
    const isRecent = (await backups.list()).some(
      ({ reason, madeAt }) => reason === 'before-import' && Date.parse(madeAt) > since,
    );
    if (!isRecent) await backUp('before-import', file);
  }

  const refresh = async ({ db, tasks }: Opened): Promise<void> => {
    if ((await piecesWithoutFacts(db, 1)).length === 0) return;
    await refreshFacts(db, () => tasks.run('missingFacts', undefined));
  };

  const whenOpen = (): Opened => {
    if (!opened) throw DAMAGED;
    return opened;
  };

  async function close(): Promise<void> {
    const closing = opened;
    opened = undefined;
    await closing?.tasks.close();
    await closing?.db.destroy();
  }

  async function putBack(name: string): Promise<{ restored: Backup; before: Backup | null }> {
    const found = await backups.locate(name);
    if (!found) throw notFound('backup');
    if (isRestoring) throw new HttpProblem('restore-running', 'A backup is just being put back.');
    isRestoring = true;
    try {
      // A damaged database may not let itself be copied; it is set aside as it is.
      const before = opened ? await backUp('before-restore', opened.file, name).catch(() => null) : null;
      const until = performance.now() + SETTLE_MS;
      while (underway > 0 && performance.now() < until) await sleep(20);
      await close();
      try {
        await restore(folder, found, (path) => Promise.resolve(verify(path)), now().toISOString());
      } finally {
        await open();
      }
      return { restored: shown(found.manifest, false), before };
    } finally {
      isRestoring = false;
    }
  }

  const keeper = {
    async show(): Promise<Safekeeping> {
      if (opened) await refresh(opened).catch(faulty);
      const rows = opened
        ? await opened.db
            .selectFrom('pourFacts')
            .innerJoin('piece', 'piece.id', 'pourFacts.pieceId')
            .where('pourFacts.trouble', 'is not', null)
            .where('piece.deletedAt', 'is', null)
            .select(['piece.id', 'piece.name', 'pourFacts.trouble'])
            .limit(200)
            .execute()
            .catch(() => [])
        : [];
      const second = await backups.secondFolder();
      return {
        backups: await backups.list(),
        freeBytes: await freeBytes(config.dataFolder),
        backupBytes: await bytesIn(folder.backups),
        dataBytes:
          (await bytesIn(folder.photos)) + (existsSync(folder.database) ? statSync(folder.database).size : 0),
        partBytes: (await bytesIn(folder.uploads)) + (await bytesIn(folder.incoming)),
        secondFolder: second?.path ?? null,
        isSameDisk: second?.isSameDisk ?? false,
        trouble: backups.trouble(),
        isDamaged: trouble !== undefined,
        pieces: rows.map(({ id, name, trouble: of }) => ({ id, name, trouble: of ?? '' })),
      };
    },
    backUp: async () => backUp('by-hand', whenOpen().file),
    restore: putBack,
    chooseSecond: (path: string | null) => backups.chooseSecond(path),
  };

  const closedRouter = express.Router();
  closedRouter.use(() => {
    throw isRestoring ? RESTORING : DAMAGED;
  });
  const countingRouter = express.Router();
  countingRouter.use((request, response, next) => {
    if (request.path !== LASTING) {
      underway += 1;
      response.once('close', () => (underway -= 1));
    }
    (opened && !isRestoring ? opened.router : closedRouter)(request, response, next);
  });

  await open();
  const devices = openDevices(folder.devices, now);
  const door = makeDoor(config, devices, folder.certificate);
  const app = makeApp({
    ...{ devices, door, invitations: openInvitations(now), hub: makeHub(), streams: openStreams(now) },
    config,
    keeper,
    log: faulty,
    seed: options.seed,
    status: () => (isRestoring ? 'restoring' : trouble === undefined ? 'ok' : 'damaged'),
    studio: () => countingRouter,
  });
  return {
    app,
    door,
    backups,
    async close() {
      await door.close();
      await close();
    },
    get db() {
      return whenOpen().db;
    },
    get jobs() {
      return whenOpen().jobs;
    },
    get trouble() {
      return trouble;
    },
    get migratedFrom() {
      return migratedFrom;
    },
    warmUp() {
      opened?.tasks.warmUp();
      if (opened) void warmUpFacts(opened.db).catch(faulty);
    },
    async backUpIfDue() {
      if (!opened || isRestoring) return;
      try {
        if (await backups.isDue(DAY_HOURS, now())) await backUp('daily', opened.file);
      } catch (error) {
        faulty(error);
      }
    },
  };
}

const DAMAGED = new HttpProblem(
  'no-database',
  'The database cannot be read. Open "Safekeeping" and put the newest good copy back.',
);
const RESTORING = new HttpProblem('restoring', 'A backup is just being put back: wait a moment.');

/** An empty file where there are backups of a studio is a lost database, not a new one. */
async function missingDatabase(path: string, backups: Backups): Promise<string | undefined> {
  if (existsSync(path) && statSync(path).size > 0) return undefined;
  const held = (await backups.list()).some(({ pieces, isOfOther }) => pieces > 0 && !isOfOther);
  return held
    ? `The database is ${existsSync(path) ? 'empty' : 'missing'}, and there are backups of it.`
    : undefined;
}
