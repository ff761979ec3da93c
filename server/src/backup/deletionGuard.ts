import type { RequestHandler } from 'express';

/** A record of its own; taking back what was just weighed in is none. */
const RECORD = /^\/api\/[a-z]+\/[^/]+$/;
const MANY = 10;
const WITHIN_MS = 5 * 60_000;
const BACKUP_LASTS_MS = 60 * 60_000;

/**
 * Has a backup made before many things are deleted: when the tenth deletion within five minutes arrives, unless one was
 * made within the hour. Deleting can be undone one by one; this is for when nobody remembers which.
 */
export function deletionGuard(backUp: () => Promise<unknown>, now: () => number = Date.now): RequestHandler {
  let recent: number[] = [];
  let backedUpAt = -Infinity;
  return (request, _response, next) => {
    if (request.method !== 'DELETE' || !RECORD.test(request.path)) {
      next();
      return;
    }
    const at = now();
    recent = [...recent.filter((each) => at - each < WITHIN_MS), at];
    if (recent.length < MANY || at - backedUpAt < BACKUP_LASTS_MS) {
      next();
      return;
    }
    backedUpAt = at;
    backUp().then(
      () => next(),
      (error: unknown) => {
        backedUpAt = -Infinity;
        next(error);
      },
    );
  };
}
