import type { View } from '../../api/client';
import { count, duration } from '../../ui/words';

/** What was done of a week, in words. */
export function weekSaid({ answered, questions, spentMs, ms, rehearsal, rehearsed }: View<'ThisWeek'>): string {
  const minutes = (time: number) => duration(60_000 * Math.round(time / 60_000));
  return [
    questions === 0 && answered === 0
      ? 'nothing is planned'
      : `${answered} of ${count(questions, 'question')}${answered >= questions ? ', all that was planned' : ''}`,
    `${spentMs < 30_000 ? 'no time yet' : minutes(spentMs)} of ${minutes(ms)}`,
    rehearsed > 0
      ? `${rehearsed === 1 ? 'a rehearsal' : `${rehearsed} rehearsals`} sat`
      : rehearsal && 'a rehearsal to come',
  ]
    .filter(Boolean)
    .join('; ');
}
