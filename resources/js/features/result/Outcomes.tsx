import type { View } from '../../api/client';
import { OUTCOMES, OutcomeMark, type OutcomeName } from '../../ui/Outcome';

/** How many questions came to what. */
export function Outcomes({ tally }: { tally: View<'Tally'> }) {
  return (
    <ul className="mt-4 flex flex-wrap gap-x-6 gap-y-2">
      {(
        [
          ['right', tally.right],
          ['partly', tally.partly],
          ['missed', tally.missed],
          ['left_blank', tally.leftBlank],
          ['not_reached', tally.notReached],
          ['pending', tally.pending],
        ] satisfies [OutcomeName, number][]
      )
        .filter(([outcome, n]) => n > 0 || outcome === 'right' || outcome === 'missed')
        .map(([outcome, n]) => (
          <li key={outcome} className="flex items-center gap-1.5">
            <OutcomeMark outcome={outcome} />
            {OUTCOMES[outcome]} <strong>{n}</strong>
          </li>
        ))}
    </ul>
  );
}
