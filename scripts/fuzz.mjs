/** `npm run fuzz`: made-up requests to every route; see `server/src/attack/fuzz.main.ts`. */
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { ensureBuilt, ensureInstalled, ROOT } from './bootstrap.mjs';

ensureInstalled();
ensureBuilt({ pages: false });
await import(pathToFileURL(join(ROOT, 'server/dist/attack/fuzz.main.js')).href);
