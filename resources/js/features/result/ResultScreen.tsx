import { useQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import { useLocation, useParams } from 'react-router';
import { api, ask, type View } from '../../api/client';
import { result } from '../../api/queries';
import { useExamIs } from '../../api/useExam';
import { useBegin } from '../../api/useBegin';
import { Button, ButtonLink } from '../../ui/Button';
import { Failure } from '../../ui/Failure';
import { Loading } from '../../ui/Loading';
import { Notice } from '../../ui/Notice';
import { useTitle } from '../../ui/useTitle';
import { count, dayTime, duration, MODES, signed, tight, wholePercent } from '../../ui/words';
import { Breakdowns } from './Breakdowns';
import { Expected } from './Expected';
import { FootingFields } from './FootingFields';
import { AGAIN } from './lines';
import { TestNote } from '../library/TestNote';
import { NextSteps } from './NextSteps';
import { NotYet } from './NotYet';
import { Outcomes } from './Outcomes';
import { Place } from './Place';
import { QuestionTable } from './QuestionTable';
import { SecondThoughts } from './SecondThoughts';
import { TakeAway } from './TakeAway';
import { TimeCourse } from './TimeCourse';

export function Component() {
  useTitle('Result');
  const { sitting = '' } = useParams();
  const page = useQuery(result(sitting));
  if (page.isPending) return <Loading what="Marking your test" />;
  if (page.isError) return <NotYet sitting={sitting} error={page.error} again={() => void page.refetch()} />;
  return <Result result={page.data} />;
}

function Result({ result }: { result: View<'Result'> }) {
  const { tally } = result;
  useExamIs(result.exam);
  const late = (useLocation().state as { late?: { answers: number; why: string | null } } | null)?.late;
  return (
    <div className="grid gap-8">
      <div>
        <p className="text-base-content/75">
          {MODES[result.mode]}, handed in on {dayTime(result.endedAt)}
          {result.byClock && ' when time ran out'}
        </p>
        <h1 className="text-2xl font-bold">{result.title}</h1>
      </div>

      {result.untold > 0 && (
        <Notice>
          {count(result.untold, 'question')} {result.untold === 1 ? 'is' : 'are'} left out of all that is said here: a
          test of yours whose clock is not over still asks {result.untold === 1 ? 'it' : 'them'}. Hand that in, or
          delete it, and {result.untold === 1 ? 'it comes' : 'they come'} back.
        </Notice>
      )}

      {result.expected && <Expected result={result} expected={result.expected} />}
      <div
        className={clsx(
          'grid items-start gap-x-10 gap-y-6',
          result.expected
            ? 'md:grid-cols-[minmax(0,1fr)_auto]'
            : 'md:grid-cols-[minmax(0,1fr)_auto] lg:grid-cols-[auto_minmax(0,1fr)_auto]',
        )}
      >
        {!result.expected && <Marks result={result} />}
        <section
          aria-label="In short"
          className="max-w-[65ch] border-l-4 border-accent pl-4 text-lg md:max-lg:order-last md:max-lg:col-span-full"
        >
          <p className="font-bold">{tight(result.opening)}</p>
          {result.facts.map((fact) => (
            <p key={fact}>{tight(fact)}</p>
          ))}
        </section>
        <WhatNext result={result} />
      </div>

      {late && late.answers > 0 && (
        <Notice tone="warn">
          {count(late.answers, 'answer')} {late.answers === 1 ? 'does' : 'do'} not count. {late.why}
        </Notice>
      )}

      {result.waited && (
        <Notice>
          Time ran out while the device had no contact. What it did in time counts here, and this result is left out of
          every comparison with others.
        </Notice>
      )}

      {tally.pending > 0 && result.breakdowns.some(({ by }) => by === 'section') && (
        <Notice>
          The score on the exam’s scale comes when your {count(tally.pending, 'written answer')}{' '}
          {tally.pending === 1 ? 'is' : 'are'} marked: look for “To be marked” in the review.
        </Notice>
      )}

      {result.anotherWay && (
        <Notice>
          These are questions of the exam with their marks, but it was not sat as in the exam: it has no score on the
          exam’s scale, and is compared with nobody’s.
        </Notice>
      )}

      {!result.counts && (
        <Notice>
          Fewer than 80 % of the questions were answered, so this sitting stays out of comparisons with others.
        </Notice>
      )}

      <NextSteps result={result} />
      <Breakdowns result={result} />
      {tally.answered > 0 && (
        <>
          <FootingFields result={result} />
          <TimeCourse result={result} />
          <SecondThoughts result={result} />
        </>
      )}
      <Place result={result} />
      <QuestionTable result={result} />
      <TestNote sitting={result.sitting} written={{ title: result.noteTitle, note: result.note }} />
      <TakeAway result={result} />
    </div>
  );
}

/** What it came to: on the exam's scale where it was sat whole under its rules, else in marks. */
function Marks({ result }: { result: View<'Result'> }) {
  const { tally, scaled } = result;
  const marks = `${signed(tally.marks)} of ${tally.possible} marks`;
  return (
    <section aria-label="Marks" className="grid gap-1 lg:max-w-100">
      <p className="text-5xl font-bold">
        {scaled ? scaled.score : signed(tally.marks)}
        <span className="text-2xl font-normal">
          {scaled ? ` of ${scaled.high}, the cut is ${scaled.cut}` : ` of ${tally.possible} marks`}
        </span>
      </p>
      <p className="text-lg">
        {scaled && (
          <>
            <strong>{scaled.passes ? 'Passed.' : 'Not yet.'}</strong> {marks},{' '}
          </>
        )}
        {shares(result)}
      </p>
      {tally.takenOff !== '0' && (
        <p>
          {tally.earned} earned, {tally.takenOff} taken off by wrong answers.
        </p>
      )}
      <p className="text-base-content/75">
        {duration(result.activeMs)}
        {result.limitMs !== null && ` of ${duration(result.limitMs)}`}
      </p>
      <Outcomes tally={tally} />
    </section>
  );
}

/** Both shares, as far as they differ. */
function shares({ share, tally }: View<'Result'>): string {
  const { shareOfAnswered, answered, questions } = tally;
  if (share === null) return 'Nothing of it is marked yet.';
  const all = tight(`${signed(share)} % of all`);
  if (answered === questions) return `${all}; you answered all ${questions}`;
  if (shareOfAnswered === null) return `${all}; you answered ${answered} of ${questions}`;
  return `${all}, ${wholePercent(shareOfAnswered)} of the ${answered} of ${questions} you answered`;
}

/** What a tired person may do now. */
function WhatNext({ result }: { result: View<'Result'> }) {
  const { sitting, tally, expected, same, fresh } = result;
  const begin = useBegin();
  const again = (how: 'missed' | 'same' | 'fresh') =>
    begin.go(() => ask(api.POST('/api/sittings/{sitting}/again', { params: { path: { sitting } }, body: { how } })));
  const wrong = tally.missed + tally.partly + tally.leftBlank;
  return (
    <nav aria-label="What next" className="flex flex-wrap gap-2 md:w-60 md:flex-col md:items-stretch print:hidden">
      {tally.pending > 0 && (
        <ButtonLink weight="main" to={`/review/${sitting}?show=pending`}>
          Mark {tally.pending === 1 ? 'your written answer' : `your ${tally.pending} written answers`}
        </ButtonLink>
      )}
      <ButtonLink {...(tally.pending === 0 && { weight: 'main' as const })} to={`/review/${sitting}`}>
        Review each question
      </ButtonLink>
      {wrong > 0 && (
        <Button disabled={begin.isPending} onClick={() => again('missed')}>
          Again: {AGAIN.toLowerCase()} ({wrong})
        </Button>
      )}
      {expected && <ButtonLink to="/ready">Another that adapts</ButtonLink>}
      {same && (
        <Button disabled={begin.isPending} onClick={() => again('same')}>
          The same again
        </Button>
      )}
      {fresh && !expected && (
        <Button disabled={begin.isPending} onClick={() => again('fresh')}>
          Fresh ones, same recipe
        </Button>
      )}
      {!fresh && <ButtonLink to="/build">Build another</ButtonLink>}
      {begin.isError && <Failure error={begin.error} />}
    </nav>
  );
}
