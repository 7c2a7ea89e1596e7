import { useQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import type { View } from '../../api/client';
import { against } from '../../api/queries';
import { useExamIs } from '../../api/useExam';
import { Failure } from '../../ui/Failure';
import { Figure } from '../../ui/Figure';
import { Loading } from '../../ui/Loading';
import { Outcome } from '../../ui/Outcome';
import { Table } from '../../ui/Table';
import { points } from '../../ui/points';
import { useTitle } from '../../ui/useTitle';
import { count, dayTime, duration, MODES, percent, wholePercent } from '../../ui/words';
import { changed, shifted } from './against';
import { LEANING } from './sureness';

type Against = View<'Against'>;
type Side = View<'Side'>;

/** Two results of one candidate, the earlier on the left. */
export function Component() {
  useTitle('Two results');
  const { sitting = '', other = '' } = useParams();
  const page = useQuery(against(sitting, other));
  useExamIs(page.data?.exam);
  if (page.isPending) return <Loading what="Holding them against each other" />;
  if (page.isError) return <Failure error={page.error} retry={() => void page.refetch()} />;
  const view = page.data;
  return (
    <div className="grid gap-8">
      <div>
        <h1 className="text-2xl font-bold">Two results</h1>
        <p className="max-w-[75ch] border-l-4 border-accent pl-4 text-lg">{shifted(view)}</p>
      </div>
      <Sides view={view} />
      {view.topics.length > 0 && <Topics view={view} />}
      <Again view={view} />
    </div>
  );
}

function Sides({ view: { earlier, later } }: { view: Against }) {
  const row = (name: string, of: (side: Side) => ReactNode) => (
    <tr>
      <th scope="row" className="font-normal">
        {name}
      </th>
      <td>{of(earlier)}</td>
      <td>{of(later)}</td>
    </tr>
  );
  return (
    <Table
      caption="In all"
      tight
      head={
        <tr>
          <td className="border-t-0!" />
          {[earlier, later].map((side, i) => (
            <th key={side.sitting} scope="col" className="w-2/5 align-bottom">
              <span className="block font-normal">{i === 0 ? 'Earlier' : 'Later'}</span>
              <Link
                to={`/result/${side.sitting}`}
                className="inline-flex min-h-11 items-center text-base text-primary underline underline-offset-4 pointer-fine:min-h-7"
              >
                {side.title}
              </Link>
            </th>
          ))}
        </tr>
      }
    >
      {row('Handed in', ({ endedAt }) => dayTime(endedAt))}
      {row('Mode', ({ mode }) => MODES[mode])}
      {row('Share of marks', ({ whole }) => (
        <strong className="text-2xl">{wholePercent(whole.tally.shareOfAll)}</strong>
      ))}
      {row('Answered', ({ whole: { tally }, counts }) => (
        <>
          {tally.answered} of {tally.questions}
          {!counts && <span className="block text-sm text-base-content/75">fewer than 80 %</span>}
        </>
      ))}
      {row('Right, partly, missed', ({ whole: { tally } }) => `${tally.right}, ${tally.partly}, ${tally.missed}`)}
      {row('Time', ({ activeMs }) => duration(activeMs))}
      {row('A question', ({ whole: { tally } }) => (tally.meanMs === null ? '–' : duration(tally.meanMs)))}
      {row('Said against true', ({ calibration }) =>
        calibration ? `${points(calibration.off)}, ${LEANING[calibration.leaning] || 'as said'}` : 'nothing was said',
      )}
    </Table>
  );
}

function Topics({ view }: { view: Against }) {
  return (
    <Figure
      title="Topic by topic"
      evidence="Share of the marks of what is marked. A change is called only where both rest on five questions and more, and its range of 95 % (Newcombe) leaves out nothing at all."
    >
      <Table
        caption="Topic by topic"
        tight
        head={
          <tr>
            <th scope="col">Topic</th>
            <th scope="col">Earlier</th>
            <th scope="col">Later</th>
            <th scope="col">Change</th>
            <th scope="col">Likely</th>
          </tr>
        }
      >
        {view.topics.map(({ name, earlier, later, shift }) => (
          <tr key={name}>
            <th scope="row" className="font-normal">
              {name}
            </th>
            <td>
              <Share of={earlier} />
            </td>
            <td>
              <Share of={later} />
            </td>
            {!shift || earlier?.thin || later?.thin ? (
              <td colSpan={2} className="text-sm text-base-content/75">
                too few to tell
              </td>
            ) : (
              <>
                <td className={clsx('whitespace-nowrap', shift.clear && 'font-bold')}>{changed(shift)}</td>
                <td className="whitespace-nowrap">
                  {points(shift.low)} to {points(shift.high)}
                </td>
              </>
            )}
          </tr>
        ))}
      </Table>
    </Figure>
  );
}

function Share({ of }: { of: View<'Group'> | null }) {
  if (!of) return <span className="text-base-content/75">not asked</span>;
  return (
    <span className="whitespace-nowrap">
      {of.share === null ? '–' : percent(of.share)}{' '}
      <span className="text-sm text-base-content/75">of {of.tally.questions}</span>
    </span>
  );
}

function Again({ view: { again, earlier, later } }: { view: Against }) {
  if (again.length === 0) return <p>The two have no question in common.</p>;
  const better = again.filter(({ by }) => (by ?? 0) > 0).length;
  const worse = again.filter(({ by }) => (by ?? 0) < 0).length;
  return (
    <Figure
      title="Questions in both"
      evidence={`${count(again.length, 'question')}: ${better} better, ${worse} worse, ${again.length - better - worse} as before.`}
    >
      <Table
        caption="Questions in both"
        tight
        head={
          <tr>
            <th scope="col">Question</th>
            <th scope="col">Earlier</th>
            <th scope="col">Later</th>
            <th scope="col">
              <span className="sr-only">Change</span>
            </th>
          </tr>
        }
      >
        {again.map((one) => (
          <tr key={one.laterPosition}>
            <th scope="row" className="max-w-96 font-normal">
              <Link
                to={`/review/${later.sitting}/${one.laterPosition + 1}`}
                className="inline-flex min-h-11 items-center underline-offset-4 hover:underline pointer-fine:min-h-7"
              >
                <span className="line-clamp-1">{one.excerpt}</span>
              </Link>
              <span className="block text-sm text-base-content/75">{one.topic}</span>
            </th>
            <td>
              <Link
                to={`/review/${earlier.sitting}/${one.earlierPosition + 1}`}
                className="inline-flex min-h-11 items-center pointer-fine:min-h-7"
              >
                <Outcome outcome={one.earlier} />
              </Link>
            </td>
            <td>
              <Outcome outcome={one.later} />
            </td>
            <td>{one.by === null || one.by === 0 ? '' : one.by > 0 ? '▲ better' : '▼ worse'}</td>
          </tr>
        ))}
      </Table>
    </Figure>
  );
}
