import { useLayoutEffect, type RefObject } from 'react';

/** Tells the page's styles how high something is, under a name such as "--head": what sticks below it must know. */
export function useHeightOf(element: RefObject<HTMLElement | null>, name: string): void {
  useLayoutEffect(() => {
    const here = element.current;
    if (!here) return;
    const watch = new ResizeObserver(() => document.documentElement.style.setProperty(name, `${here.offsetHeight}px`));
    watch.observe(here);
    return () => watch.disconnect();
  }, [element, name]);
}
