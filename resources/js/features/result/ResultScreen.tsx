import { useQuery } from '@tanstack/react-query';
import { Fragment } from 'react';
import { useLocation, useParams } from 'react-router';
import { Refused, type View } from '../../api/client';
import { result } from '../../api/queries';
import { ButtonLink } from '../../ui/Button';
import { Empty } from '../../ui/Empty';
import { Failure } from '../../ui/Failure';
import { Loading } from '../../ui/Loading';
import { Meter } from '../../ui/Meter';
import { Notice } from '../../ui/Notice';
import { OUTCOMES, OutcomeMark, type OutcomeName } from '../../ui/Outcome';
import { Table } from '../../ui/Table';
import { useTitle } from '../../ui/useTitle';
import { count, dayTime, duration, MODES, percent } from '../../ui/words';
import { Habits } from './Habits';

const STATUS = { above: 'Above the cut', below: 'Below the cut', unsettled: 'Unsettled' };

export function Component() {
  useTitle('Result');
  const { sitting = '' } = useParams();
  const page = useQuery(result(sitting));
  if (page.isPending) return <Loading what="Marking your test" />;
  if (page.isError) {
    if (page.error instanceof Refused && page.error.problem.reason === 'not_handed_in') {
      return (
        <Empty title="This sitting has not been handed in yet.">
          <ButtonLink weight="main" to={`/sit/${sitting}`}>
            Go on with it
          </ButtonLink>
        </Empty>
      );
    }
    return <Failure error={page.error} retry={() => void page.refetch()} />;
  }
  return <Result result={page.data} />;
}

function Result({ result }: { result: View<'Result'> }) {
  const { tally } = result;
  const late = (useLocation().state as { late?: { answers: number; why: string | null } } | null)?.late;
  const wrong = tally.missed + tally.partly + tally.leftBlank;
  return (
    <div className="grid gap-8">
      <div>
        <p className="text-base-content/75">
          {MODES[result.mode]}, handed in on {dayTime(result.endedAt)}
          {result.byClock && ' when time ran out'}
        </p>
        <h1 className="text-2xl font-bold">{result.title}</h1>
      </div>

      <section aria-label="Marks" className="grid gap-x-10 gap-y-6 md:grid-cols-[auto_1fr] md:items-center">
        <div>
          <p className="text-5xl font-bold">
            {tally.marks}
            <span className="text-2xl font-normal"> of {tally.possible} marks</span>
          </p>
          {result.scaled && (
            <p className="mt-2 text-xl">
              {result.scaled.passes ? 'Passed' : 'Not passed'}: <strong>{result.scaled.score}</strong> of{' '}
              {result.scaled.high} on the exam’s scale, where {result.scaled.cut} passes.
            </p>
          )}
          <dl className="mt-3 grid grid-cols-[auto_auto] justify-start gap-x-4">
            <dt>Of the whole test</dt>
            <dd className="font-bold">{tally.shareOfAll === null ? '–' : `${tally.shareOfAll} %`}</dd>
            <dt>Of what you answered</dt>
            <dd className="font-bold">{tally.shareOfAnswered === null ? '–' : `${tally.shareOfAnswered} %`}</dd>
            <dt>Answered</dt>
            <dd className="font-bold">
              {tally.answered} of {tally.questions}
            </dd>
            <dt>Time</dt>
            <dd className="font-bold">
              {duration(result.activeMs)}
              {result.limitMs !== null && <span className="font-normal"> of {duration(result.limitMs)}</span>}
            </dd>
          </dl>
        </div>
        <div className="max-w-xl">
          <Meter share={Number(tally.shareOfAll ?? 0)} cut={Number(result.cut)} />
          <p className="mt-1 text-base-content/75">The mark on the bar is the cut of the real exam, {result.cut} %.</p>
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
        </div>
      </section>

      {late && late.answers > 0 && (
        <Notice tone="warn">
          {count(late.answers, 'answer')} {late.answers === 1 ? 'does' : 'do'} not count. {late.why}
        </Notice>
      )}

      {tally.pending > 0 && result.sections.length > 0 && (
        <Notice>
          The score on the exam’s scale comes when your {count(tally.pending, 'written answer')}{' '}
          {tally.pending === 1 ? 'is' : 'are'} marked: look for “To be marked” in the review.
        </Notice>
      )}

      <section aria-label="In short" className="max-w-[75ch] border-l-4 border-accent pl-4 text-lg">
        <p className="font-bold">{result.opening}</p>
        {result.facts.map((fact) => (
          <p key={fact}>{fact}</p>
        ))}
      </section>

      {!result.counts && (
        <Notice>
          Fewer than 80 % of the questions were answered, so this sitting stays out of comparisons with others.
        </Notice>
      )}

      <div className="flex flex-wrap gap-3">
        <ButtonLink weight="main" to={`/review/${result.sitting}`}>
          Review each question
        </ButtonLink>
        {wrong > 0 && (
          <ButtonLink to="/build?pools=missed,partly,left_blank">Build a test from what went wrong</ButtonLink>
        )}
        <ButtonLink to="/build">Build another</ButtonLink>
      </div>

      {result.sections.length > 0 && (
        <section aria-labelledby="sections">
          <h2 id="sections" className="mb-2 text-lg font-bold">
            By section
          </h2>
          <Table caption="Result by section" head={<Head of="Section" />}>
            {result.sections.map((section) => (
              <Line key={section.code} group={section} cut={result.cut} />
            ))}
          </Table>
        </section>
      )}

      <section aria-labelledby="topics">
        <h2 id="topics" className="mb-2 text-lg font-bold">
          By topic
        </h2>
        <Table caption="Result by topic" head={<Head of="Topic" />}>
          {result.topics.map((topic) => (
            <Fragment key={topic.code}>
              <Line group={topic} cut={result.cut} />
              {topic.parts.map((sub) => (
                <Line key={sub.code} group={sub} cut={result.cut} sub />
              ))}
            </Fragment>
          ))}
        </Table>
        <p className="mt-3 max-w-[75ch] text-sm text-base-content/75">
          The shares are of the marks of what is marked. Eight times in ten, what you can do lies in the range beside
          it. “Unsettled” means that this range holds the cut, or that there are too few questions to tell.{' '}
          {count(tally.questions, 'question')} in this test.
        </p>
      </section>

      <Habits result={result} />
    </div>
  );
}

