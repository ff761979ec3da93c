import { z } from 'zod';
import { timestampSchema } from './common.ts';

export const BACKUP_REASONS = [
  'daily',
  'by-hand',
  'before-import',
  'before-deleting',
  'before-migration',
  'before-restore',
] as const;

export const backupNameSchema = z
  .string()
  .regex(
    /^[0-9]{4}-[0-9]{2}-[0-9]{2}T[0-9]{2}-[0-9]{2}-[0-9]{2}-[0-9]{3}Z-[a-z-]{1,30}$/,
    'There is no such backup.',
  );

/** A copy of everything at one moment. */
export const backupSchema = z.object({
  name: backupNameSchema,
  madeAt: timestampSchema,
  reason: z.enum(BACKUP_REASONS),
  bytes: z.int().min(0),
  pieces: z.int().min(0),
  photos: z.int().min(0),
  /** Version of the program that wrote it. */
  version: z.string(),
  /** Whether a second copy of it lies in the other folder. */
  isCopied: z.boolean(),
  /** Whether it is of another studio, or was made before this one was moved here: it can be put back, and is never removed. */
  isOfOther: z.boolean(),
});

/** A piece out of which nothing can be worked out. */
const troubledPieceSchema = z.object({ id: z.string(), name: z.string(), trouble: z.string() });

export const safekeepingSchema = z.object({
  /** The newest first; each was read back and found whole after it was written. */
  backups: z.array(backupSchema),
  /** Room on the disk of the data folder. */
  freeBytes: z.number().min(0),
  backupBytes: z.number().min(0),
  dataBytes: z.number().min(0),
  /** Of what has arrived in part: photos on their way, files that are being looked at. */
  partBytes: z.number().min(0),
  /** Where copies of the backups go too; null: nowhere. */
  secondFolder: z.string().nullable(),
  /** Whether that one lies on the same disk: photos there are hard links then, no copies. */
  isSameDisk: z.boolean(),
  /** What hindered the last backup, in words. */
  trouble: z.string().nullable(),
  /** True while the database cannot be read and only a restore is possible. */
  isDamaged: z.boolean(),
  pieces: z.array(troubledPieceSchema),
});

export const secondFolderSchema = z.object({
  path: z.string().trim().min(1, 'Enter the path of the folder.').max(1000).nullable(),
});

export type Backup = z.output<typeof backupSchema>;
export type BackupReason = Backup['reason'];
export type Safekeeping = z.output<typeof safekeepingSchema>;
