import { cleanupOutdatedCaches, matchPrecache, precacheAndRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';

/**
 * The shell: the pages themselves, kept in the browser, so that they open where there is no line. What is entered waits
 * in the browser's database as always; nothing of the studio's data is kept here.
 */
declare const self: {
  addEventListener(kind: 'install' | 'activate', does: (event: Lasting) => void): void;
  skipWaiting(): Promise<void>;
  readonly clients: { claim(): Promise<void> };
};
interface Lasting {
  waitUntil(done: Promise<unknown>): void;
}
/** Files of the build and their hashes, put in when it is built. */
declare const SHELL_FILES: { url: string; revision: string | null }[];

/** Any page of the application is the same file; this one stands for all. */
const KEPT_PAGE = '/today';

precacheAndRoute(SHELL_FILES);
cleanupOutdatedCaches();

/** The server's own page where it answers; the one that is kept where it does not. */
registerRoute(
  new NavigationRoute(
    async ({ request }) => {
      try {
        return await fetch(request);
      } catch {
        return (await matchPrecache(KEPT_PAGE)) ?? Response.error();
      }
    },
    { denylist: [/^\/api\//, /^\/join/] },
  ),
);

self.addEventListener('install', () => void self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));
