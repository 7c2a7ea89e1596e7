import { useQuery } from '@tanstack/react-query';
import { duration } from '../ui/words';
import { session } from './queries';

/** A limit in minutes as it is for whoever is signed in: with their extra time, and saying so. */
export function useOwnTime(): (minutes: number) => string {
  const factor = useQuery(session).data?.user?.extraTime ?? '1';
  return (minutes) => ownTime(minutes, factor);
}

/** @param factor such as "1.25" */
export function ownTime(minutes: number, factor: string): string {
  const own = duration(60_000 * minutes * Number(factor));
  return Number(factor) === 1 ? own : `${own} with your extra time`;
}
