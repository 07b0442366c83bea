/// <reference lib="webworker" />
import { cleanupOutdatedCaches, precacheAndRoute, type PrecacheEntry } from "workbox-precaching";
import { registerRoute, setCatchHandler } from "workbox-routing";
import { NetworkFirst, NetworkOnly } from "workbox-strategies";

// What the browser keeps so that the page opens without a connection: its files, and what was last
// answered of the builds. Writes never go through here; what waits to be sent is kept by the page.
declare const self: ServiceWorkerGlobalScope & { FILES?: PrecacheEntry[] };

const PAGE = "easy-tally page";
const ANSWERS = "easy-tally answers";
/** Any address of the application is the same page. */
const PAGE_KEY = "/page";
/** Answers that are kept, the last asked for; seconds after which a network that drags is not waited for. */
const MOST = 600;
const PATIENCE_S = 4;

void self.skipWaiting();
self.addEventListener("activate", (e) => e.waitUntil(self.clients.claim()));
cleanupOutdatedCaches();
precacheAndRoute(self.FILES ?? []);

/** Keeps what is whole and ours; one that was sent away keeps nothing. */
const kept = {
  cacheWillUpdate: async ({ response }: { response: Response }) => {
    if (response.status === 401 || new URL(response.url).pathname === "/in") {
      await Promise.all([caches.delete(ANSWERS), caches.delete(PAGE)]);
      return null;
    }
    return response.status === 200 ? response : null;
  },
};
const bounded = {
  cacheDidUpdate: async ({ cacheName }: { cacheName: string }) => {
    const cache = await caches.open(cacheName);
    const keys = await cache.keys();
    await Promise.all(keys.slice(0, Math.max(0, keys.length - MOST)).map((k) => cache.delete(k)));
  },
};

registerRoute(
  ({ request, url }) =>
    request.mode === "navigate" && !url.pathname.startsWith("/api/") && url.pathname !== "/in",
  new NetworkFirst({
    cacheName: PAGE,
    networkTimeoutSeconds: PATIENCE_S,
    plugins: [kept, { cacheKeyWillBeUsed: () => Promise.resolve(PAGE_KEY) }],
  }),
);
// Whether something is new is asked of the server alone: its silence is what tells that it is away.
registerRoute(({ url }) => url.pathname.startsWith("/api/v1/news/"), new NetworkOnly());
registerRoute(
  ({ url, sameOrigin }) =>
    sameOrigin &&
    /^\/api\/v1\/(builds|reference|here|loose|words)/.test(url.pathname) &&
    !isFile(url.pathname),
  new NetworkFirst({ cacheName: ANSWERS, networkTimeoutSeconds: PATIENCE_S, plugins: [kept, bounded] }),
);
setCatchHandler(() => Promise.resolve(Response.error()));

/** A file that is taken away, or what is looked at until it is there: never one of an earlier time. */
function isFile(path: string): boolean {
  return /\.(pdf|csv|zip|svg|json)$|\/(file|map|questions|feeds)(\/|$)/.test(path);
}
