import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { View } from '../../api/client';
import { aboutExam, progress } from '../../api/queries';
import { Button } from '../../ui/Button';
import { Empty } from '../../ui/Empty';
import { Failure } from '../../ui/Failure';
import { Loading } from '../../ui/Loading';
import { Table, TimeRow } from '../../ui/Table';
import { useTitle } from '../../ui/useTitle';
import { count } from '../../ui/words';
import { useExamOfScreen } from '../../api/useExam';
import { ExtraTime, useOwnTime } from '../../ui/OwnTime';
import { KINDS } from '../question/kindNames';

const UNITS: Record<string, string> = { case: 'case', passage: 'passage set', series: 'series' };

/** What the real exam is, on one page, to read and to print. */
export function Component() {
  useTitle('The exam');
  const { exam, error, isPending, retry } = useExamOfScreen();
  const page = useQuery({ ...aboutExam(exam ?? ''), enabled: exam !== undefined });
  if (error) return <Failure error={error} retry={retry} />;
  if (isPending || (exam && page.isPending)) return <Loading />;
  if (page.isError) return <Failure error={page.error} retry={() => void page.refetch()} />;
  if (!page.data) return <Empty title="No exam has been set up here yet." />;
  return <About exam={page.data} />;
}

function About({ exam }: { exam: View<'Exam'> }) {
  const time = useOwnTime();
  const rules: [string, string][] = [
    ['Questions', `${exam.questions}, ${exam.marks} marks in all`],
    ['Time', time(exam.minutes)],
    [
      'Break',
      exam.breakAfter === null ? 'none' : `after ${exam.breakAfter}; the clock runs on, and what was seen is closed`,
    ],
    ['Pause', exam.pausable ? 'allowed' : 'not allowed'],
    [
      'To pass',
      `${exam.scaleCut} on a scale from ${exam.scaleLow} to ${exam.scaleHigh}, which is ${exam.cut} % of the marks`,
    ],
    ['In the bank', count(exam.bank, 'question')],
  ];
  return (
    <div className="sheet-of-paper grid gap-6">
      <div className="flex flex-wrap items-start gap-4">
        <div className="min-w-64 flex-1">
          <h1 className="text-2xl font-bold">{exam.name}</h1>
          <p>{exam.summary}</p>
        </div>
        <div className="flex flex-wrap gap-3 print:hidden">
          <Button onClick={() => window.print()}>Print</Button>
          <Link to="/ready" className="btn btn-primary h-auto min-h-11 text-base font-bold">
            Rehearse it
          </Link>
        </div>
      </div>
      <div className="grid items-start gap-x-12 gap-y-6 lg:grid-cols-2">
        <dl className="grid grid-cols-[auto_1fr] gap-x-6 gap-y-1">
          {rules.map(([name, value]) => (
            <div key={name} className="contents">
              <dt className="text-base-content/75">{name}</dt>
              <dd className="font-bold">{value}</dd>
            </div>
          ))}
        </dl>
        <section aria-labelledby="weights">
          <div className="mb-1 flex items-baseline gap-x-3">
            <h2 id="weights" className="flex-1 font-bold">
              Topics
            </h2>
            <span className="w-14 text-right text-sm text-base-content/75">weight</span>
            <span className="w-14 text-right text-sm text-base-content/75">in bank</span>
          </div>
          <ul>
            {exam.topics.map((topic) => (
              <li
                key={topic.code}
                className="grid grid-cols-[1fr_7rem_3.5rem_3.5rem] items-center gap-x-3 border-t border-base-300 py-1"
              >
                <span title={topic.subtopics.map(({ name }) => name).join(', ')}>{topic.name}</span>
                <svg viewBox="0 0 100 8" preserveAspectRatio="none" aria-hidden="true" className="h-2 w-full">
                  <rect width={3 * Number(topic.weight ?? 0)} height="8" className="fill-primary/60" />
                </svg>
                <span className="text-right font-bold tabular-nums">
                  {topic.weight === null ? '–' : `${Number(topic.weight)} %`}
                </span>
                <span className="text-right text-base-content/75 tabular-nums">
                  {topic.questions}
                  <span className="sr-only"> questions in the bank</span>
                </span>
              </li>
            ))}
          </ul>
        </section>
      </div>
      <section aria-labelledby="sections" className="grid gap-1">
        <h2 id="sections" className="font-bold">
          Sections
        </h2>
        <Table
          caption="Sections"
          head={
            <tr>
              <th scope="col">Section</th>
              <th scope="col">Questions</th>
              <th scope="col" className="whitespace-nowrap">
                Marks each
              </th>
              <th scope="col">A wrong answer</th>
              <th scope="col">Time</th>
              <th scope="col">What occurs</th>
            </tr>
          }
        >
          {exam.readingMinutes > 0 && (
            <TimeRow before={3} after={1} what="Reading, before the first answer" time={time(exam.readingMinutes)} />
          )}
          {exam.sections.map((section) => (
            <tr key={section.code} className="align-top">
              <th scope="row" className="whitespace-nowrap">
                {section.name}
              </th>
              <td>{section.questions}</td>
              <td>{section.marksEach}</td>
              <td>{section.penalty ? `costs ${section.penalty} of its marks` : 'costs nothing'}</td>
              <td className="whitespace-nowrap">{time(section.minutes)}</td>
              <td>
                {[
                  ...section.kinds.map((kind) => KINDS[kind as keyof typeof KINDS]),
                  ...Object.entries(section.units).map(([unit, n]) => count(n, UNITS[unit] ?? unit)),
                ].join(', ') || 'any kind'}
              </td>
            </tr>
          ))}
          {exam.breakMinutes > 0 && <TimeRow before={3} after={1} what="The break" time={time(exam.breakMinutes)} />}
          <TimeRow before={3} after={1} what="In all" time={time(exam.minutes)} />
        </Table>
      </section>
      <ExtraTime />
      <Guide exam={exam} />
      <section aria-labelledby="kinds">
        <h2 id="kinds" className="mb-1 font-bold">
          Kinds of question in the bank
        </h2>
        <p>
          {Object.entries(KINDS)
            .filter(([kind]) => exam.kinds[kind])
            .map(([kind, name]) => `${name} ${exam.kinds[kind] ?? 0}`)
            .join(' · ')}
        </p>
      </section>
    </div>
  );
}

