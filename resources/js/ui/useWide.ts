import { useSyncExternalStore } from 'react';

const wide = typeof matchMedia === 'undefined' ? null : matchMedia('(min-width: 64rem)');

/** Whether there is room for something beside the question. */
export function useWide(): boolean {
  return useSyncExternalStore(
    (changed) => {
      wide?.addEventListener('change', changed);
      return () => wide?.removeEventListener('change', changed);
    },
    () => wide?.matches ?? true,
  );
}
