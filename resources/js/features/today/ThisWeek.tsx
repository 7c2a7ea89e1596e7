import { Link } from 'react-router';
import type { View } from '../../api/client';
import { weekSaid } from './weekSaid';

/** What was done this week, against the plan, in a line. */
export function ThisWeek({ week }: { week: View<'ThisWeek'> }) {
  const share = week.questions === 0 ? 1 : Math.min(1, week.answered / week.questions);
  return (
    <p className="flex flex-wrap items-center gap-x-3">
      <Link
        to="/plan"
        className="inline-flex min-h-11 items-center text-primary underline underline-offset-4 pointer-fine:min-h-7"
      >
        This week
      </Link>
      <span aria-hidden="true" className="relative block h-3 w-28 bg-base-content/12">
        <span className="absolute inset-y-0 left-0 bg-primary" style={{ width: `${100 * share}%` }} />
      </span>
      <span>{weekSaid(week)}</span>
    </p>
  );
}
