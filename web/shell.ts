import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { rolldown } from 'rolldown';
import type { Plugin } from 'vite';
import { noteModule, NOTICES, noticesText, type Package } from './notices.ts';

/** Larger files are brought when they are needed: charts, the film. */
const MOST_BYTES = 600_000;
const ASSET = /\.(js|css|woff2)$/;

/**
 * Builds the shell that opens the pages without a line, with the list of what it keeps.
 *
 * @param found packages that went into the pages; those of the shell are added to the notices
 */
export function offlineShell(found: Map<string, Package>): Plugin {
  let root = '';
  let out = '';
  return {
    name: 'offline-shell',
    apply: 'build',
    configResolved(config) {
      root = config.root;
      out = join(config.root, config.build.outDir);
    },
    async closeBundle() {
      const names = readdirSync(join(out, 'assets')).filter(
        (name) => ASSET.test(name) && statSync(join(out, 'assets', name)).size < MOST_BYTES,
      );
      const files = [
        // Names of assets hold their hash already.
        ...names.map((name) => ({ url: `/assets/${name}`, revision: null })),
        { url: '/today', revision: hashOf(join(out, 'index.html')) },
        ...['icon.svg', 'manifest.webmanifest'].map((name) => ({
          url: `/${name}`,
          revision: hashOf(join(out, name)),
        })),
      ];
      const bundle = await rolldown({
        input: join(root, 'src/shell/shell.ts'),
        plugins: [{ name: 'note-packages', moduleParsed: ({ id }) => noteModule(found, id) }],
        transform: {
          define: { SHELL_FILES: JSON.stringify(files), 'process.env.NODE_ENV': '"production"' },
        },
      });
      await bundle.write({ file: join(out, 'shell.js'), format: 'iife', minify: true });
      await bundle.close();
      writeFileSync(join(out, NOTICES), noticesText(found));
    },
  };
}

const hashOf = (path: string): string =>
  createHash('sha256').update(readFileSync(path)).digest('hex').slice(0, 16);
