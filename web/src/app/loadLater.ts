import { serverAway, signedOut } from '../api/connection.ts';

/** The build's list of what the next pages need. */
const LIST = '/later.json';
/** The first page has all of the line until then, ms. */
const AFTER_MS = 3000;

const idle = (): Promise<void> =>
  new Promise((resolve) => {
    if ('requestIdleCallback' in window) requestIdleCallback(() => resolve());
    // Where a browser does not say when it is idle.
    else setTimeout(resolve, 200);
  });

/** Brings what other stations need into the browser's store while nothing else is done, so that a change of station waits for no line; and the shell for when there is none. */
export function loadLater(): void {
  const { connection } = navigator as { connection?: { saveData?: boolean } };
  if (!import.meta.env.PROD || connection?.saveData) return;
  setTimeout(() => void bring().catch(() => undefined), AFTER_MS);
}

/** Files are read, not run: one that cannot be had now is simply asked for when it is needed. */
async function bring(): Promise<void> {
  const files = (await (await fetch(LIST)).json()) as string[];
  for (const file of files) {
    await idle();
    // Nothing comes from a server that is away or does not know this device any more.
    if (serverAway.value || signedOut.value) return;
    const answer = await fetch(file, { priority: 'low' });
    if (!answer.ok) return;
    await answer.arrayBuffer();
  }
  await keepShell();
}

/** Keeps the pages themselves for when there is no line; browsers allow it on pages that nobody can have tampered with. */
async function keepShell(): Promise<void> {
  if (!window.isSecureContext || !('serviceWorker' in navigator)) return;
  await navigator.serviceWorker.register('/shell.js');
}
