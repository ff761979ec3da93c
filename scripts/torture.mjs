/** `npm run torture`: kills the server at random moments; see `server/src/attack/torture.main.ts`. */
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { ensureBuilt, ensureInstalled, ROOT } from './bootstrap.mjs';

ensureInstalled();
ensureBuilt({ pages: false });
await import(pathToFileURL(join(ROOT, 'server/dist/attack/torture.main.js')).href);
