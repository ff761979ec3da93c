import { dirname, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { readConfig } from '../config.ts';
import { folderOf } from '../folder/folder.ts';
import { takeLock } from '../folder/lock.ts';
import { openBackups } from './backups.ts';
import { finishRestore, restore } from './restore.ts';
import { verify, type Verified } from './verify.ts';

/**
 * `npm run restore`: lists the backups; with a backup's name, or "newest", puts it in place of everything. What was
 * there is set aside.
 */
const say = (line: string) => process.stdout.write(`${line}\n`);
const verifyHere = (path: string): Promise<Verified> => Promise.resolve(verify(path));

async function run([wanted]: readonly string[]): Promise<number> {
  const packageFolder = resolve(dirname(fileURLToPath(import.meta.url)), '..');
  const { dataFolder } = readConfig(process.env, packageFolder);
  const folder = folderOf(dataFolder);
  const backups = openBackups(dataFolder, verifyHere);
  const all = await backups.list();
  if (all.length === 0) {
    say(`There are no backups in ${folder.backups}.`);
    return 1;
  }
  if (wanted === undefined) {
    say('Backups, the newest first:');
    for (const { name, pieces, photos } of all) say(`  ${name}  ${pieces} pieces, ${photos} photos`);
    say('Put one back with: npm run restore -- NAME (or: newest)');
    return 0;
  }
  const lock = await takeLock(dataFolder);
  if ('heldAt' in lock) {
    say(
      `Icy Ribbon runs on this data${lock.heldAt ? ` at ${lock.heldAt}` : ''}: put it back on the page "Safekeeping" there, or stop it first.`,
    );
    return 1;
  }
  try {
    await finishRestore(folder);
    const candidates = wanted === 'newest' ? all.map(({ name }) => name) : [wanted];
    for (const name of candidates) {
      const found = await backups.locate(name);
      if (!found) {
        say(`There is no backup "${name}".`);
        return 1;
      }
      try {
        await restore(folder, found, verifyHere, new Date().toISOString());
        say(
          `${name} is back, with ${found.manifest.pieces} pieces. What was there is kept in ${folder.setAside}.`,
        );
        return 0;
      } catch (error) {
        say(`${name}: ${(error as Error).message}`);
      }
    }
    return 1;
  } finally {
    lock.release();
  }
}

run(process.argv.slice(2)).then(
  (code) => (process.exitCode = code),
  (error: unknown) => {
    process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
    process.exitCode = 1;
  },
);
