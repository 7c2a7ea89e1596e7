import { useState } from 'react';
import { useLocation, useSearchParams } from 'react-router';

/**
 * Choices that live in the address, so that a reload and the way back bring them back. What a field shows is kept here
 * too: the router writes the address when it has time, which is too late for a key that is pressed or a box that is
 * ticked. An address that somebody else went to (a link to this very screen) is read anew.
 */
export function useInAddress<T>(read: (search: URLSearchParams) => T, write: (value: T) => [string, string][]) {
  const [search, setSearch] = useSearchParams();
  const { key, state } = useLocation();
  const [shown, show] = useState(() => ({ value: read(search), key }));
  if (shown.key !== key) {
    const ours = (state as { ours?: boolean } | null)?.ours === true;
    show({ value: ours ? shown.value : read(search), key });
  }
  const choose = (value: T) => {
    show({ value, key });
    setSearch(
      (now) => {
        const next = addressOf(write(value));
        const exam = now.get('exam');
        if (exam !== null && !next.has('exam')) next.set('exam', exam);
        return next;
      },
      { replace: true, preventScrollReset: true, state: { ours: true } },
    );
  };
  return [shown.value, choose] as const;
}

/** The same as an address has it: what is empty is left out. */
export function addressOf(told: [string, string][]): URLSearchParams {
  return new URLSearchParams(told.filter(([, text]) => text !== ''));
}

/** Which page of a list an address asks for, from 1. */
export function pageIn(search: URLSearchParams): number {
  return Math.max(1, Math.trunc(Number(search.get('page') ?? 1)) || 1);
}
