/// <reference lib="webworker" />
import { cleanupOutdatedCaches, matchPrecache, precacheAndRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { isKept, networkOrKept } from './kept';

/**
 * Keeps the page, and what it last read of the kitchen, for when the network is not there. It answers from what is kept only
 * where the kitchen does not answer, and says so: the page shows how old its knowledge is.
 */
declare const self: ServiceWorkerGlobalScope & { __WB_MANIFEST: { url: string; revision: string | null }[] };

const PAGE = '/index.html';
/** A page that the kitchen has not sent by then comes from here. */
const PAGE_MS = 3000;

const kept = networkOrKept(() => caches.open('kitchen'));

// The kitchen's own page first: one that was kept is never shown where a newer one could be had.
registerRoute(
  new NavigationRoute(
    async ({ request }) => {
      const page = () => matchPrecache(PAGE);
      const late = new Promise<Response | undefined>((resolve) =>
        setTimeout(() => void page().then(resolve), PAGE_MS),
      );
      try {
        const first = await Promise.race([fetch(request), late]);
        return first ?? (await fetch(request));
      } catch {
        return (await page()) ?? Response.error();
      }
    },
    { denylist: [/^\/api\//, /^\/authority/] },
  ),
);
registerRoute(
  ({ url, sameOrigin }) => sameOrigin && isKept(url.pathname),
  ({ request }) => kept(request, Date.now()),
);
precacheAndRoute(self.__WB_MANIFEST);
cleanupOutdatedCaches();

// A newer one takes over at once; open pages see by the kitchen's answers that they are of another build.
void self.skipWaiting();
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));
self.addEventListener('message', (event) => {
  // A screen that was signed out keeps nothing of the kitchen.
  if (event.data === 'forget') event.waitUntil(caches.delete('kitchen'));
});
self.addEventListener('notificationclick', (event) => {
  event.notification.close();
  const open = async () => {
    const [page] = await self.clients.matchAll({ type: 'window' });
    await (page ? page.focus() : self.clients.openWindow('/cook'));
  };
  event.waitUntil(open());
});
