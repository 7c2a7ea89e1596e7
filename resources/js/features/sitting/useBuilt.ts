import { startTransition, useEffect, useState } from 'react';

const AT_REST_MS = 300;

/** The first question has the connection and the machine to itself: one reads it for longer than this. */
const FIRST_REST_MS = 2_000;

/**
 * Places of the questions that are built: the one that is looked at, and from when the page last was at rest, the one
 * that was looked at then and the next. So moving on makes nothing and takes nothing away.
 */
export function useBuilt(current: number, questions: number): number[] {
  const [rested, setRested] = useState(-1);
  useEffect(() => {
    const rest = rested === -1 ? FIRST_REST_MS : AT_REST_MS;
    const timer = window.setTimeout(() => startTransition(() => setRested(current)), rest);
    return () => window.clearTimeout(timer);
  }, [current, rested]);
  const all = rested === -1 ? [current] : [rested, rested + 1, current];
  return [...new Set(all)].filter((position) => position < questions).sort((a, b) => a - b);
}
