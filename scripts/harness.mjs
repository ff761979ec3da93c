/** Runs one of the tools in `harness/` from its source: they try the product out and are no part of it. */
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { rolldown } from 'rolldown';
import { ensureBuilt, ensureInstalled, ROOT } from './bootstrap.mjs';

/** The server finds its threads beside itself, so that a tool which holds one is put there too. */
const BESIDE_THE_SERVER = join(ROOT, 'server/bundle');

export async function runHarness(name, { pages = false } = {}) {
  ensureInstalled();
  ensureBuilt({ pages });
  const bundle = await rolldown({
    input: { [`harness-${name}`]: join(ROOT, 'harness', name, 'main.ts') },
    platform: 'node',
    external: [/^better-sqlite3$/, /^sharp$/, /^piscina$/, /^pino$/, /^libheif-js/, /^@?playwright/],
    resolve: { conditionNames: ['source', 'import', 'node', 'default'] },
  });
  await bundle.write({ dir: BESIDE_THE_SERVER, format: 'esm', chunkFileNames: `harness-${name}-[hash].js` });
  await bundle.close();
  process.chdir(ROOT);
  await import(pathToFileURL(join(BESIDE_THE_SERVER, `harness-${name}.js`)).href);
}
