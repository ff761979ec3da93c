/** `npm run load`: fifty clients at once on a large studio, and how long their answers took. */
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { ensureBuilt, ensureInstalled, ROOT } from './bootstrap.mjs';

ensureInstalled();
ensureBuilt({ pages: false });
await import(pathToFileURL(join(ROOT, 'server/dist/attack/load.main.js')).href);
