import type { View } from '../../api/client';
import { pageIn } from '../../ui/useInAddress';

export type Wanted = View<'MetRequest'>;
type Pool = NonNullable<Wanted['pool']>;

/** The pools of what was met, in the candidate’s words. */
export const POOLS: Record<Exclude<Pool, 'new'>, string> = {
  got_it: 'Got it',
  partly: 'Partly',
  missed: 'Missed',
  left_blank: 'Left blank',
  to_be_marked: 'To be marked',
  flagged: 'Flagged',
  starred: 'Starred',
  with_notes: 'With notes',
  false_footing: 'False footing',
  in_gap_book: 'In my gap book',
  due: 'Due to revisit',
};

export function readMet(search: URLSearchParams): Wanted {
  const pool = search.get('pool');
  return {
    words: search.get('words'),
    topic: search.get('topic'),
    pool: pool !== null && Object.hasOwn(POOLS, pool) ? (pool as Pool) : null,
    everywhere: search.get('of') === 'all',
    page: pageIn(search),
  };
}

export function writeMet({ words, topic, pool, everywhere, page }: Wanted): [string, string][] {
  return [
    ['words', words ?? ''],
    ['topic', topic ?? ''],
    ['pool', pool ?? ''],
    ['of', everywhere ? 'all' : ''],
    ['page', page === 1 ? '' : String(page)],
  ];
}
