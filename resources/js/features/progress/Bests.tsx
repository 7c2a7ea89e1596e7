import { Link } from 'react-router';
import type { View } from '../../api/client';
import { Figure } from '../../ui/Figure';
import { plainDate } from '../../ui/dates';
import { count, percent } from '../../ui/words';

/** What went best so far, without fuss. */
export function Bests({ bests: { timed, day, run, runNow }, cut }: { bests: View<'Bests'>; cut: number }) {
  if (!day) return null;
  return (
    <Figure
      title="Your best so far"
      evidence="Of timed tests, those of twenty questions and more of which at least 80 % were answered."
    >
      <dl className="grid grid-cols-[auto_minmax(0,1fr)] gap-x-4 gap-y-1">
        <dt className="text-base-content/75">Timed test</dt>
        <dd>
          {timed ? (
            <>
              <strong>{percent(timed.share, cut)}</strong> of {timed.questions} questions:{' '}
              <Link
                to={`/result/${timed.sitting}`}
                className="inline-flex min-h-11 items-center text-primary underline underline-offset-4 pointer-fine:min-h-6"
              >
                {timed.title}
              </Link>
            </>
          ) : (
            'none long enough yet'
          )}
        </dd>
        <dt className="text-base-content/75">In a day</dt>
        <dd>
          <strong>{count(day.answered, 'answer')}</strong>, on {plainDate(day.date)}
        </dd>
        <dt className="text-base-content/75">Days in a row</dt>
        <dd>
          <strong>{run}</strong>
          {runNow > 0 && runNow < run && `; ${runNow} just now`}
          {runNow > 0 && runNow === run && run > 1 && ', just now'}
        </dd>
      </dl>
    </Figure>
  );
}
