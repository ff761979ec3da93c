/** The code of an error that SQLite or the file system gave, like "SQLITE_FULL" or "ENOSPC". */
export function sqliteCode(error: unknown): string | undefined {
  const code = (error as { code?: unknown } | null)?.code;
  return typeof code === 'string' ? code : undefined;
}

/** What went wrong beneath: the disk, the folder, or the database itself. */
export type StorageFault = 'full' | 'not-writable' | 'damaged' | 'busy';

/** Which fault of the storage an error speaks of; undefined when it is none. */
export function storageFault(error: unknown): StorageFault | undefined {
  const code = sqliteCode(error) ?? '';
  if (/^(SQLITE_FULL|ENOSPC|EDQUOT|SQLITE_IOERR_WRITE|SQLITE_IOERR_FSYNC)/.test(code)) return 'full';
  if (/^(SQLITE_READONLY|SQLITE_CANTOPEN|EROFS|EACCES|EPERM)/.test(code)) return 'not-writable';
  if (/^(SQLITE_CORRUPT|SQLITE_NOTADB|SQLITE_FORMAT)/.test(code)) return 'damaged';
  if (/^(SQLITE_BUSY|SQLITE_LOCKED)/.test(code)) return 'busy';
  return undefined;
}

/** Whether SQLite refused a row for an id that is there already, or for something it refers to that is not. */
export function constraintFault(error: unknown): 'taken' | 'missing' | undefined {
  const code = sqliteCode(error) ?? '';
  if (/^SQLITE_CONSTRAINT_(PRIMARYKEY|UNIQUE)$/.test(code)) return 'taken';
  if (code === 'SQLITE_CONSTRAINT_FOREIGNKEY') return 'missing';
  return undefined;
}
