import { useMutation } from '@tanstack/react-query';
import clsx from 'clsx';
import { X } from 'lucide-react';
import { useId, useState } from 'react';
import { api, ask, type View } from '../../api/client';
import { plan as planOf, today } from '../../api/queries';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { plainDate } from '../../ui/dates';
import { duration } from '../../ui/words';

const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

/** How many hours there are, and on which days. */
export function HoursForm({ plan }: { plan: View<'Plan'> }) {
  const { exam } = plan;
  const [hours, setHours] = useState(plan.hoursWeek === null ? '' : String(plan.hoursWeek));
  const [weekdaysOff, setWeekdaysOff] = useState<readonly number[]>(plan.weekdaysOff);
  const [datesOff, setDatesOff] = useState<readonly string[]>(plan.datesOff);
  const keeping = useMutation({
    mutationFn: () =>
      ask(
        api.PUT('/api/exams/{exam}/plan', {
          params: { path: { exam } },
          body: {
            // What is no number is told by the server in words.
            hoursWeek: Number.parseFloat(hours.replace(',', '.')) || 0,
            weekdaysOff: [...weekdaysOff],
            datesOff: [...datesOff],
          },
        }),
      ),
    meta: { invalidates: [planOf(exam).queryKey, today(exam).queryKey] },
  });
  return (
    <form
      aria-label="Your hours"
      className="grid gap-4 rounded-box border border-base-300 p-4"
      onSubmit={(event) => {
        event.preventDefault();
        keeping.mutate();
      }}
    >
      <Field
        label="Hours a week"
        inputMode="decimal"
        value={hours}
        maxLength={5}
        onChange={(event) => setHours(event.target.value)}
        hint={`${duration(plan.questionMs)} a question: ${plan.questionMsKnown ? 'your own median' : 'until yours is known'}.`}
        fault={keeping.isError ? keeping.error.message : undefined}
      />
      <fieldset className="grid gap-1">
        <legend className="font-bold">Days on which you study</legend>
        <div className="grid grid-cols-7 gap-1">
          {WEEKDAYS.map((name, i) => {
            const on = !weekdaysOff.includes(i + 1);
            return (
              <button
                key={name}
                type="button"
                aria-pressed={on}
                onClick={() =>
                  setWeekdaysOff(on ? [...weekdaysOff, i + 1].sort() : weekdaysOff.filter((day) => day !== i + 1))
                }
                className={clsx(
                  'min-h-11 cursor-pointer rounded-field border text-sm pointer-fine:min-h-9',
                  on ? 'border-primary bg-primary font-bold text-primary-content' : 'border-base-content/50',
                )}
              >
                {name}
              </button>
            );
          })}
        </div>
      </fieldset>
      <DatesOff dates={datesOff} onChange={setDatesOff} />
      <Button type="submit" weight={plan.hoursWeek === null ? 'main' : 'plain'} busy={keeping.isPending}>
        Lay out the weeks
      </Button>
    </form>
  );
}

function DatesOff({ dates, onChange }: { dates: readonly string[]; onChange: (dates: readonly string[]) => void }) {
  const id = useId();
  const [date, setDate] = useState('');
  return (
    <fieldset className="grid gap-1">
      <legend className="font-bold">Days off besides</legend>
      <div className="flex flex-wrap items-end gap-2">
        <label htmlFor={id} className="sr-only">
          A day off
        </label>
        <input
          id={id}
          type="date"
          value={date}
          onChange={(event) => setDate(event.target.value)}
          className="input w-40 border-base-content/50 text-base pointer-fine:h-9"
        />
        <Button
          small
          disabled={date === '' || dates.includes(date)}
          onClick={() => {
            onChange([...dates, date].sort());
            setDate('');
          }}
        >
          Add it
        </Button>
      </div>
      {dates.length > 0 && (
        <ul className="flex flex-wrap gap-1">
          {dates.map((one) => (
            <li key={one}>
              <button
                type="button"
                onClick={() => onChange(dates.filter((other) => other !== one))}
                aria-label={`${plainDate(one)} is no day off`}
                className="inline-flex min-h-11 cursor-pointer items-center gap-1 rounded-selector border border-base-content/40 px-1.5 text-sm pointer-fine:min-h-7"
              >
                {plainDate(one)} <X aria-hidden="true" className="size-3.5" />
              </button>
            </li>
          ))}
        </ul>
      )}
    </fieldset>
  );
}
