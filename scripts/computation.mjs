/** `npm run computation`: writes docs/computation.md from the registry that the bench and the page read. */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { ensureBuilt, ensureInstalled, ROOT } from './bootstrap.mjs';

ensureInstalled();
ensureBuilt({ pages: false });
const { computationDocument } = await import(
  pathToFileURL(join(ROOT, 'server/dist/calculation/document.js')).href
);
writeFileSync(join(ROOT, 'docs/computation.md'), computationDocument());