function between({ low, high }: View<'Group'>): string {
  return `between ${Math.round(100 * low)} and ${Math.round(100 * high)} %`;
}

function Head({ of }: { of: string }) {
  return (
    <tr>
      <th scope="col">{of}</th>
      <th scope="col">Marks</th>
      <th scope="col" className="w-1/4">
        Share
      </th>
      <th scope="col">Blank</th>
      <th scope="col">Mean time</th>
      <th scope="col">Against the cut</th>
    </tr>
  );
}

function Line({ group, cut, sub }: { group: View<'Group'>; cut: string; sub?: boolean }) {
  const { tally } = group;
  const blank = tally.leftBlank + tally.notReached;
  return (
    <tr className={sub ? 'text-base-content/85' : 'font-bold'}>
      <th scope="row" className={sub ? 'border-t border-base-300 pl-5 font-normal' : 'border-t border-base-300'}>
        {group.name}
      </th>
      <td className="whitespace-nowrap">
        {tally.marks} of {tally.possible}
      </td>
      <td>
        <div className="flex items-center gap-3">
          <Meter share={100 * (group.share ?? 0)} cut={Number(cut)} />
          <span className="whitespace-nowrap">{group.share === null ? '–' : percent(group.share)}</span>
        </div>
      </td>
      <td>{blank || '–'}</td>
      <td className="whitespace-nowrap">{tally.meanMs === null ? '–' : duration(tally.meanMs)}</td>
      <td className="whitespace-nowrap">
        {STATUS[group.status]}
        <span className="block text-sm font-normal text-base-content/75">
          {group.thin ? `on only ${count(tally.questions, 'question')}` : between(group)}
        </span>
      </td>
    </tr>
  );
}
