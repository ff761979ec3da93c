/** `npm run restore`: lists the backups, or puts one back; see `server/src/backup/restore.main.ts`. */
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ensureBuilt, ensureInstalled, ROOT } from './bootstrap.mjs';

ensureInstalled();
ensureBuilt({ pages: false });
const { status } = spawnSync(
  process.execPath,
  [join(ROOT, 'server/bundle/restore.js'), ...process.argv.slice(2)],
  { stdio: 'inherit' },
);
process.exitCode = status ?? 1;
