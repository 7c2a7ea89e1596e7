import { useMutation } from '@tanstack/react-query';
import { useId, useState } from 'react';
import { api, ask, type View } from '../../api/client';
import { Button } from '../../ui/Button';
import { count } from '../../ui/words';

/** How long it is until the exam; its date is set in one step. */
export function ExamDate({ of }: { of: Pick<View<'Today'>, 'exam' | 'examDate' | 'daysToGo'> }) {
  const { exam, examDate, daysToGo } = of;
  const id = useId();
  const [open, setOpen] = useState(false);
  const [date, setDate] = useState(examDate ?? '');
  const keeping = useMutation({
    mutationFn: (day: string) =>
      ask(
        api.PUT('/api/exams/{exam}/enrolment', {
          params: { path: { exam } },
          body: { examDate: day === '' ? null : day, timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone },
        }),
      ),
    meta: { invalidates: ['today', 'plan', 'revisits', 'progress'].map((what) => [what, exam]) },
    onSuccess: () => setOpen(false),
  });
  if (!open)
    return (
      <p className="flex flex-wrap items-center gap-x-3">
        {daysToGo !== null && <span className="font-bold">{inWords(daysToGo)}</span>}
        <button
          type="button"
          onClick={() => {
            setDate(examDate ?? '');
            setOpen(true);
          }}
          className="min-h-11 cursor-pointer text-primary underline underline-offset-4 pointer-fine:min-h-9"
        >
          {examDate === null ? 'When is your exam?' : 'Change the date'}
        </button>
      </p>
    );
  return (
    <form
      className="flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        keeping.mutate(date);
      }}
    >
      <label htmlFor={id} className="grid">
        Day of the exam
        <input
          id={id}
          type="date"
          value={date}
          // It has just been asked for.
          ref={(field) => field?.focus()}
          onChange={(event) => setDate(event.target.value)}
          className="input w-44 border-base-content/50 text-base pointer-fine:h-9"
        />
      </label>
      <Button small type="submit" busy={keeping.isPending}>
        {date === '' ? 'No date' : 'Keep it'}
      </Button>
      <Button small weight="quiet" onClick={() => setOpen(false)}>
        Cancel
      </Button>
      {keeping.isError && (
        <p role="alert" className="basis-full text-error">
          {keeping.error.message}
        </p>
      )}
    </form>
  );
}

function inWords(days: number): string {
  if (days > 1) return `${count(days, 'day')} to the exam`;
  if (days === 1) return 'The exam is tomorrow';
  if (days === 0) return 'The exam is today';
  return `The exam was ${days === -1 ? 'yesterday' : `${-days} days ago`}`;
}
