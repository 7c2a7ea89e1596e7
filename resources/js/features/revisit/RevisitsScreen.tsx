import { useMutation, useQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import { useState } from 'react';
import { api, ask, type View } from '../../api/client';
import { revisits } from '../../api/queries';
import { useBegin } from '../../api/useBegin';
import { Button, ButtonLink } from '../../ui/Button';
import { Empty } from '../../ui/Empty';
import { Failure } from '../../ui/Failure';
import { Figure } from '../../ui/Figure';
import { Loading } from '../../ui/Loading';
import { OfExam } from '../../ui/OfExam';
import { OutcomeMark, OUTCOMES } from '../../ui/Outcome';
import { Pages } from '../../ui/Pages';
import { Segments } from '../../ui/Segments';
import { sinceMonday, weekday } from '../../ui/dates';
import { useTitle } from '../../ui/useTitle';
import { count, percent } from '../../ui/words';
import { ReviewLink } from '../library/ReviewLink';
import { dueSaid } from './dueSaid';

type Revisits = View<'Revisits'>;
type Show = View<'RevisitsRequest'>['show'];

const SESSIONS = [10, 20, 50];

/** What comes back, and when; a session of it. */
export function Component() {
  useTitle('Revisits');
  return <OfExam>{(exam) => <Scheduled exam={exam} />}</OfExam>;
}

function Scheduled({ exam }: { exam: string }) {
  const [wanted, want] = useState<{ show: Show; page: number }>({ show: 'due', page: 1 });
  const page = useQuery(revisits(exam, wanted));
  if (page.isPending) return <Loading what="Looking what comes back" />;
  if (page.isError) return <Failure error={page.error} retry={() => void page.refetch()} />;
  const view = page.data;
  const none = view.due + view.coming + view.suspended === 0;
  return (
    <div className="grid gap-5">
      <div className="flex flex-wrap items-end justify-between gap-x-6 gap-y-3">
        <div>
          <p className="text-base-content/75">{view.examName}</p>
          <h1 className="text-2xl font-bold">Revisits</h1>
          <p className="text-lg">{dueSaid(view)}</p>
        </div>
        {view.due > 0 && <Session exam={exam} due={view.due} />}
      </div>
      {none ? (
        <Empty title="Nothing comes back yet.">
          <p>
            What you answer comes back just before it would be forgotten, and never later than the day before the exam.
          </p>
          <ButtonLink to="/" weight="main">
            Answer some questions
          </ButtonLink>
        </Empty>
      ) : (
        <div className="grid items-start gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,1fr)_22rem]">
          <section aria-label="List" className="grid gap-2">
            <Segments
              label="Which"
              options={[
                ['due', `Due (${view.due})`],
                ['coming', `Coming (${view.coming})`],
                ['suspended', `Staying away (${view.suspended})`],
              ]}
              chosen={wanted.show}
              onChoose={(show) => want({ show, page: 1 })}
            />
            <List exam={exam} view={view} show={wanted.show} />
            <Pages
              of={view}
              what={count(
                wanted.show === 'due' ? view.due : wanted.show === 'coming' ? view.coming : view.suspended,
                'question',
              )}
              onPage={(one) => want({ ...wanted, page: one })}
            />
          </section>
          <Weeks view={view} />
        </div>
      )}
    </div>
  );
}

function Session({ exam, due }: { exam: string; due: number }) {
  const begin = useBegin();
  const sizes = [...new Set(SESSIONS.map((size) => Math.min(size, due)))];
  return (
    <div className="flex flex-wrap items-center gap-2">
      {sizes.map((size, i) => (
        <Button
          key={size}
          weight={i === Math.min(1, sizes.length - 1) ? 'main' : 'plain'}
          disabled={begin.isPending}
          onClick={() =>
            begin.go(
              () =>
                ask(
                  api.POST('/api/exams/{exam}/revisits/session', { params: { path: { exam } }, body: { count: size } }),
                ),
              true,
            )
          }
        >
          {size === due ? `Revisit ${size === 1 ? 'it' : `all ${size}`}` : `Revisit ${size}`}
        </Button>
      ))}
      {begin.isError && <Failure error={begin.error} />}
    </div>
  );
}

function List({ exam, view, show }: { exam: string; view: Revisits; show: Show }) {
  if (view.revisits.length === 0)
    return (
      <Empty
        title={{ due: 'Nothing is due.', coming: 'Nothing else is coming.', suspended: 'Nothing stays away.' }[show]}
      />
    );
  return (
    <ul className="border-b border-base-300">
      {view.revisits.map((one) => (
        <Row key={one.question} exam={exam} one={one} today={view.today} />
      ))}
    </ul>
  );
}

function Row({ exam, one, today }: { exam: string; one: View<'Revisit'>; today: string }) {
  const saying = useMutation({
    mutationFn: (body: { suspended: boolean; days: number | null }) =>
      ask(
        api.PUT('/api/exams/{exam}/revisits/{question}', {
          params: { path: { exam, question: String(one.question) } },
          body,
        }),
      ),
    meta: { invalidates: ['revisits', 'today', 'plan'].map((what) => [what, exam]) },
  });
  const small = (label: string, body: { suspended: boolean; days: number | null }, aloud: string) => (
    <button
      type="button"
      disabled={saying.isPending}
      aria-label={`${aloud}: ${one.excerpt}`}
      onClick={() => saying.mutate(body)}
      className="min-h-11 cursor-pointer text-sm text-primary underline underline-offset-4 pointer-fine:min-h-7"
    >
      {label}
    </button>
  );
  return (
    <li className="grid grid-cols-[1.5rem_minmax(0,1fr)] items-center gap-x-2 border-t border-base-300 py-1 sm:grid-cols-[1.5rem_minmax(0,1fr)_auto]">
      <span title={OUTCOMES[one.outcome]}>
        <OutcomeMark outcome={one.outcome} />
        <span className="sr-only">{OUTCOMES[one.outcome]} last time</span>
      </span>
      <div className="min-w-0">
        <ReviewLink of={one} />
        <p className="text-sm text-base-content/75">
          {one.topic}
          {one.recall !== null && `; still known with ${percent(one.recall)}`}
          {one.due &&
            `; ${one.due < today ? 'due since' : one.due === today ? 'due' : 'comes back on'} ${one.due === today ? 'today' : weekday(one.due)}`}
        </p>
        {saying.isError && (
          <p role="alert" className="text-error">
            {saying.error.message}
          </p>
        )}
      </div>
      <span className="flex flex-wrap gap-x-4 max-sm:col-start-2">
        {one.due === null ? (
          small('Let it come back', { suspended: false, days: null }, 'Let it come back')
        ) : (
          <>
            {small('In 3 days', { suspended: false, days: 3 }, 'Not before three days from now')}
            {small('In 2 weeks', { suspended: false, days: 14 }, 'Not before two weeks from now')}
            {small('Stay away', { suspended: true, days: null }, 'Let it stay away')}
          </>
        )}
      </span>
    </li>
  );
}

/** Four weeks, Monday to Sunday, each day with what falls on it. */
function Weeks({ view: { days, later, examDate } }: { view: Revisits }) {
  const before = sinceMonday(Date.parse(days[0]?.date ?? ''));
  const most = Math.max(1, ...days.map(({ n }) => n));
  return (
    <Figure
      title="The next four weeks"
      evidence={`Today with what is overdue.${later > 0 ? ` ${later} come back later.` : ''}${examDate ? ` Nothing later than the day before the exam, ${weekday(examDate)}.` : ''}`}
    >
      <ol className="grid grid-cols-7 gap-1 text-center text-sm">
        {['M', 'T', 'W', 'T', 'F', 'S', 'S'].map((name, i) => (
          <li key={i} aria-hidden="true" className="text-base-content/75">
            {name}
          </li>
        ))}
        {before > 0 && <li aria-hidden="true" style={{ gridColumn: `span ${before}` }} />}
        {days.map(({ date, n }, i) => (
          <li
            key={date}
            className={clsx(
              'relative grid h-11 content-center rounded-selector border',
              i === 0 ? 'border-2 border-primary' : 'border-base-300',
            )}
          >
            <span
              aria-hidden="true"
              className="absolute inset-x-0 bottom-0 bg-primary/25"
              style={{ height: `${(100 * n) / most}%` }}
            />
            <span className="relative">
              <span className="sr-only">{weekday(date)}: </span>
              {n === 0 ? <span className="text-base-content/60">·</span> : <strong>{n}</strong>}
            </span>
          </li>
        ))}
      </ol>
    </Figure>
  );
}
