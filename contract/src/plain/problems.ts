/** Everything that can be refused, by its code: the status it is answered with and what it is in short. */
export const PROBLEMS = {
  'not-readable': { status: 400, title: 'Not readable' },
  'broken-off': { status: 400, title: 'Broken off' },
  'not-understood': { status: 400, title: 'Not understood' },
  'passphrase-needed': { status: 401, title: 'Passphrase needed' },
  'sign-in-needed': { status: 401, title: 'Signed out' },
  'not-from-here': { status: 403, title: 'Not from here' },
  /** A device may do some things and not others. */
  'not-allowed': { status: 403, title: 'Not on this device' },
  'wrong-address': { status: 403, title: 'Wrong address' },
  'not-found': { status: 404, title: 'Not found' },
  /** Another record has this id. */
  taken: { status: 409, title: 'Taken' },
  /** It was changed since it was read; the answer carries it as it is now. */
  stale: { status: 409, title: 'Changed elsewhere' },
  /** Something it refers to is not there any more. */
  gone: { status: 409, title: 'Gone' },
  'restore-running': { status: 409, title: 'Restoring' },
  'too-large': { status: 413, title: 'Too large' },
  'not-json': { status: 415, title: 'Not JSON' },
  /** Fields are not what the schema asks for. */
  invalid: { status: 422, title: 'Some fields need a change' },
  /** Well formed, but it cannot be done as things stand. */
  unfit: { status: 422, title: 'Cannot be done like this' },
  'does-not-fit': { status: 422, title: 'The file does not fit together' },
  'damaged-backup': { status: 422, title: 'This backup is damaged' },
  'too-many-streams': { status: 429, title: 'Too many pages' },
  broke: { status: 500, title: 'Something broke' },
  'damaged-database': { status: 500, title: 'The database is damaged' },
  'copy-not-whole': { status: 500, title: 'The copy is not whole' },
  busy: { status: 503, title: 'Busy' },
  restoring: { status: 503, title: 'Restoring' },
  'no-database': { status: 503, title: 'The database is damaged' },
  'not-built': { status: 503, title: 'Not built' },
  'disk-full': { status: 507, title: 'The disk is full' },
  'not-writable': { status: 507, title: 'The folder cannot be written' },
  'no-room-for-backup': { status: 507, title: 'No room for a backup' },
} as const satisfies Record<string, { readonly status: number; readonly title: string }>;
export type ProblemCode = keyof typeof PROBLEMS;

/** The type of a problem, a reference as RFC 9457 asks for. */
export const problemType = (code: ProblemCode): string => `/problems/${code}`;

/** The code in the type of a problem, if it is one of ours. */
export function problemCode({ type }: { readonly type: string }): ProblemCode | undefined {
  const code = type.replace(/^\/problems\//, '');
  return code in PROBLEMS ? (code as ProblemCode) : undefined;
}

/** Media type of a problem. */
export const PROBLEM_MEDIA_TYPE = 'application/problem+json';
