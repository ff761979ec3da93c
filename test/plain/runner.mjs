/**
 * Runs tests that need no page in plain Node: Jest's sandbox doubles what numbers cost. The files that are asked for are
 * bundled first, so that what they share is read once.
 */
import { mkdirSync, rmSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import LightRunner from 'jest-light-runner';
import { rolldown } from 'rolldown';

const ROOT = join(import.meta.dirname, '../..');
const BUNDLED = join(ROOT, '.cache/tests');
/** Packages are loaded as they are, ours are bundled from their sources. */
const EXTERNAL = /^(?!@icy-ribbon\/)[@a-z]/;

/** Tests name their folder as they would unbundled. */
const folders = {
  name: 'folders',
  transform: (code, id) =>
    /\.test\.ts$/.test(id)
      ? code.replaceAll(/\b(__dirname|import\.meta\.dirname)\b/g, JSON.stringify(dirname(id)))
      : undefined,
};

/** @returns where each bundled file lies, by its source */
async function bundle(paths) {
  const to = join(BUNDLED, String(process.pid));
  const nameOf = (path) => relative(ROOT, path).replace(/\.ts$/, '');
  const built = await rolldown({
    input: Object.fromEntries(paths.map((path) => [nameOf(path), path])),
    platform: 'node',
    external: EXTERNAL,
    plugins: [folders],
    resolve: { conditionNames: ['source', 'import', 'node', 'default'] },
    logLevel: 'silent',
  });
  mkdirSync(to, { recursive: true });
  await built.write({
    dir: to,
    format: 'esm',
    sourcemap: true,
    entryFileNames: '[name].mjs',
    chunkFileNames: 'chunks/[hash].mjs',
  });
  await built.close();
  return { to, fileOf: (path) => join(to, `${nameOf(path)}.mjs`) };
}

export default class PlainRunner extends LightRunner {
  async runTests(tests, watcher, onStart, onResult, onFailure) {
    const { to, fileOf } = await bundle(tests.map(({ path }) => path));
    try {
      await super.runTests(
        tests.map((source) => ({ ...source, path: fileOf(source.path), source })),
        watcher,
        ({ source }) => onStart(source),
        ({ source }, result) => onResult(source, { ...result, testFilePath: source.path }),
        ({ source }, error) => onFailure(source, error),
      );
    } finally {
      rmSync(to, { recursive: true, force: true });
    }
  }
}
