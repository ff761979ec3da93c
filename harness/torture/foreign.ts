import { mkdirSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { startServer } from '../serverProcess.ts';

/** Files of somebody else's, named as ours are, in a folder that is chosen for second copies. */
export interface Foreign {
  readonly folder: string;
  /** What of them has gone or changed; empty when nothing has. */
  look(): string[];
}

const NAMES = [
  `photos/${'a'.repeat(64)}.jpg`,
  'photos/holiday.jpg',
  'backups/icy-ribbon-2020-01-01T00-00-00-000Z-daily.sqlite',
  'letter.txt',
];

/** Makes such a folder and has the studio copy its backups there. */
export async function foreignFolder(dataFolder: string): Promise<Foreign> {
  const folder = mkdtempSync(join(tmpdir(), 'icy-ribbon-torture-second-'));
  for (const name of NAMES) {
    const path = join(folder, name);
    mkdirSync(dirname(path), { recursive: true });
    writeFileSync(path, `theirs: ${name}`);
  }
  const server = await startServer(dataFolder);
  try {
    const { ok, status } = await fetch(`${server.address}/api/safekeeping/second-folder`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ path: folder }),
    });
    if (!ok) throw new Error(`The second folder was answered ${status}.`);
  } finally {
    await server.stop();
  }
  return {
    folder,
    look: () =>
      NAMES.filter((name) => !isWhole(folder, name)).map(
        (name) => `${name} of somebody else's is not what it was`,
      ),
  };
}

function isWhole(folder: string, name: string): boolean {
  try {
    return readFileSync(join(folder, name), 'utf8') === `theirs: ${name}`;
  } catch {
    return false;
  }
}
