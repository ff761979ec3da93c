import { stat } from 'node:fs/promises';
import { join } from 'node:path';
import { folderOf } from './folder.ts';
import { isArrivedName, isHalfBackupName, isHalfPhotoName, isUploadName } from './names.ts';
import { removeNamed } from './remove.ts';

/** Takes away what an interrupted start, upload or backup left half-written, by its name; nothing refers to it. */
export async function sweep(dataFolder: string): Promise<void> {
  const { photos, incoming, backups } = folderOf(dataFolder);
  await removeNamed(dataFolder, incoming, isArrivedName);
  await removeNamed(dataFolder, photos, isHalfPhotoName);
  await removeNamed(dataFolder, backups, isHalfBackupName);
  await removeNamed(dataFolder, join(backups, 'photos'), isHalfPhotoName);
}

/** An upload that was broken off can be gone on with for so long. */
const UPLOAD_MS = 7 * 86_400_000;
/** Longer than anything that came in takes to be looked at. */
const ARRIVED_MS = 86_400_000;

/** Takes away what was abandoned while the server ran: parts of uploads after a week, of other files after a day. */
export async function sweepAbandoned(dataFolder: string, now: Date): Promise<void> {
  const { uploads, incoming } = folderOf(dataFolder);
  const isOlder = async (path: string, ms: number) => {
    const found = await stat(path).catch(() => undefined);
    return found === undefined || now.getTime() - found.mtimeMs > ms;
  };
  await removeNamed(
    dataFolder,
    uploads,
    // What is known of an upload is older than its last part, and leaves with it.
    async (name) =>
      isUploadName(name) && (await isOlder(join(uploads, name.replace('.json', '')), UPLOAD_MS)),
  );
  await removeNamed(
    dataFolder,
    incoming,
    async (name) => isArrivedName(name) && (await isOlder(join(incoming, name), ARRIVED_MS)),
  );
}
