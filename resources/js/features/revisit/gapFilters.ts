import type { View } from '../../api/client';
import { pageIn } from '../../ui/useInAddress';
import { CAUSES } from '../result/causes';

export type Wanted = View<'GapsRequest'>;
export type Gap = View<'GapEntry'>;

export const STATES = { open: 'open', closing: 'closing', closed: 'closed' } as const;

/** Why, in words; "none" is what nobody has named yet. */
export const causeName = (code: string) => CAUSES[code as keyof typeof CAUSES] ?? 'Not named yet';

export function readFilters(search: URLSearchParams): Wanted {
  const [state, cause] = [search.get('state'), search.get('cause')];
  return {
    topic: search.get('topic'),
    cause:
      cause !== null && (cause === 'none' || Object.hasOwn(CAUSES, cause))
        ? (cause as NonNullable<Wanted['cause']>)
        : null,
    section: search.get('section'),
    state: state !== null && Object.hasOwn(STATES, state) ? (state as keyof typeof STATES) : null,
    page: pageIn(search),
  };
}

export function writeFilters({ topic, cause, section, state, page }: Wanted): [string, string][] {
  return [
    ['topic', topic ?? ''],
    ['cause', cause ?? ''],
    ['section', section ?? ''],
    ['state', state ?? ''],
    ['page', page === 1 ? '' : String(page)],
  ];
}

/** What is in the book, in a sentence. */
export function inTheBook({ open, closing, closed }: Pick<View<'GapBook'>, 'open' | 'closing' | 'closed'>): string {
  if (open + closing + closed === 0) return 'Nothing has gone wrong yet. What does, lands here by itself.';
  if (open + closing === 0) return `All ${closed} have closed. Well done; a miss opens one again.`;
  return `${open + closing} to close${closing > 0 ? `, ${closing} of them right once already` : ''}; ${closed} closed.`;
}
