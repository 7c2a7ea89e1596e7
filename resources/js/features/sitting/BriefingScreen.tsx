import { useMutation, useQuery } from '@tanstack/react-query';
import { useId, useState } from 'react';
import { Link, Navigate, useParams } from 'react-router';
import { api, ask, type View } from '../../api/client';
import { briefing, queries } from '../../api/queries';
import { useExamIs } from '../../api/useExam';
import { Button, ButtonLink } from '../../ui/Button';
import { Failure } from '../../ui/Failure';
import { Loading } from '../../ui/Loading';
import { Table, TimeRow } from '../../ui/Table';
import { useTitle } from '../../ui/useTitle';
import { count, duration, MODES, percent } from '../../ui/words';
import { Tick } from '../../ui/Tick';
import { PaperChoice } from './PaperChoice';

const RULES = {
  tutor: [
    'There is no clock.',
    'Check an answer to see what is right and why. A checked answer can no longer be changed.',
  ],
  timed: [
    'The clock is the server’s: closing the page or changing your computer’s time does not change it.',
    'Answers and reasons come after you hand in. At zero, the test is handed in as it stands.',
  ],
  untimed: [
    'There is no clock.',
    'Answers and reasons come after you hand in, or when you check all that you have answered.',
  ],
};

/** Where each question has its own time. */
const RULES_IN_TURN = [
  'Each question has its own time. At its zero, or when you go on, the next one has its turn; there is no going back.',
  'The clock is the server’s. Answers and reasons come after the last question.',
];

/** Where the next question goes by the last answer. */
const RULES_ADAPTIVE = [
  'Each question is chosen by your answers so far: harder where you are right, easier where you are not. Half of them missed is nothing to worry about.',
  'One at a time, and there is no going back once you go on. What you leave blank counts as missed.',
  'It ends by itself as soon as it can tell on which side of the cut you are.',
];

function rulesOf(data: View<'Briefing'>): string[] {
  if (data.most !== null) return [...RULES_ADAPTIVE, ...RULES[data.mode]];
  return data.questionMs === null ? RULES[data.mode] : RULES_IN_TURN;
}

/** That it counts, before it does. */
function attemptSaid({ used, attempts }: NonNullable<View<'Briefing'>['series']>): string {
  if (attempts === null) return `Attempt ${used} of a series: it counts, and you may make as many as you like.`;
  const left = attempts - used;
  return `Attempt ${used} of ${attempts}: it counts as soon as you begin. ${
    left === 0 ? 'None is left after it.' : `${left} more ${left === 1 ? 'is' : 'are'} left after it.`
  }`;
}

export function Component() {
  useTitle('Briefing');
  const { sitting = '' } = useParams();
  const page = useQuery(briefing(sitting));
  useExamIs(page.data?.exam);
  const [read, setRead] = useState(false);
  if (page.isPending) return <Loading />;
  if (page.isError) return <Failure error={page.error} retry={() => void page.refetch()} />;
  const { data } = page;
  // Under the rules of the exam nobody begins who has not said that they know them.
  const mustRead = data.sections.length > 0 && data.status === 'not_started' && !data.onPaper;
  const startsClock = data.mode === 'timed' && data.readingMs === 0;
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
            <dd className="font-bold">
              {data.most === null ? count(data.questions, 'question') : `at most ${data.most}`}
            </dd>
            {data.most === null && (
              <>
                <dt>Marks</dt>
                <dd className="font-bold">{data.marks}</dd>
              </>
            )}
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
            {data.questionMs !== null && (
              <>
                <dt>Time</dt>
                <dd className="font-bold">
                  {duration(data.questionMs)} a question
                  {data.extraTime !== '1' && (
                    <span className="font-normal"> (with your extra time, × {data.extraTime})</span>
                  )}
                </dd>
              </>
            )}
            {data.msPerMark !== null && (
              <>
                <dt>Pace</dt>
                <dd className="font-bold">
                  {duration(data.msPerMark)} a mark
                  <Reserve key={data.reserveMs} data={data} />
                </dd>
              </>
            )}
          </dl>
          {data.series && data.status === 'not_started' && <p>{attemptSaid(data.series)}</p>}
          {mustRead && (
            <Tick on={read} onChange={(on) => setRead(on)}>
              I have read how this is sat.
            </Tick>
          )}
          <div className="flex flex-wrap gap-3">
            {data.onPaper ? (
              <ButtonLink weight="main" to={`/answers/${data.id}`}>
                Type in my answers
              </ButtonLink>
            ) : mustRead && !read ? (
              <Button weight="main" disabled title="Say first that you have read how this is sat">
                Begin
              </Button>
            ) : (
              <ButtonLink weight="main" to={`/sit/${data.id}`}>
                {data.status === 'open' ? 'Go on' : startsClock ? 'Start the clock' : 'Begin'}
              </ButtonLink>
            )}
            <ButtonLink to="/">Later</ButtonLink>
          </div>
          {data.status === 'not_started' && !data.onPaper && (
            <p>
              <Link to={`/try/${data.id}`}>Try the screen out first</Link>
              <span className="text-base-content/75">
                : {data.kinds.length === 1 ? 'a question' : 'one question of each kind'}, and nothing counts.
              </span>
            </p>
          )}
          {data.most === null && <PaperChoice data={data} print />}
        </div>
        <div className="grid gap-6">
          {data.reasons.length > 0 && <Reasons reasons={data.reasons} />}
          {data.sections.length > 0 && (
            <Table
              caption="Sections"
              head={
                <tr>
                  <th scope="col">Section</th>
                  <th scope="col">Questions</th>
                  <th scope="col">Marks each</th>
                  <th scope="col">A wrong answer</th>
                  {data.planMs.length > 0 && <th scope="col">Plan</th>}
                </tr>
              }
            >
              {data.sections.map((section, i) => (
                <tr key={section.name}>
                  <th scope="row">{section.name}</th>
                  <td>{section.questions}</td>
                  <td>{section.marksEach}</td>
                  <td>{section.penalty ? `costs ${section.penalty} of its marks` : 'costs nothing'}</td>
                  {data.planMs.length > 0 && <td className="whitespace-nowrap">{duration(data.planMs[i] ?? 0)}</td>}
                </tr>
              ))}
              {data.planMs.length > 0 && data.limitMs !== null && (
                <>
                  {data.readingMs > 0 && (
                    <TimeRow what="Reading, before the first answer" time={duration(data.readingMs)} before={3} />
                  )}
                  {data.reserveMs > 0 && (
                    <TimeRow
                      what={data.breaks > 0 ? 'In reserve, the break too' : 'In reserve'}
                      time={duration(data.reserveMs)}
                      before={3}
                    />
                  )}
                  <TimeRow what="In all" time={duration(data.limitMs)} before={3} />
                </>
              )}
            </Table>
          )}
          {data.rules.length > 0 && (
            <section aria-labelledby="rules">
              <h2 id="rules" className="mb-1 font-bold">
                The rules
              </h2>
              <ol className="grid list-decimal gap-1 pl-5">
                {data.rules.map((rule) => (
                  <li key={rule}>{rule}</li>
                ))}
              </ol>
            </section>
          )}
          {data.rules.length > 0 && <h2 className="-mb-4 font-bold">On this screen</h2>}
          <ul className="grid list-disc gap-1 pl-5">
            {rulesOf(data).map((rule) => (
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
                You may take {data.breaks === 1 ? 'one break' : `${data.breaks} breaks`}
                {data.breakMs > 0 && ` of ${duration(data.breakMs)}`}
                {data.breakFrom !== null && `, once you have seen the first ${data.breakFrom + 1} questions`}. A break
                does not stop the clock, and closes the questions seen before it.
              </li>
            )}
            {data.readingMs > 0 && data.limitMs !== null && (
              <li>
                The first {duration(data.readingMs)} are for reading: you may look at everything and answer nothing.
                Then the clock of {duration(data.limitMs - data.readingMs)} starts by itself, or sooner if you say so.
              </li>
            )}
            <li>
              Every answer is saved as you make it.{' '}
              {data.limitMs === null || data.pausable
                ? 'You can stop and come back.'
                : 'If you leave, the clock goes on; you can come back while it runs.'}
            </li>
          </ul>
        </div>
      </div>
    </div>
  );
}

