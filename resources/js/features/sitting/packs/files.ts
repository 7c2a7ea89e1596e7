const FILE = /\/media\/[a-z0-9]+\.[a-z0-9]+/g;

/** Addresses of the pictures, sounds and films that a text names, each once. */
export function filesIn(text: string): string[] {
  return [...new Set(text.match(FILE) ?? [])];
}

/**
 * Fetches files into a cache of the browser.
 *
 * @param onProgress told the share of the files that are here
 * @returns how many bytes they take
 * @throws when one cannot be fetched, or the device has no room
 */
export async function fetchFiles(
  files: readonly string[],
  into: string,
  onProgress: (share: number) => void = () => undefined,
): Promise<number> {
  const cache = await caches.open(into);
  let bytes = 0;
  for (const [i, file] of files.entries()) {
    const answer = await fetch(file, { credentials: 'same-origin' });
    if (!answer.ok) throw new Error(`A picture or sound cannot be fetched (${answer.status}). Try again later.`);
    bytes += (await answer.clone().blob()).size;
    await cache.put(file, answer);
    onProgress((i + 1) / files.length);
  }
  return bytes;
}
