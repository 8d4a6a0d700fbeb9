/// <reference types="@sveltejs/kit" />
/// <reference lib="webworker" />
import { build, files, version } from '$service-worker';

/**
 * Keeps the app on this device, so that it opens with the server gone and the network off, and shows what the page tells
 * while it is in the background. A newer build is fetched beside the one in use and taken when the page says so: never in
 * the middle of a pour.
 */
const worker = globalThis as unknown as ServiceWorkerGlobalScope;

const PREFIX = 'nerite-build-';
const OWN = PREFIX + version;
/** Any address of the app is this one page. */
const SHELL = '/today';
/** Which build is in use stands in a cache of its own, since a worker may be started anew at any time. */
const [SERVES, NAME] = ['nerite-serves', '/name'] as const;
const ASSETS = new Set([...build, ...files]);

/** The build in use, where it is still kept; undefined before the first is. */
async function serving(): Promise<string | undefined> {
  const name = await (await (await caches.open(SERVES)).match(NAME))?.text();
  if (name !== undefined && (await caches.has(name))) return name;
  return (await caches.has(OWN)) ? OWN : undefined;
}

/** Takes this build into use, and lets go of those before it. */
async function take(): Promise<void> {
  await (await caches.open(SERVES)).put(NAME, new Response(OWN));
  const names = await caches.keys();
  await Promise.all(names.filter((name) => name.startsWith(PREFIX) && name !== OWN).map((name) => caches.delete(name)));
}

worker.addEventListener('install', (event) => {
  event.waitUntil(
    (async () => {
      const cache = await caches.open(OWN);
      await cache.addAll([...ASSETS, SHELL]);
      await worker.skipWaiting();
    })(),
  );
});

worker.addEventListener('activate', (event) => {
  event.waitUntil(
    (async () => {
      if (!(await (await caches.open(SERVES)).match(NAME))) await take();
      await worker.clients.claim();
    })(),
  );
});

/** What is asked for, from the build in use; from the server where that does not have it. */
async function answer(request: Request, path: string): Promise<Response> {
  const name = await serving();
  const cache = name === undefined ? undefined : await caches.open(name);
  const page = request.mode === 'navigate' && !ASSETS.has(path);
  const kept = page ? await cache?.match(SHELL) : ((await cache?.match(path)) ?? (await caches.match(path)));
  return kept ?? fetch(request);
}

worker.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  // what the server computes or streams is asked of the server
  if (request.method !== 'GET' || url.origin !== worker.location.origin || /^\/(api|schema)\//.test(url.pathname)) return;
  event.respondWith(answer(request, url.pathname));
});

worker.addEventListener('message', (event) => {
  const [port] = event.ports;
  event.waitUntil(
    (async () => {
      if (event.data === 'take') await take();
      port?.postMessage({ has: OWN, serves: await serving() });
    })(),
  );
});

worker.addEventListener('notificationclick', (event) => {
  event.notification.close();
  const href = String(event.notification.data ?? '/');
  event.waitUntil(
    (async () => {
      const open = await worker.clients.matchAll({ type: 'window' });
      const [page] = open;
      if (!page) return void (await worker.clients.openWindow(href));
      await page.focus();
      await page.navigate(href);
    })(),
  );
});
