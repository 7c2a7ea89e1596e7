/** The service worker, as the pages know it: it starts the app without a network. */

const OFF = 'uplandia.worker.off';
const KEPT_WITHIN_MS = 30_000;
const ANSWERS_WITHIN_MS = 2_000;
const TAKES_OVER_WITHIN_MS = 3_000;

let waiting: ServiceWorker | null = null;
const listeners = new Set<() => void>();

/** A new version that waits until somebody says so; null: there is none. */
export function newVersion(): ServiceWorker | null {
  return waiting;
}

export function onNewVersion(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

export function isOff(): boolean {
  return localStorage.getItem(OFF) === '1';
}

/** Starts it, or takes it away where it is not wanted. */
export function begin(): void {
  if (!('serviceWorker' in navigator)) return;
  void (isOff() ? remove() : start()).catch(() => undefined);
}

async function start(): Promise<void> {
  const registration = await navigator.serviceWorker.register('/sw.js', { scope: '/', updateViaCache: 'none' });
  const look = async () => {
    const found = registration.waiting;
    // The first one has nobody before it.
    waiting = navigator.serviceWorker.controller && found && !(await holdsThisPage(found)) ? found : null;
    for (const listener of listeners) listener();
  };
  const lookSoon = () => void look();
  lookSoon();
  registration.addEventListener('updatefound', () =>
    registration.installing?.addEventListener('statechange', lookSoon),
  );
}

/** Whether this page is of the worker's version: one that comes from the server may be so before the worker works. */
function holdsThisPage(worker: ServiceWorker): Promise<boolean> {
  const parts = [...document.head.querySelectorAll('script[src], link[rel="stylesheet"]')];
  const files = parts.map((part) => (part instanceof HTMLScriptElement ? part.src : (part as HTMLLinkElement).href));
  const { port1, port2 } = new MessageChannel();
  return new Promise((tell) => {
    port1.onmessage = ({ data }) => tell(data === true);
    setTimeout(() => tell(false), ANSWERS_WITHIN_MS);
    worker.postMessage({ files }, [port2]);
  });
}

/** Whether the app starts on this device without a network; waits until all it needs is here. */
export async function isKept(): Promise<boolean> {
  // Only a safe connection, or the machine itself, has one.
  if (!('serviceWorker' in navigator) || isOff()) return false;
  try {
    await start();
    const late = new Promise<null>((give) => setTimeout(() => give(null), KEPT_WITHIN_MS));
    return (await Promise.race([navigator.serviceWorker.ready, late])) !== null;
  } catch {
    return false;
  }
}

/** Loads the new version, and has its worker take over. */
export function takeNewVersion(): void {
  const load = () => location.reload();
  navigator.serviceWorker.addEventListener('controllerchange', load, { once: true });
  // A browser may leave the old worker on for minutes. The page is the server's, so it is the new one all the same.
  setTimeout(load, TAKES_OVER_WITHIN_MS);
  waiting?.postMessage('take over');
}

export async function turn(on: boolean): Promise<void> {
  if (on) {
    localStorage.removeItem(OFF);
    await start();
  } else {
    localStorage.setItem(OFF, '1');
    await remove();
  }
}

/** The worker and all that it keeps. */
async function remove(): Promise<void> {
  for (const registration of await navigator.serviceWorker.getRegistrations()) await registration.unregister();
  for (const name of await caches.keys()) if (name.startsWith('workbox-')) await caches.delete(name);
}