/** Subtopic by subtopic: what is asked, how far one has come, and where to read about it. To print, it has boxes. */
function Guide({ exam }: { exam: View<'Exam'> }) {
  const stands = useQuery(progress(exam.exam));
  const come = new Map(stands.data?.topics.flatMap(({ parts }) => parts).map((part) => [part.code, part]));
  return (
    <section aria-labelledby="guide" className="grid gap-1">
      <h2 id="guide" className="font-bold">
        What is asked, subtopic by subtopic
      </h2>
      {stands.isError && <Failure error={stands.error} retry={() => void stands.refetch()} />}
      <Table
        caption="What is asked, subtopic by subtopic"
        head={
          <tr>
            <th scope="col">Subtopic</th>
            <th scope="col">In the bank</th>
            <th scope="col">Met</th>
            <th scope="col">Right, at the latest look</th>
            <th scope="col">To read</th>
          </tr>
        }
      >
        {exam.topics.map((topic) => [
          <tr key={topic.code} className="break-after-avoid">
            <th scope="rowgroup" colSpan={5} className="pt-3 font-bold">
              {topic.name}
              {topic.weight !== null && (
                <span className="font-normal text-base-content/75">, {Number(topic.weight)} % of the exam</span>
              )}
            </th>
          </tr>,
          ...topic.subtopics.map((sub) => {
            const part = come.get(sub.code);
            return (
              <tr key={sub.code} className="break-inside-avoid align-top">
                <th scope="row" className="font-normal">
                  <span aria-hidden="true" className="mr-2 hidden size-3 border border-current print:inline-block" />
                  {sub.name}
                </th>
                <td className="tabular-nums">{sub.questions}</td>
                <td className="tabular-nums">{part ? part.seen : '–'}</td>
                <td className="tabular-nums">{part && part.seen > 0 ? `${part.right} of ${part.seen}` : '–'}</td>
                <td>
                  {sub.sections.map(({ code, title }, i) => (
                    <span key={code}>
                      {i > 0 && '; '}
                      <Link to={`/handbook/${exam.exam}/${code}`} className="text-primary underline underline-offset-4">
                        {title}
                      </Link>
                    </span>
                  ))}
                </td>
              </tr>
            );
          }),
        ])}
      </Table>
    </section>
  );
}
