import { useEffect } from 'react';

/** Names the page in the tab and for screen readers. */
export function useTitle(title: string): void {
  useEffect(() => {
    document.title = `${title} · Uplandia`;
  }, [title]);
}
