import { COUNTED, OUTCOMES, OutcomeMark, type OutcomeCounts } from '../../ui/Outcome';

/** How many questions came to what. */
export function Outcomes({ tally }: { tally: OutcomeCounts }) {
  return (
    <ul className="mt-4 flex flex-wrap gap-x-6 gap-y-2">
      {COUNTED.filter(([outcome, of]) => tally[of] > 0 || outcome === 'right' || outcome === 'missed').map(
        ([outcome, of]) => (
          <li key={outcome} className="flex items-center gap-1.5">
            <OutcomeMark outcome={outcome} />
            {OUTCOMES[outcome]} <strong>{tally[of]}</strong>
          </li>
        ),
      )}
    </ul>
  );
}
