import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { View } from '../../api/client';
import { progress as progressOf } from '../../api/queries';
import { ButtonLink } from '../../ui/Button';
import { Covered } from '../../ui/Covered';
import { Empty } from '../../ui/Empty';
import { Failure } from '../../ui/Failure';
import { Figure } from '../../ui/Figure';
import { Loading } from '../../ui/Loading';
import { OfExam } from '../../ui/OfExam';
import { useTitle } from '../../ui/useTitle';
import { count, percent } from '../../ui/words';
import { Bests } from './Bests';
import { Calendar } from './Calendar';
import { CohortFigure } from './CohortFigure';
import { DoingWell } from './DoingWell';
import { Months } from './Months';
import { missing, OutlookFigure } from './OutlookFigure';
import { Skyline } from './Skyline';
import { TopicRows } from './TopicRows';
import { TrendFigure } from './TrendFigure';

export function Component() {
  useTitle('Progress');
  return <OfExam>{(exam) => <Progress exam={exam} />}</OfExam>;
}

function Progress({ exam }: { exam: string }) {
  const page = useQuery(progressOf(exam));
  const [open, setOpen] = useState<readonly string[]>([]);
  if (page.isPending) return <Loading what="Working out where you stand" />;
  if (page.isError) return <Failure error={page.error} retry={() => void page.refetch()} />;
  const progress = page.data;
  if (progress.responses === 0) {
    return (
      <div className="grid gap-6">
        <Head progress={progress} />
        <Empty
          title={
            progress.topics.some(({ seen }) => seen > 0)
              ? 'So far your answers came too fast to have been read, or wait to be marked.'
              : 'Nothing has been answered yet.'
          }
        >
          After the first ten questions this page begins to show where you stand, and says how sure it is of that.
          <span className="mt-3 block">
            <ButtonLink weight="main" to="/">
              Begin with ten questions
            </ButtonLink>
          </span>
        </Empty>
      </div>
    );
  }
  return (
    <div className="grid gap-8">
      <div className="grid items-start gap-6 lg:grid-cols-[minmax(0,1fr)_19rem]">
        <div className="grid gap-3">
          <Head progress={progress} />
          <Skyline
            topics={progress.topics}
            cut={progress.cut}
            onOpen={(code) => setOpen([...open.filter((one) => one !== code), code])}
          />
          <p className="max-w-[80ch] text-sm text-base-content/75">
            As wide as its weight in the exam, as high as your estimated mastery; the haze holds it eight times in ten.
            What is hatched under the cut is what it costs you. A column opens to its subtopics below. Rests on{' '}
            {count(progress.responses, 'answer')}.
          </p>
        </div>
        <div className="grid gap-4">
          <OutlookFigure progress={progress} />
          <Bank topics={progress.topics} />
        </div>
      </div>
      <TopicRows
        progress={progress}
        open={open}
        onToggle={(code) => setOpen(open.includes(code) ? open.filter((one) => one !== code) : [...open, code])}
      />
      <div className="grid items-start gap-4 lg:grid-cols-2">
        <div className="grid gap-4">
          <TrendFigure progress={progress} />
          <DoingWell progress={progress} />
        </div>
        <div className="grid gap-4">
          <Months months={progress.months} />
          <Calendar progress={progress} />
          <Bests bests={progress.bests} cut={progress.cut} />
        </div>
      </div>
      <CohortFigure exam={exam} cut={progress.cut} />
    </div>
  );
}

function Head({ progress }: { progress: View<'Progress'> }) {
  const { outlook, topics, examName, responses } = progress;
  const dearest = [...topics].sort((one, other) => (other.stake ?? 0) - (one.stake ?? 0))[0];
  return (
    <div>
      <p className="text-base-content/75">{examName}</p>
      <h1 className="text-2xl font-bold">Where you stand</h1>
      {responses > 0 && (
        <p className="text-lg">
          {outlook ? (
            <>
              You would pass today with a chance of about <strong>{percent(outlook.chance)}</strong> (
              {percent(outlook.low)} to {percent(outlook.high)}).
            </>
          ) : (
            missing(progress)
          )}{' '}
          {dearest && (dearest.stake ?? 0) > 0 && (
            <>
              <strong>{dearest.name}</strong> costs you most: {(dearest.stake ?? 0).toFixed(1)} points.
            </>
          )}
        </p>
      )}
    </div>
  );
}

/** The two numbers people watch grow. */
function Bank({ topics }: { topics: readonly View<'TopicStand'>[] }) {
  const sum = (of: 'all' | 'seen' | 'right') => topics.reduce((all, topic) => all + topic[of], 0);
  const all = { all: sum('all'), seen: sum('seen'), right: sum('right') };
  return (
    <Figure title="Toward all of it, all right">
      <Covered of={all} below />
      <p className="mt-1 text-sm text-base-content/75">
        {percent(all.all ? all.seen / all.all : 0)} of the bank seen
        {all.seen > 0 && `; of that ${percent(all.right / all.seen)} right at the latest look`}.
      </p>
    </Figure>
  );
}
