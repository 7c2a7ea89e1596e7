const ahead = new Map<string, HTMLImageElement>();
const MOST = 8;

/** Fetches a picture and reads it, so that it is there when it is wanted. */
export function haveAhead(src: string): void {
  if (ahead.has(src)) return;
  const picture = new Image();
  picture.src = src;
  // Without it the page fetches it itself.
  void picture.decode().catch(() => undefined);
  const [oldest] = ahead.keys();
  if (ahead.size >= MOST && oldest !== undefined) ahead.delete(oldest);
  ahead.set(src, picture);
}
