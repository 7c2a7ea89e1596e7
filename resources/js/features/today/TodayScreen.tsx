import { useMutation, useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, ask, Unreachable, type View } from '../../api/client';
import { exams, session, TESTS, today } from '../../api/queries';
import { Button, ButtonLink } from '../../ui/Button';
import { Chip } from '../../ui/Chip';
import { Covered } from '../../ui/Covered';
import { Empty } from '../../ui/Empty';
import { Failure } from '../../ui/Failure';
import { Figure } from '../../ui/Figure';
import { Loading } from '../../ui/Loading';
import { TimeLeft } from '../../ui/TimeLeft';
import { Table } from '../../ui/Table';
import { useTitle } from '../../ui/useTitle';
import { count, dayTime, MODES, percent, signed, toldPercent } from '../../ui/words';
import { SmallSkyline } from './SmallSkyline';
import { OnThisDevice } from '../sitting/packs/OnThisDevice';
import { ExamDate } from './ExamDate';
import { QuickStarts } from './QuickStarts';
import { Steps } from './Steps';
import { ThisWeek } from './ThisWeek';
import { useExamOfScreen } from '../../api/useExam';

export function Component() {
  useTitle('Today');
  const choice = useExamOfScreen();
  if (choice.isPending) return <Loading />;
  if (choice.error) return <Away error={choice.error} retry={choice.retry} />;
  if (!choice.exam)
    return <Empty title="No exam has been set up here yet.">An administrator must load one first.</Empty>;
  return <Today key={choice.exam} exam={choice.exam} />;
}

function Today({ exam }: { exam: string }) {
  const who = useQuery(session);
  const page = useQuery(today(exam));
  if (page.isPending) return <Loading what="Looking up where you are" />;
  if (page.isError) return <Away error={page.error} retry={() => void page.refetch()} />;
  const { examName, summary, counts, open, past, outlook, steps, week } = page.data;
  const begun = open.find((line) => line.begun && !line.timeUp);
  return (
    <div className="grid gap-8">
      <div className="flex flex-wrap items-end justify-between gap-4">
        <div className="max-w-2xl">
          <p className="text-base-content/75">Good to see you, {who.data?.user?.name}.</p>
          <h1 className="text-2xl font-bold">{examName}</h1>
          {counts.new === counts.all && <p className="mt-1">{summary}</p>}
          <ExamDate of={page.data} />
          {week && <ThisWeek week={week} />}
          {outlook && (
            <p>
              <Link to="/progress" className="text-primary underline underline-offset-4">
                Pass outlook
              </Link>
              : <strong>{percent(outlook.chance)}</strong> ({percent(outlook.low)} to {percent(outlook.high)})
            </p>
          )}
        </div>
        <SmallSkyline exam={exam} />
      </div>

      <OnThisDevice owner={who.data?.user?.email ?? ''} />
      {begun && <GoOn begun={begun} />}
      <Steps exam={exam} steps={steps} calm={begun !== undefined} />
      <QuickStarts exam={exam} quick={page.data.quick} />

      <div className="grid items-start gap-8 lg:grid-cols-[3fr_2fr]">
        <section aria-labelledby="past">
          <h2 id="past" className="mb-2 text-lg font-bold">
            Latest results
          </h2>
          <Past past={past} />
        </section>
        <div className="grid gap-8">
          <BankSeen counts={counts} />
          <Open open={open} />
          <Elsewhere exam={exam} />
        </div>
      </div>
    </div>
  );
}

