import clsx from 'clsx';
import { COUNTED, OUTCOMES, type OutcomeCounts, type OutcomeName } from './Outcome';

const LOOKS: Record<OutcomeName, string> = {
  right: 'bg-success',
  partly: 'bg-warning',
  missed: 'border-y-2 border-error bg-error/25',
  left_blank: 'border-y border-dashed border-base-content/60',
  not_reached: 'border-y border-base-content/20',
  pending: 'bg-base-content/30',
};

/** What became of the questions of a test, as a small bar; in words for whoever does not see it. */
export function OutcomeBar({ counts }: { counts: OutcomeCounts }) {
  const told = COUNTED.filter(([, of]) => counts[of] > 0);
  const all = told.reduce((sum, [, of]) => sum + counts[of], 0);
  const words = told.map(([outcome, of]) => `${counts[of]} ${OUTCOMES[outcome].toLowerCase()}`).join(', ');
  return (
    <span title={words} className="flex h-3.5 w-full min-w-20 gap-px">
      {told.map(([outcome, of]) => (
        <span
          key={outcome}
          aria-hidden="true"
          className={clsx('block', LOOKS[outcome])}
          style={{ width: `${(100 * counts[of]) / all}%` }}
        />
      ))}
      <span className="sr-only">{words}</span>
    </span>
  );
}
