import { useQuery } from '@tanstack/react-query';
import { Navigate, useParams } from 'react-router';
import { briefing } from '../../api/queries';
import { ButtonLink } from '../../ui/Button';
import { Failure } from '../../ui/Failure';
import { Loading } from '../../ui/Loading';
import { Table } from '../../ui/Table';
import { useTitle } from '../../ui/useTitle';
import { count, duration, MODES } from '../../ui/words';

const RULES = {
  tutor: [
    'There is no clock.',
    'Check an answer to see what is right and why. A checked answer can no longer be changed.',
  ],
  timed: [
    'The clock is the server’s: closing the page or changing your computer’s time does not change it.',
    'Answers and reasons come after you hand in. At zero, the test is handed in as it stands.',
  ],
  untimed: ['There is no clock.', 'Answers and reasons come after you hand in.'],
};

export function Component() {
  useTitle('Briefing');
  const { sitting = '' } = useParams();
  const page = useQuery(briefing(sitting));
  if (page.isPending) return <Loading />;
  if (page.isError) return <Failure error={page.error} retry={() => void page.refetch()} />;
  const { data } = page;
  if (data.status === 'handed_in') return <Navigate to={`/result/${sitting}`} replace />;
  return (
    <div className="grid gap-6">
      <div>
        <p className="text-base-content/75">Briefing</p>
        <h1 className="text-2xl font-bold">{data.title}</h1>
      </div>
      <div className="grid items-start gap-x-12 gap-y-6 lg:grid-cols-[2fr_3fr]">
        <div className="grid gap-6">
          <dl className="grid grid-cols-[auto_1fr] gap-x-6 gap-y-2 text-lg">
            <dt>Questions</dt>
            <dd className="font-bold">{count(data.questions, 'question')}</dd>
            <dt>Marks</dt>
            <dd className="font-bold">{data.marks}</dd>
            <dt>How</dt>
            <dd className="font-bold">{MODES[data.mode]}</dd>
            {data.limitMs !== null && (
              <>
                <dt>Time</dt>
                <dd className="font-bold">
                  {duration(data.limitMs)}
                  {data.extraTime !== '1' && (
                    <span className="font-normal"> (with your extra time, × {data.extraTime})</span>
                  )}
                </dd>
              </>
            )}
            {data.msPerMark !== null && (
              <>
                <dt>Pace</dt>
                <dd className="font-bold">{duration(data.msPerMark)} a mark</dd>
              </>
            )}
          </dl>
          <div className="flex flex-wrap gap-3">
            <ButtonLink weight="main" to={`/sit/${data.id}`}>
              {data.status === 'open' ? 'Go on' : 'Begin'}
            </ButtonLink>
            <ButtonLink to="/">Later</ButtonLink>
          </div>
        </div>
        <div className="grid gap-6">
          {data.sections.length > 0 && (
            <Table
              caption="Sections"
              head={
                <tr>
                  <th scope="col">Section</th>
                  <th scope="col">Questions</th>
                  <th scope="col">Marks each</th>
                  <th scope="col">A wrong answer</th>
                </tr>
              }
            >
              {data.sections.map((section) => (
                <tr key={section.name}>
                  <th scope="row">{section.name}</th>
                  <td>{section.questions}</td>
                  <td>{section.marks}</td>
                  <td>{section.penalty ? `costs ${section.penalty} of its marks` : 'costs nothing'}</td>
                </tr>
              ))}
            </Table>
          )}
          <ul className="grid list-disc gap-1 pl-5">
            {RULES[data.mode].map((rule) => (
              <li key={rule}>{rule}</li>
            ))}
            {data.mode === 'timed' && (
              <li>
                {data.pausable
                  ? 'You may pause; a pause stops the clock.'
                  : 'As in the real exam, there is no pause: the clock goes on even when the page is closed.'}
              </li>
            )}
            {data.breaks > 0 && (
              <li>
                You may take {data.breaks === 1 ? 'one break' : `${data.breaks} breaks`}. A break does not stop the
                clock, and closes the questions seen before it.
              </li>
            )}
            {data.readingMs > 0 && <li>{duration(data.readingMs)} of the time are meant for reading first.</li>}
            <li>Every answer is saved as you make it. You can stop and come back.</li>
          </ul>
        </div>
      </div>
    </div>
  );
}
