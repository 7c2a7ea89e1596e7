import { useCallback, useState } from 'react';

/** How wide something is on screen, in pixels, so that a picture can be drawn to fit; 0 until it is known. */
export function useWidth<Box extends HTMLElement>(): [(box: Box | null) => (() => void) | undefined, number] {
  const [width, setWidth] = useState(0);
  const measure = useCallback((box: Box | null) => {
    if (!box) return undefined;
    const observer = new ResizeObserver(() => setWidth(box.clientWidth));
    observer.observe(box);
    setWidth(box.clientWidth);
    return () => observer.disconnect();
  }, []);
  return [measure, width];
}
