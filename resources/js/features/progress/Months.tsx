import { scaleLinear } from 'd3-scale';
import type { View } from '../../api/client';
import { Figure } from '../../ui/Figure';
import { points } from '../../ui/points';
import { count } from '../../ui/words';
import { LEANING } from '../result/sureness';

const NAMES = new Intl.DateTimeFormat('en-GB', { month: 'long', year: 'numeric', timeZone: 'UTC' });

/** What was said against what came true, month by month: left of the line less sure than right, right of it surer. */
export function Months({ months }: { months: readonly View<'CalibrationMonth'>[] }) {
  if (months.length === 0) return null;
  const last = months.at(-1);
  const x = scaleLinear([-0.5, 0.5], [0, 100]).clamp(true);
  return (
    <Figure
      title="How well you know what you know"
      evidence="What you said of your answers less what came true, with its range of 95 %. Called only where that leaves out nothing at all, on twenty answers and more."
    >
      <p className="mb-2">
        {last?.leaning === 'over_confident'
          ? `Of late you are surer than right, by ${Math.round(100 * last.off)} points in a hundred.`
          : last?.leaning === 'under_confident'
            ? `Of late you are more often right than you say, by ${Math.round(-100 * last.off)} points in a hundred.`
            : 'Of late what you say and what comes true agree as far as can be told.'}
      </p>
      <ul>
        {months.map((month) => (
          <li
            key={month.month}
            className="grid grid-cols-[minmax(0,1fr)_8rem] items-center gap-x-3 sm:grid-cols-[7.5rem_minmax(0,1fr)_8rem] border-t border-base-300 py-1 text-sm"
          >
            <span>{NAMES.format(Date.parse(`${month.month}-01`))}</span>
            <span aria-hidden="true" className="relative block h-5 max-sm:order-last max-sm:col-span-2">
              <span className="absolute inset-y-0 left-1/2 border-l-2 border-dashed border-base-content/60" />
              {month.low !== null && month.high !== null && (
                <span
                  className="absolute top-1/2 h-0.5 -translate-y-1/2 bg-base-content"
                  style={{ left: `${x(month.low)}%`, right: `${100 - x(month.high)}%` }}
                />
              )}
              <span
                className="absolute top-1/2 size-3 -translate-x-1/2 -translate-y-1/2 rounded-full bg-primary"
                style={{ left: `${x(month.off)}%` }}
              />
            </span>
            <span>
              <strong>{points(month.off)}</strong>, {LEANING[month.leaning] || 'as said'}
              <span className="block text-base-content/75">{count(month.n, 'answer')}</span>
            </span>
          </li>
        ))}
      </ul>
    </Figure>
  );
}
