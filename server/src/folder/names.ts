/** Names of the files that this program writes. What is named otherwise is somebody's, and stays where it is. */

const UUID = '[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}';
const PHOTO = '[0-9a-f]{64}(\\.thumbnail)?\\.jpg';
const BACKUP = '\\d{4}-\\d{2}-\\d{2}T\\d{2}-\\d{2}-\\d{2}-\\d{3}Z-[a-z-]{1,30}';
const SQLITE_ENDS = '(-wal|-shm|-journal)?';

const named = (pattern: string) => {
  const whole = new RegExp(`^${pattern}$`);
  return (name: string): boolean => whole.test(name);
};

/** A photo or its small picture. */
export const isPhotoName = named(PHOTO);
/** A photo that was being written. */
export const isHalfPhotoName = named(`${PHOTO}(\\.${UUID})?\\.part`);
/** A backup that was being written. */
export const isHalfBackupName = named(
  `${BACKUP}(\\.sqlite|\\.json)?(\\.${UUID})?(\\.part){1,2}${SQLITE_ENDS}`,
);
/** A file that came in and is being looked at, and what is made of it on the way. */
export const isArrivedName = named(
  `${UUID}\\.part(\\.clean\\.part(\\.png)?|\\.sqlite${SQLITE_ENDS}|\\.json)?`,
);
/** A database of the studio, with what SQLite keeps beside it. */
export const isDatabaseName = named(`icy-ribbon\\.sqlite${SQLITE_ENDS}`);
const UPLOAD = '[0-9a-f]{32}';
export const isUploadId = named(UPLOAD);
/** What the protocol of uploads keeps of one: its bytes, and what is known of it. */
export const isUploadName = named(`${UPLOAD}(\\.json)?`);
