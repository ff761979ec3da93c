import type { BackupReason } from '@icy-ribbon/contract';

/** Why a backup was made, as its row says it. */
export const REASON_WORDS: Readonly<Record<BackupReason, string>> = {
  daily: 'of the day',
  'by-hand': 'made by you',
  'before-import': 'before a file came in',
  'before-deleting': 'before much was deleted',
  'before-migration': 'before the data’s form changed',
  'before-restore': 'before a copy was put back',
};

const STEPS = [
  [1e9, 'GB'],
  [1e6, 'MB'],
  [1e3, 'kB'],
] as const;

/** Bytes as a person reads them: three digits at most. */
export function bytesWords(bytes: number): string {
  const step = STEPS.find(([size]) => bytes >= size);
  if (!step) return `${bytes} bytes`;
  const value = bytes / step[0];
  return `${value < 10 ? value.toFixed(1) : Math.round(value)} ${step[1]}`;
}
