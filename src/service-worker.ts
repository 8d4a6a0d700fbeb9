/// <reference types="@sveltejs/kit" />
/// <reference lib="webworker" />

/** Shows what the page tells while it is in the background, and brings the page back when that is pressed. It keeps no files. */
const worker = globalThis as unknown as ServiceWorkerGlobalScope;

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
