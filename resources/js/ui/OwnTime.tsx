import { useQuery } from '@tanstack/react-query';
import { duration } from './words';
import { session } from '../api/queries';

const useFactor = () => useQuery(session).data?.user?.extraTime ?? '1';

/** A limit in minutes as it is for whoever is signed in, with their extra time. */
export function useOwnTime(): (minutes: number) => string {
  const factor = useFactor();
  return (minutes) => ownTime(minutes, factor);
}

/** @param factor such as "1.25" */
export function ownTime(minutes: number, factor: string): string {
  return duration(60_000 * minutes * Number(factor));
}

/** Said once on a screen that names limits; nothing for whoever has no extra time. */
export function ExtraTime() {
  const factor = useFactor();
  return factor === '1' ? null : <p>All times are with your extra time (× {factor}).</p>;
}
