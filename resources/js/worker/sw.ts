/// <reference lib="webworker" />
import {
  cleanupOutdatedCaches,
  createHandlerBoundToURL,
  getCacheKeyForURL,
  precacheAndRoute,
  type PrecacheEntry,
} from 'workbox-precaching';
import { createPartialResponse } from 'workbox-range-requests';

declare const self: ServiceWorkerGlobalScope & { __WB_MANIFEST: (PrecacheEntry | string)[] };

/**
 * Starts the app without a network. Keeps what is the same for everybody: scripts, styles, fonts, and the empty page
 * they fill. It never keeps an answer of the API; what a person takes along is kept by the page, under that person.
 */
const files = self.__WB_MANIFEST;
// The page names the files it loads, so it changes with them.
const page = { url: '/shell', revision: fingerprint(JSON.stringify(files)) };

precacheAndRoute([...files, page]);
cleanupOutdatedCaches();
const shell = createHandlerBoundToURL('/shell');

self.addEventListener('message', ({ data, ports }: ExtendableMessageEvent) => {
  // Only when somebody has said so.
  if (data === 'take over') void self.skipWaiting();
  // A page asks whether it is of this version.
  else ports[0]?.postMessage((data as { files: string[] }).files.every((file) => getCacheKeyForURL(file)));
});

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const { origin, pathname } = new URL(request.url);
  if (origin !== self.location.origin || request.method !== 'GET') return;
  if (request.mode === 'navigate' && !/^\/(api|media|up)(\/|$)/.test(pathname)) {
    // The server's page is never older than the server: ours is for when there is none.
    event.respondWith(fetch(request).catch(() => shell({ event, request, url: new URL(request.url), params: [] })));
  } else if (pathname.startsWith('/media/')) {
    event.respondWith(fetch(request).catch(() => takenAlong(request)));
  }
});

async function takenAlong(request: Request): Promise<Response> {
  // Of a test or of a handbook: the same file is the same in both.
  const kept = await caches.match(request.url, { ignoreVary: true });
  if (!kept) return Response.error();
  // A player asks for a piece.
  return request.headers.has('range') ? createPartialResponse(request, kept) : kept;
}

function fingerprint(text: string): string {
  let sum = 5381;
  for (let i = 0; i < text.length; i++) sum = ((sum * 33) ^ text.charCodeAt(i)) >>> 0;
  return sum.toString(16);
}
