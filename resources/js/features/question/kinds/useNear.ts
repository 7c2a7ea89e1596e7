import { useQuery, type UseQueryOptions } from '@tanstack/react-query';
import { startTransition, useEffect, useRef, useState } from 'react';

/** One reads before one drags: so long the machine is left to what one reads, and the connection longer. */
const REST_MS = 400;
const FETCH_MS = 1_500;

/**
 * A part that is fetched and put to work when a pointer comes near, or one has looked for a while: who only moves on must
 * not wait for what nobody takes hold of.
 *
 * @param on.replaces whether it takes the place of what was there: not while the keyboard is in that
 * @returns the part, once it is there, and what stands around it
 */
export function useNear<T>(part: UseQueryOptions<T, Error, T, string[]>, on: { wanted: boolean; replaces: boolean }) {
  const around = useRef<HTMLDivElement>(null);
  const [near, setNear] = useState(false);
  const come = () => {
    const busy = on.replaces && around.current?.contains(document.activeElement);
    if (on.wanted && !busy) startTransition(() => setNear(true));
  };
  const { data } = useQuery({ ...part, enabled: near });
  useEffect(() => {
    if (near) return;
    const timer = window.setTimeout(come, data ? REST_MS : FETCH_MS);
    return () => window.clearTimeout(timer);
  });
  return [near ? data : undefined, { ref: around, onPointerEnter: come, onFocus: come }] as const;
}
