import { useQuery, type UseQueryOptions } from '@tanstack/react-query';
import { startTransition, useEffect, useRef, useState } from 'react';

/** One reads before one drags. */
const REST_MS = 1_500;

/**
 * A part that is fetched and put to work when a pointer comes near, or one has looked for a while: who only moves on must
 * not wait for what nobody takes hold of. It takes the place of what was there, so never while the keyboard is in it.
 *
 * @returns the part, once it is there, and what stands around it
 */
export function useNear<T>(part: UseQueryOptions<T, Error, T, string[]>, wanted = true) {
  const around = useRef<HTMLDivElement>(null);
  const [near, setNear] = useState(false);
  const come = () => {
    if (wanted && !around.current?.contains(document.activeElement)) startTransition(() => setNear(true));
  };
  useEffect(() => {
    if (near) return;
    const timer = window.setTimeout(come, REST_MS);
    return () => window.clearTimeout(timer);
  });
  const { data } = useQuery({ ...part, enabled: near });
  return [near ? data : undefined, { ref: around, onPointerEnter: come }] as const;
}
