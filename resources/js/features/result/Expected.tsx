import type { View } from '../../api/client';
import { duration, percent } from '../../ui/words';
import { Outcomes } from './Outcomes';

const ENDED: Record<NonNullable<View<'Expected'>['ending']>, string> = {
  above: 'It ended by itself, for it could tell.',
  below: 'It ended by itself, for it could tell.',
  most: 'It asked as many as it may.',
  spent: 'There are no more questions that it could ask.',
};

/** What an adaptive test has found out: no share of what it asked, for that says nothing. */
export function Expected({ result, expected }: { result: View<'Result'>; expected: View<'Expected'> }) {
  const { share, low, high, ending, asked, most, of } = expected;
  const cut = Number(result.cut);
  return (
    <section aria-label="What it found out" className="grid gap-x-10 gap-y-6 md:grid-cols-[auto_1fr] md:items-center">
      <div>
        <p className="text-5xl font-bold">
          {percent(share)}
          <span className="text-2xl font-normal"> expected of {of ?? 'the whole bank'}</span>
        </p>
        <p className="mt-2 text-xl">
          between <strong>{percent(low)}</strong> and <strong>{percent(high)}</strong>
        </p>
        <dl className="mt-3 grid grid-cols-[auto_auto] justify-start gap-x-4">
          <dt>Questions</dt>
          <dd className="font-bold">
            {asked}
            <span className="font-normal"> of at most {most}</span>
          </dd>
          <dt>Time</dt>
          <dd className="font-bold">
            {duration(result.activeMs)}
            {result.limitMs !== null && <span className="font-normal"> of {duration(result.limitMs)}</span>}
          </dd>
        </dl>
      </div>
      <div className="max-w-xl">
        <Range share={share} low={low} high={high} cut={cut / 100} />
        <p className="mt-2 text-base-content/75">
          This is what you would get right of {of === null ? 'the whole bank' : `all questions on ${of}`}, by the
          difficulty of what you were asked. It lies in the range 95 times in 100.{' '}
          {ending !== null ? ENDED[ending] : result.byClock ? 'The clock ended it.' : 'You ended it.'}
        </p>
        <Outcomes tally={result.tally} />
        <p className="mt-2 text-sm text-base-content/75">
          How many were right says nothing by itself: whoever knows more is asked what is harder.
        </p>
      </div>
    </section>
  );
}

/** The range on a scale from nothing to all, with the cut through it. The numbers stand beside it in words. */
function Range({ share, low, high, cut }: { share: number; low: number; high: number; cut: number }) {
  const at = (value: number) => `${100 * value}%`;
  return (
    <div aria-hidden="true" className="relative h-16 text-sm">
      <div className="absolute inset-x-0 top-4 h-3 rounded-full bg-base-content/15" />
      <div
        className="absolute top-4 h-3 rounded-full bg-primary/45"
        style={{ left: at(low), width: at(Math.max(0.01, high - low)) }}
      />
      <div
        className="absolute top-2.5 size-6 -translate-x-1/2 rounded-full border-4 border-base-100 bg-primary"
        style={{ left: at(share) }}
      />
      <div className="absolute top-1 h-9 w-0.5 -translate-x-1/2 bg-base-content" style={{ left: at(cut) }} />
      <span className="absolute top-11 -translate-x-1/2 whitespace-nowrap" style={{ left: at(cut) }}>
        cut {percent(cut)}
      </span>
      <span className="absolute top-11 left-0 text-base-content/75">0</span>
      <span className="absolute top-11 right-0 text-base-content/75">100 %</span>
    </div>
  );
}
