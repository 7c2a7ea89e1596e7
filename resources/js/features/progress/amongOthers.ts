import type { View } from '../../api/client';
import { count } from '../../ui/words';

type Cohort = Pick<View<'Cohort'>, 'n' | 'fewest' | 'percentile' | 'sitting'>;

/** Where one stands among the others, or what is missing to tell. */
export function amongOthers({ n, fewest, percentile, sitting }: Cohort): string {
  if (n < fewest)
    return `${n === 0 ? 'Nobody else has' : `Only ${count(n, 'other has', 'others have')}`} sat the whole exam so far; a place is shown from ${fewest} on.`;
  if (sitting === null)
    return `${count(n, 'other')} have sat the whole exam. Sit a paper or a rehearsal to see your place.`;
  return `Of ${count(n, 'other')} who sat a whole paper or rehearsal, about ${Math.round(100 * (percentile ?? 0))} in a hundred came out below you.`;
}
