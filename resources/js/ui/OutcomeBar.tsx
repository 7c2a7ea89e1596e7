import clsx from 'clsx';
import { OUTCOMES, type OutcomeName } from './Outcome';

/** In the order of the bar, from what was got to what was never seen. */
const PARTS: readonly [OutcomeName, string][] = [
  ['right', 'bg-success'],
  ['partly', 'bg-warning'],
  ['missed', 'border-y-2 border-error bg-error/25'],
  ['left_blank', 'border-y border-dashed border-base-content/60'],
  ['not_reached', 'border-y border-base-content/20'],
  ['pending', 'bg-base-content/30'],
];

/** What became of the questions of a test, as a small bar; in words for whoever does not see it. */
export function OutcomeBar({ counts }: { counts: Partial<Record<OutcomeName, number>> }) {
  const told = PARTS.filter(([outcome]) => (counts[outcome] ?? 0) > 0);
  const all = told.reduce((sum, [outcome]) => sum + (counts[outcome] ?? 0), 0);
  const words = told.map(([outcome]) => `${counts[outcome]} ${OUTCOMES[outcome].toLowerCase()}`).join(', ');
  return (
    <span title={words} className="flex h-3.5 w-full min-w-20 gap-px">
      {told.map(([outcome, look]) => (
        <span
          key={outcome}
          aria-hidden="true"
          className={clsx('block', look)}
          style={{ width: `${(100 * (counts[outcome] ?? 0)) / all}%` }}
        />
      ))}
      <span className="sr-only">{words}</span>
    </span>
  );
}
