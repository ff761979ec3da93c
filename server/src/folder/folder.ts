import { join } from 'node:path';

/** What lies in a data folder. */
export interface DataFolder {
  readonly database: string;
  readonly photos: string;
  /** Files as they came from the camera, where that was wished: no part of a backup or an export, as they may tell of place and device. */
  readonly originals: string;
  /** Photos that have arrived in part. */
  readonly uploads: string;
  /** Uploads while they are looked at; swept at every start. */
  readonly incoming: string;
  readonly backups: string;
  /** Databases that a restore took out of the way. */
  readonly setAside: string;
  readonly lock: string;
  /** Where the server that holds the lock can be reached. */
  readonly running: string;
  readonly settings: string;
  /** Devices that are signed in, and whether the door is open: no part of a backup, which must not sign anyone in again. */
  readonly devices: string;
  /** The certificate that was made for the network. */
  readonly certificate: string;
}

export function folderOf(path: string): DataFolder {
  return {
    database: join(path, 'icy-ribbon.sqlite'),
    photos: join(path, 'photos'),
    originals: join(path, 'originals'),
    uploads: join(path, 'uploads'),
    incoming: join(path, 'incoming'),
    backups: join(path, 'backups'),
    setAside: join(path, 'set-aside'),
    lock: join(path, 'lock.sqlite'),
    running: join(path, 'running.json'),
    settings: join(path, 'settings.json'),
    devices: join(path, 'devices.json'),
    certificate: join(path, 'certificate.json'),
  };
}
