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
import { count, dayTime, duration, MODES } from '../../ui/words';
import { Headline, Insight } from '../insight/Insight';

/** Fewer questions than this say little, whatever the formula says. */
const THIN = 5;

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
  const late = (useLocation().state as { late?: number } | null)?.late ?? 0;
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

      {late > 0 && (
        <Notice tone="warn">
          {count(late, 'answer')} reached the server more than five seconds after the end and{' '}
          {late === 1 ? 'does' : 'do'} not count.
        </Notice>
      )}

      {tally.pending > 0 && result.sections.length > 0 && (
        <Notice>
          The score on the exam’s scale comes when your {count(tally.pending, 'written answer')}{' '}
          {tally.pending === 1 ? 'is' : 'are'} marked: look for “To be marked” in the review.
        </Notice>
      )}

      <Headline sitting={result.sitting} />

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
              <Line key={section.code} topic={section} cut={result.cut} />
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
              <Line topic={topic} cut={result.cut} />
              {topic.subtopics.map((sub) => (
                <Line key={sub.code} topic={sub} cut={result.cut} sub />
              ))}
            </Fragment>
          ))}
        </Table>
        <p className="mt-3 max-w-[75ch] text-sm text-base-content/75">
          “Unsettled” means that too few questions were asked to tell: the 80 % range of your share holds the cut.{' '}
          {count(tally.questions, 'question')} in this test.
        </p>
      </section>

      <Insight sitting={result.sitting} />
    </div>
  );
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

function Line({ topic, cut, sub }: { topic: View<'TopicTally'>; cut: string; sub?: boolean }) {
  const { tally } = topic;
  return (
    <tr className={sub ? 'text-base-content/85' : 'font-bold'}>
      <th scope="row" className={sub ? 'border-t border-base-300 pl-5 font-normal' : 'border-t border-base-300'}>
        {topic.name}
      </th>
      <td className="whitespace-nowrap">
        {tally.marks} of {tally.possible}
      </td>
      <td>
        <div className="flex items-center gap-3">
          <Meter share={Number(tally.shareOfAll ?? 0)} cut={Number(cut)} />
          <span className="whitespace-nowrap">{tally.shareOfAll === null ? '–' : `${tally.shareOfAll} %`}</span>
        </div>
      </td>
      <td>{tally.leftBlank || '–'}</td>
      <td className="whitespace-nowrap">{tally.meanMs === null ? '–' : duration(tally.meanMs)}</td>
      <td className="whitespace-nowrap">
        {STATUS[topic.status]}
        {tally.questions < THIN && (
          <span className="block text-sm font-normal text-base-content/75">
            on only {count(tally.questions, 'question')}
          </span>
        )}
      </td>
    </tr>
  );
}
