/// <reference lib="webworker" />
import { cleanupOutdatedCaches, precacheAndRoute, type PrecacheEntry } from "workbox-precaching";
import { registerRoute, setCatchHandler } from "workbox-routing";
import { NetworkFirst, NetworkOnly } from "workbox-strategies";

// What the browser keeps so that the page opens without a connection: its files, and what was last
// answered of the builds. Writes never go through here; what waits to be sent is kept by the page.
declare const self: ServiceWorkerGlobalScope & { FILES?: PrecacheEntry[] };

const PAGE = "easy-tally page";
// Said again as in state/build/answers.ts, and not imported: what the page shares with this script
// becomes a file of its own, and a script with imports is none that a browser takes here.
const ANSWERS = "easy-tally answers";
/** Any address of the application is the same page. */
const PAGE_KEY = "/page";
/** Answers that are kept, the last asked for. */
const MOST = 600;
/** Seconds after which the page itself comes from what is kept. Figures are waited for: what is kept
 * of them is shown where the server does not answer, never because it is slow. */
const PATIENCE_S = 4;

void self.skipWaiting();
self.addEventListener("activate", (e) => e.waitUntil(self.clients.claim()));
cleanupOutdatedCaches();
precacheAndRoute(self.FILES ?? []);

/** One that was sent away keeps nothing: whatever it asks for next tells. */
const forgets = {
  fetchDidSucceed: async ({ response }: { response: Response }) => {
    if (response.status === 401 || new URL(response.url).pathname === "/in")
      await Promise.all([caches.delete(ANSWERS), caches.delete(PAGE)]);
    return response;
  },
};
/** Keeps what is whole and ours. */
const kept = {
  cacheWillUpdate: async ({ response }: { response: Response }) =>
    response.status === 200 && new URL(response.url).pathname !== "/in" ? response : null,
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
    plugins: [forgets, kept, { cacheKeyWillBeUsed: () => Promise.resolve(PAGE_KEY) }],
  }),
);
// Whether something is new is asked of the server alone: its silence is what tells that it is away.
registerRoute(({ url }) => url.pathname.startsWith("/api/v1/news/"), new NetworkOnly({ plugins: [forgets] }));
registerRoute(
  ({ url, sameOrigin }) =>
    sameOrigin &&
    /^\/api\/v1\/(builds|reference|here|loose|words)/.test(url.pathname) &&
    !isFile(url.pathname),
  new NetworkFirst({ cacheName: ANSWERS, plugins: [forgets, kept, bounded] }),
);
setCatchHandler(() => Promise.resolve(Response.error()));

/** A file that is taken away, or what is looked at until it is there: never one of an earlier time. */
function isFile(path: string): boolean {
  return /\.(pdf|csv|zip|svg|json)$|\/(file|map|questions|feeds)(\/|$)/.test(path);
}