/** What one means to have left at the end. */
function Reserve({ data }: { data: View<'Briefing'> }) {
  const id = useId();
  const planned = String(data.reserveMs / 60_000);
  const [minutes, setMinutes] = useState(planned);
  const planning = useMutation({
    mutationFn: () =>
      ask(
        api.PUT('/api/sittings/{sitting}/reserve', {
          params: { path: { sitting: data.id } },
          body: { minutes: Number(minutes) },
        }),
      ),
    onSuccess: (next) => queries.setQueryData(briefing(data.id).queryKey, next),
  });
  return (
    <form
      className="mt-1 flex flex-wrap items-center gap-2 text-base font-normal"
      onSubmit={(event) => {
        event.preventDefault();
        planning.mutate();
      }}
    >
      <label htmlFor={id}>with a reserve of</label>
      <input
        id={id}
        type="number"
        min={0}
        max={600}
        step="any"
        required
        value={minutes}
        aria-invalid={planning.isError || undefined}
        onChange={(event) => setMinutes(event.target.value)}
        className="input w-20 border-base-content/50 text-right text-base pointer-fine:h-9"
      />
      min
      {minutes !== planned && (
        <Button small type="submit" busy={planning.isPending}>
          Plan it so
        </Button>
      )}
      {planning.isError && (
        <span role="alert" className="w-full text-error">
          {planning.error.message}
        </span>
      )}
    </form>
  );
}

/** Why each topic is in a test of weak spots. */
function Reasons({ reasons }: { reasons: View<'Briefing'>['reasons'] }) {
  const known = reasons.some(({ stake }) => stake !== null);
  return (
    <section aria-labelledby="reasons" className="grid gap-2">
      <h2 id="reasons" className="font-bold">
        Why these
      </h2>
      {!known && (
        <p>You have not answered enough yet to tell where you are weak, so the topics have the weights of the exam.</p>
      )}
      <ul>
        {reasons.map((reason) => (
          <li key={reason.topic} className="border-t border-base-300 py-1">
            <strong>
              {reason.topic}: {reason.questions}
            </strong>{' '}
            {sorts(reason)}
            {reason.stake !== null && (
              <span className="text-base-content/75">
                {reason.stake >= 0.05
                  ? `, for it costs ${reason.stake.toFixed(1)} points`
                  : ', so that it is not forgotten'}
                {reason.mastery !== null && ` (about ${percent(reason.mastery)} mastered)`}
              </span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

function sorts({ overdue, fresh, again }: View<'Briefing'>['reasons'][number]): string {
  return [
    overdue > 0 && `${overdue} due or an open gap`,
    fresh > 0 && `${fresh} new to you`,
    again > 0 && `${again} seen long ago`,
  ]
    .filter(Boolean)
    .join(', ');
}
