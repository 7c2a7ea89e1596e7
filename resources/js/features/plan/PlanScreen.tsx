import { useQuery } from '@tanstack/react-query';
import { api, ask, type View } from '../../api/client';
import { plan as planOf } from '../../api/queries';
import { DownloadButton } from '../../ui/DownloadButton';
import { Empty } from '../../ui/Empty';
import { Failure } from '../../ui/Failure';
import { Loading } from '../../ui/Loading';
import { OfExam } from '../../ui/OfExam';
import { Notice } from '../../ui/Notice';
import { fileName } from '../../ui/download';
import { useTitle } from '../../ui/useTitle';
import { ExamDate } from '../today/ExamDate';
import { ThisWeek } from '../today/ThisWeek';
import { HoursForm } from './HoursForm';
import { planned } from './planned';
import { Weeks } from './Weeks';

/** The weeks up to the exam, made anew from where one stands. */
export function Component() {
  useTitle('Plan');
  return <OfExam>{(exam) => <Plan exam={exam} />}</OfExam>;
}

function Plan({ exam }: { exam: string }) {
  const page = useQuery(planOf(exam));
  if (page.isPending) return <Loading what="Laying out your weeks" />;
  if (page.isError) return <Failure error={page.error} retry={() => void page.refetch()} />;
  const plan = page.data;
  return (
    <div className="grid gap-6">
      <div>
        <p className="text-base-content/75">{plan.examName}</p>
        <h1 className="text-2xl font-bold">Plan</h1>
        <ExamDate of={plan} />
        {plan.thisWeek && <ThisWeek week={plan.thisWeek} />}
      </div>
      <div className="grid items-start gap-x-10 gap-y-6 lg:grid-cols-[19rem_minmax(0,1fr)]">
        <HoursForm plan={plan} />
        <Laid plan={plan} />
      </div>
    </div>
  );
}

function Laid({ plan }: { plan: View<'Plan'> }) {
  const { daysToGo, hoursWeek, weeks, missingMs } = plan;
  if (daysToGo === null)
    return <Empty title="When is your exam?">With its date the weeks up to it can be laid out.</Empty>;
  if (daysToGo < 0)
    return <Empty title="The exam is over.">With a new date the weeks up to it are laid out anew.</Empty>;
  if (daysToGo === 0) return <Empty title="The exam is today.">There is nothing left to plan. Good luck.</Empty>;
  if (hoursWeek === null)
    return <Empty title="How many hours a week do you have?">With them the weeks up to your exam are laid out.</Empty>;
  return (
    <section aria-label="Weeks" className="grid gap-4">
      {missingMs > 0 ? (
        <Notice tone="warn">{planned(plan)}</Notice>
      ) : (
        <p className="max-w-[65ch] border-l-4 border-accent pl-4 text-lg">{planned(plan)}</p>
      )}
      <Weeks weeks={weeks} questionMs={plan.questionMs} />
      <p className="max-w-[75ch] text-sm text-base-content/75">
        Revisits that are known to be due come first, then the rehearsal, then half new questions and half where most is
        at stake: open gaps and what you have not seen for a month, none more than once in seven days. What you do not
        get round to is spread over the weeks that are left. New revisits come as you answer.
      </p>
      <div>
        <DownloadButton
          name={fileName(plan.examName, 'ics')}
          make={async () => {
            const path = { params: { path: { exam: plan.exam } } };
            return (await ask(api.GET('/api/exams/{exam}/plan/calendar', path))).text;
          }}
        >
          Into my calendar (iCalendar)
        </DownloadButton>
      </div>
    </section>
  );
}
