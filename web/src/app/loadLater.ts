import type { Router } from 'vue-router';
import { serverAway, signedOut } from '../api/connection.ts';

/** What is likely opened next, in the order of the work. */
const NEXT = ['mix', 'scale', 'thickness', 'plan', 'pour', 'result', 'results', 'rack', 'shelf'] as const;
/** The first page has all of the line until then, ms. */
const AFTER_MS = 3000;

const whenIdle = (work: () => void): void => {
  if ('requestIdleCallback' in window) requestIdleCallback(work);
  // Where a browser does not say when it is idle.
  else setTimeout(work, 200);
};

/** Brings in the other stations one by one while nothing else is done, so that a change of station waits for no line; and the shell for when there is none. */
export function loadLater(router: Router): void {
  if ((navigator as { connection?: { saveData?: boolean } }).connection?.saveData) return;
  setTimeout(() => whenIdle(() => void bring(router)), AFTER_MS);
}

async function bring(router: Router): Promise<void> {
  for (const name of NEXT) {
    // Nothing comes from a server that is away or does not know this device any more.
    if (serverAway.value || signedOut.value) return;
    const { default: page } = router.getRoutes().find((route) => route.name === name)?.components ?? {};
    if (typeof page !== 'function') continue;
    // What cannot be had now is asked for again when it is needed.
    await (page as () => Promise<unknown>)().catch(() => undefined);
    await new Promise<void>((idle) => whenIdle(idle));
  }
  await keepShell();
}

/** Keeps the pages themselves for when there is no line; browsers allow it on pages that nobody can have tampered with. */
async function keepShell(): Promise<void> {
  if (!import.meta.env.PROD || !window.isSecureContext || !('serviceWorker' in navigator)) return;
  await navigator.serviceWorker.register('/shell.js').catch(() => undefined);
}
