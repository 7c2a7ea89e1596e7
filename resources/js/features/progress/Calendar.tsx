import type { View } from '../../api/client';
import { Figure } from '../../ui/Figure';
import { sinceMonday } from '../../ui/dates';
import { count, duration } from '../../ui/words';

const WEEKS = 12;
const DAY = 86_400_000;
const NAMES = ['Mon', '', 'Wed', '', 'Fri', '', 'Sun'];
const DATE = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' });

/** The days on which one studied, over twelve weeks: the longer, the fuller. */
export function Calendar({ progress: { days, totalMs, sittings } }: { progress: View<'Progress'> }) {
  const today = Date.parse(new Date().toISOString().slice(0, 10));
  const monday = today - sinceMonday(today) * DAY;
  const start = monday - (WEEKS - 1) * 7 * DAY;
  const by = new Map(days.map((day) => [Date.parse(day.date), day]));
  return (
    <Figure title="Days you studied" evidence={`${duration(totalMs)} in ${count(sittings, 'test')} in all.`}>
      <p className="mb-2">
        {days.length === 0
          ? 'None in the last twelve weeks.'
          : `${count(days.length, 'day')} in the last twelve weeks, ${duration(days.reduce((sum, { ms }) => sum + ms, 0))} together.`}
      </p>
      <div
        aria-hidden="true"
        className="grid grid-flow-col grid-rows-7 gap-1 text-xs"
        style={{ gridTemplateColumns: `2.2rem repeat(${WEEKS}, minmax(0, 1fr))` }}
      >
        {NAMES.map((name, i) => (
          <span key={i} className="leading-5">
            {name}
          </span>
        ))}
        {Array.from({ length: WEEKS * 7 }, (_, i) => {
          const at = start + i * DAY;
          const day = by.get(at);
          const size = day ? Math.min(1, 0.45 + day.ms / 7_200_000) : 0;
          return (
            <span
              key={at}
              title={day ? `${DATE.format(at)}: ${duration(day.ms)}, ${count(day.answered, 'answer')}` : undefined}
              className={`flex h-5 items-center justify-center ${at > today ? 'opacity-0' : ''}`}
            >
              <span
                className={day ? 'block rounded-full bg-primary' : 'block rounded-full bg-base-content/20'}
                style={{ width: day ? `${16 * size}px` : '4px', height: day ? `${16 * size}px` : '4px' }}
              />
            </span>
          );
        })}
      </div>
      <p aria-hidden="true" className="mt-1 flex justify-between pl-9 text-xs">
        <span>{DATE.format(start)}</span>
        <span>{DATE.format(today)}</span>
      </p>
    </Figure>
  );
}