/** What waits in the other exams somebody studies for. */
function Elsewhere({ exam }: { exam: string }) {
  const others = (useQuery(exams).data?.exams ?? []).filter(
    ({ slug, open, due }) => slug !== exam && (open > 0 || due > 0),
  );
  if (others.length === 0) return null;
  return (
    <section aria-labelledby="elsewhere">
      <h2 id="elsewhere" className="mb-2 text-lg font-bold">
        Your other exams
      </h2>
      <ul className="grid gap-1">
        {others.map(({ slug, name, open, due }) => (
          <li key={slug}>
            <Link to={`/?exam=${encodeURIComponent(slug)}`} className="text-primary underline underline-offset-4">
              {name}
            </Link>
            :{' '}
            {[due > 0 && `${due} due to revisit`, open > 0 && `${count(open, 'test')} not handed in`]
              .filter(Boolean)
              .join(', ')}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Without a connection: what can be done all the same. */
function Away({ error, retry }: { error: Error; retry: () => void }) {
  const who = useQuery(session);
  if (!(error instanceof Unreachable)) return <Failure error={error} retry={retry} />;
  return (
    <div className="grid gap-6">
      <h1 className="text-2xl font-bold">No connection</h1>
      <OnThisDevice owner={who.data?.user?.email ?? ''} alone />
      <div>
        <Button onClick={retry}>Look again</Button>
      </div>
    </div>
  );
}

/** Nothing comes before what is half done. */
function GoOn({ begun }: { begun: View<'OpenSittingLine'> }) {
  return (
    <section className="grid gap-4 rounded-box border-2 border-primary bg-base-100 p-5 sm:flex sm:items-center">
      <div className="flex-1">
        <h2 className="text-lg font-bold">You are in the middle of a test</h2>
        <p>
          {begun.title}. {begun.answered} of {begun.questions} answered
          {begun.touchedAt ? `, last on ${dayTime(begun.touchedAt)}` : ''}. Every answer is kept
          {begun.leftMs === null ? (
            '.'
          ) : (
            <>
              , and <strong>its clock runs</strong>: <TimeLeft ms={begun.leftMs} /> left.
            </>
          )}
        </p>
      </div>
      <ButtonLink weight="main" to={`/sit/${begun.id}`}>
        Go on
      </ButtonLink>
    </section>
  );
}

/** The two numbers people watch grow. */
function BankSeen({ counts }: { counts: View<'Counts'> }) {
  const seen = counts.all - counts.new;
  return (
    <Figure
      title="Your way through the bank"
      evidence={
        seen < 20
          ? `Based on ${count(seen, 'question')}: too few to say much yet.`
          : `Based on the latest answer to each of ${count(seen, 'question')}.`
      }
    >
      <Covered of={{ all: counts.all, seen, right: counts.gotIt }} below />
    </Figure>
  );
}

function Past({ past }: { past: View<'PastSitting'>[] }) {
  if (past.length === 0)
    return <Empty title="Nothing handed in yet.">Your results appear here, each with its review.</Empty>;
  return (
    <Table
      caption="Latest results"
      head={
        <tr>
          <th scope="col">Test</th>
          <th scope="col">Marks</th>
          <th scope="col">Share</th>
          <th scope="col">Answered</th>
        </tr>
      }
    >
      {past.map((line) => (
        <tr key={line.id}>
          <td>
            <Link to={`/result/${line.id}`}>{line.title}</Link>
            <div className="text-sm text-base-content/75">
              {MODES[line.mode]}, {dayTime(line.endedAt)}
            </div>
          </td>
          <td className="whitespace-nowrap">
            {line.marks === null ? '–' : `${signed(line.marks)} of ${line.possible}`}
          </td>
          <td className="whitespace-nowrap">{toldPercent(line.share)}</td>
          <td className="whitespace-nowrap">
            {line.answered} of {line.questions}
          </td>
        </tr>
      ))}
    </Table>
  );
}

function howFar(line: View<'OpenSittingLine'>): string {
  if (line.waits) return 'time is up, waits for its device';
  if (line.timeUp) return 'time is up';
  return line.begun ? `${line.answered} of ${line.questions} answered` : 'not begun';
}

function Open({ open }: { open: View<'OpenSittingLine'>[] }) {
  const discarding = useMutation({
    mutationFn: (sitting: string) => ask(api.DELETE('/api/sittings/{sitting}', { params: { path: { sitting } } })),
    meta: { invalidates: TESTS },
  });
  if (open.length === 0) return null;
  return (
    <section aria-labelledby="open">
      <h2 id="open" className="mb-2 text-lg font-bold">
        Not handed in
      </h2>
      {discarding.isError && <Failure error={discarding.error} />}
      <ul>
        {open.map((line) => (
          <li key={line.id} className="flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-base-300 py-2">
            <Link
              to={line.timeUp ? `/result/${line.id}` : line.begun ? `/sit/${line.id}` : `/briefing/${line.id}`}
              className="min-w-40 flex-1 text-primary underline underline-offset-4"
            >
              {line.title}
            </Link>
            <Chip>{howFar(line)}</Chip>
            {line.leftMs !== null && (
              <span>
                its clock runs: <TimeLeft ms={line.leftMs} /> left
              </span>
            )}
            {!line.begun && (
              <Button
                small
                weight="quiet"
                onClick={() => discarding.mutate(line.id)}
                aria-label={`Discard ${line.title}`}
              >
                Discard
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
