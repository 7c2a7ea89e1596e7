import { queryOptions } from '@tanstack/react-query';

/**
 * A part of the page that is fetched when it is first wanted. Like any other request it can fail and be tried again:
 * without a connection the rest of the screen must stand.
 */
export function part<T>(name: string, load: () => Promise<T>) {
  return queryOptions({
    queryKey: ['part', name],
    queryFn: load,
    staleTime: Infinity,
    gcTime: Infinity,
    structuralSharing: false,
    networkMode: 'always',
    retry: 1,
  });
}
