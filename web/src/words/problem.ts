import { problemCode, type Problem, type ProblemCode } from '@icy-ribbon/contract';

/** What is the same whatever was asked for; all else is told by the server, field by field. */
const WORDS: Readonly<Partial<Record<ProblemCode, string>>> = {
  'broken-off': 'The upload broke off: send it again.',
  'passphrase-needed': 'Enter the passphrase of this studio.',
  stale: 'This was changed in another tab or on another device since you opened it. Nothing was overwritten.',
  gone: 'What this refers to is not there any more.',
  'restore-running': 'A backup is just being put back.',
  restoring: 'A backup is just being put back: wait a moment.',
  broke: 'The server ran into a fault. Nothing was changed.',
  'damaged-database': 'The database is damaged. Open "Safekeeping" and put the newest good copy back.',
  'no-database': 'The database cannot be read. Open "Safekeeping" and put the newest good copy back.',
  'disk-full':
    'The disk is full: make room on it. Nothing was lost; what waits is written as soon as there is room.',
  'not-writable': 'The folder with the data cannot be written: check who may write there. Nothing was lost.',
};

/** What went wrong and what to do, as it is told. */
export function problemWords(problem: Problem): string {
  const code = problemCode(problem);
  return (code && WORDS[code]) ?? problem.detail ?? problem.title;
}
