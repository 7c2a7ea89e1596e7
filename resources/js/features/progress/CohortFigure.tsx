import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, ask, type View } from '../../api/client';
import { cohort as cohortOf } from '../../api/queries';
import { Failure } from '../../ui/Failure';
import { Figure } from '../../ui/Figure';
import { Loading } from '../../ui/Loading';
import { Table } from '../../ui/Table';
import { Tick } from '../../ui/Tick';
import { useKeptTick } from '../../ui/useKeptTick';
import { percent } from '../../ui/words';
import { Distribution } from '../result/Distribution';
import { amongOthers } from './amongOthers';

type Cohort = View<'Cohort'>;

/** Where one stands among all candidates of the exam, and whether one is part of that. */
export function CohortFigure({ exam, cut }: { exam: string; cut: number }) {
  const page = useQuery(cohortOf(exam));
  return (
    <section aria-labelledby="cohort" className="grid gap-3">
      <h2 id="cohort" className="text-lg font-bold">
        Beside the others
      </h2>
      {page.isPending && <Loading what="Looking at the others" />}
      {page.isError && <Failure error={page.error} retry={() => void page.refetch()} />}
      {page.data && <Beside exam={exam} cohort={page.data} cut={cut} />}
    </section>
  );
}

function Beside({ exam, cohort, cut }: { exam: string; cohort: Cohort; cut: number }) {
  const topics = cohort.topics.filter(({ percentile, questions }) => percentile !== null || questions > 0);
  return (
    <>
      <p className="max-w-[75ch] text-base-content/75">
        {amongOthers(cohort)}{' '}
        {cohort.sitting && (
          <Link to={`/result/${cohort.sitting}`} className="text-primary underline underline-offset-4">
            Your latest whole exam
          </Link>
        )}
      </p>
      <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,2fr)_minmax(0,3fr)]">
        <div className="grid gap-4">
          {cohort.steps.length > 0 && <Distribution cohort={cohort} cut={cut} />}
          <TakesPart exam={exam} takesPart={cohort.takesPart} />
        </div>
        {topics.length > 0 && (
          <Figure
            title="Topic by topic"
            evidence="“Whole exam”: your latest paper or rehearsal beside the others’ latest. “Same questions”: what you made of questions you met for the first time, beside what others made of the very same; only questions that at least 20 others have met."
          >
            <Topics topics={topics} />
          </Figure>
        )}
      </div>
    </>
  );
}

function Topics({ topics }: { topics: readonly View<'CohortTopic'>[] }) {
  const share = (of: number | null) => (of === null ? '–' : percent(of));
  return (
    <Table
      caption="Topic by topic beside the others"
      tight
      head={
        <>
          <tr>
            <td className="border-t-0!" />
            <th scope="colgroup" colSpan={3}>
              Whole exam
            </th>
            <th scope="colgroup" colSpan={3}>
              Same questions
            </th>
          </tr>
          <tr>
            <th scope="col">Topic</th>
            <th scope="col">You</th>
            <th scope="col">Others</th>
            <th scope="col">Below you</th>
            <th scope="col">You</th>
            <th scope="col">Others</th>
            <th scope="col">Questions</th>
          </tr>
        </>
      }
    >
      {topics.map((topic) => (
        <tr key={topic.code}>
          <th scope="row" className="font-normal">
            {topic.name}
          </th>
          <td className="font-bold">{share(topic.mine)}</td>
          <td>{share(topic.others)}</td>
          <td>{share(topic.percentile)}</td>
          <td className="font-bold">{share(topic.mineSame)}</td>
          <td>{share(topic.othersSame)}</td>
          <td>{topic.questions}</td>
        </tr>
      ))}
    </Table>
  );
}

function TakesPart({ exam, takesPart }: { exam: string; takesPart: boolean }) {
  const part = useKeptTick(
    takesPart,
    (yes) => ask(api.PUT('/api/exams/{exam}/cohort', { params: { path: { exam } }, body: { takesPart: yes } })),
    { meta: { invalidates: [cohortOf(exam).queryKey] } },
  );
  return (
    <Figure title="Your part in it">
      <Tick {...part.box}>Count my results among the others’, without my name</Tick>
      {part.error && (
        <p role="alert" className="text-error">
          {part.error.message}
        </p>
      )}
      <p className="text-sm text-base-content/75">
        {takesPart
          ? 'They help to tell how difficult each question is. Switch this off, and your figures leave it.'
          : 'Your results left the comparison at once, and leave what is known of each question within minutes. You still see the others.'}
      </p>
    </Figure>
  );
}
