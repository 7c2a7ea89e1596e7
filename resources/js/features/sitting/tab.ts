const KEY = 'uplandia.tab';

/**
 * A name for this tab. A reload keeps it; a copy of the tab gets its own, since the browser copies the storage but
 * does not call that a reload.
 */
export function tabName(): string {
  const [entry] = performance.getEntriesByType('navigation') as PerformanceNavigationTiming[];
  const kept = entry?.type === 'reload' ? sessionStorage.getItem(KEY) : null;
  const name = current ?? kept ?? crypto.randomUUID();
  current = name;
  sessionStorage.setItem(KEY, name);
  return name;
}

let current: string | undefined;
