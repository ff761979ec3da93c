import vue from '@vitejs/plugin-vue';
import { build, type Plugin } from 'vite';
import { addresses } from './addresses.ts';

/** What of the application the first pages need, by the modules' ids. */
export interface FirstModules {
  /** What both need. */
  readonly both: ReadonlySet<string>;
  /** What Today needs beyond that, which is opened first. */
  readonly today: ReadonlySet<string>;
  /** What the scale needs beyond that, which the phone at the table opens. */
  readonly scale: ReadonlySet<string>;
}

/**
 * Finds what the first pages need by building them alone, every other page left out: what they need goes together in
 * few files, and nothing else into these.
 */
export async function firstModules(root: string): Promise<FirstModules> {
  const today = await modulesOf(root, /TodayStation/);
  const scale = await modulesOf(root, /AtTheScale/);
  const without = (these: ReadonlySet<string>, others: ReadonlySet<string>) =>
    new Set([...these].filter((id) => !others.has(id)));
  const todayOnly = without(today, scale);
  return { both: without(today, todayOnly), today: todayOnly, scale: without(scale, today) };
}

async function modulesOf(root: string, pages: RegExp): Promise<ReadonlySet<string>> {
  const found = new Set<string>();
  const withoutOthers: Plugin = {
    name: 'without-other-pages',
    enforce: 'pre',
    resolveId(source, _importer, { kind }) {
      return kind === 'dynamic-import' && !pages.test(source) ? { id: source, external: true } : null;
    },
  };
  const collect: Plugin = {
    name: 'collect',
    generateBundle(_options, bundle) {
      for (const chunk of Object.values(bundle)) {
        if (chunk.type !== 'chunk') continue;
        for (const [id, { renderedLength }] of Object.entries(chunk.modules)) {
          if (renderedLength > 0) found.add(id);
        }
      }
    },
  };
  await build({
    root,
    configFile: false,
    logLevel: 'error',
    plugins: [withoutOthers, vue(), addresses(), collect],
    resolve: { conditions: ['source', 'module', 'browser', 'development|production'] },
    worker: { format: 'es' },
    build: { target: 'es2022', write: false, minify: false },
  });
  return found;
}
