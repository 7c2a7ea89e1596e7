import { useQuery, type UseQueryOptions } from '@tanstack/react-query';
import { startTransition, useCallback, useEffect, useState } from 'react';

/** One reads before one drags: so long the machine is left to what one reads, and the connection longer. */
const REST_MS = 400;
const FETCH_MS = 1_500;

/**
 * A part that is fetched and put to work when a pointer or the focus comes near, or one has looked for a while: who only
 * moves on must not wait for what nobody takes hold of.
 *
 * @returns the part, once it is there, and what listens around it
 */
export function useNear<T>(part: UseQueryOptions<T, Error, T, string[]>, wanted = true) {
  const [near, setNear] = useState(false);
  const come = useCallback(() => {
    if (wanted) startTransition(() => setNear(true));
  }, [wanted]);
  const { data } = useQuery({ ...part, enabled: near });
  const rest = data ? REST_MS : FETCH_MS;
  useEffect(() => {
    const timer = window.setTimeout(come, rest);
    return () => window.clearTimeout(timer);
  }, [come, rest]);
  return [near ? data : undefined, { onPointerEnter: come, onFocus: come }] as const;
}
