/** `npm run bench`: how fast the parts are on this machine. Compare ratios within one run, never two runs. */
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { ensureBuilt, ensureInstalled, ROOT } from './bootstrap.mjs';

ensureInstalled();
ensureBuilt({ pages: false });
await import(pathToFileURL(join(ROOT, 'server/dist/benchmark/main.js')).href);
