/** `npm run --silent calc -- NAME`: the calculation bench; everything but the answer goes to standard error. */
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { ensureBuilt, ensureInstalled, ROOT } from './bootstrap.mjs';

ensureInstalled();
ensureBuilt({ pages: false });
await import(pathToFileURL(join(ROOT, 'server/dist/calculation/bench.main.js')).href);
