import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import type { Plugin } from 'vite';

const LICENSE_FILE = /^(licen[cs]e|copying|ofl|notice)([-.].*)?$/i;

export interface Package {
  readonly name: string;
  readonly version: string;
  readonly license: string;
  readonly folder: string;
}

/** The package that a module belongs to, when it is none of ours. */
function packageOf(moduleId: string): Package | undefined {
  const [path] = moduleId.replace(/^\0/, '').split('?');
  if (!path?.includes('/node_modules/')) return undefined;
  for (let folder = dirname(path); folder.includes('/node_modules/'); folder = dirname(folder)) {
    const manifest = join(folder, 'package.json');
    if (!existsSync(manifest)) continue;
    const { name, version, license } = JSON.parse(readFileSync(manifest, 'utf8')) as Partial<Package>;
    if (name && version) return { name, version, license: license ?? 'see below', folder };
  }
  return undefined;
}

function licenseTextOf({ folder, license }: Package): string {
  const files = readdirSync(folder).filter((name) => LICENSE_FILE.test(name));
  const texts = files.map((name) => readFileSync(join(folder, name), 'utf8').trim());
  return texts.length > 0 ? texts.join('\n\n') : `License: ${license}. The package brings no text of it.`;
}

/** The notices as one text: every package by name, with its version and the text of its license. */
export function noticesOf(packages: readonly Package[]): string {
  const parts = packages.map(
    (each) => `${each.name} ${each.version} (${each.license})\n\n${licenseTextOf(each)}\n`,
  );
  const head = 'What others made and these pages bring along, fonts included, with the license of each.\n';
  return [head, ...parts].join(`\n${'-'.repeat(78)}\n\n`);
}

/** The file beside the pages. */
export const NOTICES = 'notices.txt';

export const noticesText = (found: ReadonlyMap<string, Package>): string =>
  noticesOf([...found.values()].sort((a, b) => a.name.localeCompare(b.name)));

/** Notes whose module was read. */
export function noteModule(found: Map<string, Package>, id: string): void {
  const used = packageOf(id);
  if (used) found.set(`${used.name} ${used.version}`, used);
}

/** Writes `notices.txt` beside the pages: exactly the packages whose modules went into them or their workers. */
export function notices(found: Map<string, Package> = new Map()): Plugin {
  return {
    name: 'notices',
    moduleParsed: ({ id }) => noteModule(found, id),
    generateBundle() {
      this.emitFile({ type: 'asset', fileName: NOTICES, source: noticesText(found) });
    },
  };
}
