import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { Link, useSearchParams } from 'react-router';
import { api, ask, type View } from '../../api/client';
import { adaptive, ready } from '../../api/queries';
import { Button } from '../../ui/Button';
import { Empty } from '../../ui/Empty';
import { Failure } from '../../ui/Failure';
import { Loading } from '../../ui/Loading';
import { Table } from '../../ui/Table';
import { useTitle } from '../../ui/useTitle';
import { MODES, count, toldPercent } from '../../ui/words';
import { Tick } from '../../ui/Tick';
import { useExamOfScreen } from '../../api/useExam';
import { ExtraTime, useOwnTime } from '../../ui/OwnTime';
import { useBegin } from '../../api/useBegin';

/** What needs no building: rehearsals, papers, series of tests, and what somebody has shared. */
export function Component() {
  useTitle('Rehearse');
  const { exam, error, isPending, retry } = useExamOfScreen();
  const page = useQuery({ ...ready(exam ?? ''), enabled: exam !== undefined });
  if (error) return <Failure error={error} retry={retry} />;
  if (isPending || (exam && page.isPending)) return <Loading what="Looking up what is ready" />;
  if (page.isError) return <Failure error={page.error} retry={() => void page.refetch()} />;
  if (!page.data) return <Empty title="No exam has been set up here yet." />;
  return <Ready page={page.data} />;
}

function Ready({ page }: { page: View<'Ready'> }) {
  const { exam, sections, papers, series } = page;
  return (
    <div className="grid gap-8">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h1 className="text-2xl font-bold">Rehearse</h1>
        <p className="text-base-content/75">{page.examName}</p>
        <span className="flex-1" />
        <Link to="/exam" className="text-primary underline underline-offset-4">
          What the exam is
        </Link>
      </div>
      <ExtraTime />
      {sections.length === 0 ? (
        <Empty title="No rehearsals yet.">How the real exam is made up has not been written down here.</Empty>
      ) : (
        <Rehearsal page={page} />
      )}
      <Adaptive exam={exam} />
      <div className="grid items-start gap-8 lg:grid-cols-2">
        <section aria-labelledby="papers" className="grid gap-2">
          <h2 id="papers" className="text-lg font-bold">
            Papers
          </h2>
          {papers.length === 0 ? (
            <p>This exam has no papers.</p>
          ) : (
            <>
              <p className="text-base-content/75">
                Everybody sits the same questions. A paper tells most when they are new to you, so save one for later.
              </p>
              <ul>
                {papers.map((paper) => (
                  <Paper key={paper.code} exam={exam} paper={paper} sections={sections} />
                ))}
              </ul>
            </>
          )}
        </section>
        <Join />
      </div>
      {series.map((one) => (
        <Series key={one.code} exam={exam} series={one} />
      ))}
    </div>
  );
}

function Rehearsal({ page }: { page: View<'Ready'> }) {
  const { exam, sections, questions, minutes } = page;
  const begin = useBegin();
  const time = useOwnTime();
  const [way, setWay] = useState<Way>('exam');
  const rehearse = (section: string | null) =>
    begin.go(() =>
      ask(api.POST('/api/exams/{exam}/rehearsals', { params: { path: { exam } }, body: { section, way } })),
    );
  return (
    <section aria-labelledby="rehearsal" className="grid gap-3">
      <div className="flex flex-wrap items-center gap-x-6 gap-y-3 rounded-box border-2 border-primary p-4">
        <div className="min-w-[min(14rem,100%)] flex-1">
          <h2 id="rehearsal" className="text-lg font-bold">
            The whole exam, drawn fresh
          </h2>
          <p>
            {count(questions, 'question')}, {way === 'exam' ? `${time(minutes)}, under its real rules` : WAYS[way]}. New
            questions come first.
          </p>
          {way !== 'exam' && <NotAsInTheExam />}
        </div>
        <Ways of="the rehearsal" way={way} onWay={setWay} />
        <Button weight="main" busy={begin.isPending} onClick={() => rehearse(null)}>
          Rehearse it
        </Button>
      </div>
      {begin.isError && <Failure error={begin.error} />}
      {sections.length > 1 && (
        <div className="flex flex-wrap items-center gap-2">
          <span>Or one section of it:</span>
          {sections.map((section) => (
            <Button key={section.code} small disabled={begin.isPending} onClick={() => rehearse(section.code)}>
              {section.name}
              <span className="font-normal">
                {' '}
                {section.questions}, {time(section.minutes)}
              </span>
            </Button>
          ))}
        </div>
      )}
    </section>
  );
}

type Way = NonNullable<View<'OneSectionRequest'>['way']>;

const WAYS: Record<Way, string> = {
  exam: 'as in the exam',
  pausable: 'with its time, pausable',
  untimed: 'without a clock',
  tutor: 'with reasons after each',
};

/** How it is sat. */
function Ways({ of, way, onWay }: { of: string; way: Way; onWay: (way: Way) => void }) {
  return (
    <select
      aria-label={`How to sit ${of}`}
      value={way}
      onChange={(event) => onWay(event.target.value as Way)}
      className="select w-auto border-base-content/50 text-base pointer-fine:h-9"
    >
      {Object.entries(WAYS).map(([value, words]) => (
        <option key={value} value={value}>
          {words}
        </option>
      ))}
    </select>
  );
}

function NotAsInTheExam() {
  return (
    <p className="text-sm text-base-content/75">It is compared with nobody’s, and gets no score on the exam’s scale.</p>
  );
}

/** A test whose next question goes by the last answer. */
function Adaptive({ exam }: { exam: string }) {
  const time = useOwnTime();
  const offer = useQuery(adaptive(exam));
  const [chosen, setChosen] = useState(2);
  const [timed, setTimed] = useState(false);
  const begin = useBegin();
  const { reach = 0, least = 0, choices = [] } = offer.data ?? {};
  const { most, minutes } = choices[chosen] ?? { most: 0, minutes: 0 };
  return (
    <section aria-labelledby="adaptive" className="grid gap-2 rounded-box border border-base-content/30 p-4">
      <h2 id="adaptive" className="text-lg font-bold">
        A test that adapts
      </h2>
      <p className="max-w-[75ch]">
        Each question goes by your answers so far, so fewer are needed to tell where you stand. It ends by itself, and
        says what share of the whole bank you would get right, with its range. Of some topics alone:{' '}
        <Link to="/build?adapting=1&mode=untimed&count=60&pools=">build one</Link>.
      </p>
      {offer.isPending && <Loading what="Looking how far the bank goes" />}
      {offer.isError && <Failure error={offer.error} retry={() => void offer.refetch()} />}
      {offer.data && reach === 0 && <p>The bank of this exam has no question yet that it could ask.</p>}
      {offer.data && reach > 0 && (
        <>
          {reach < least ? (
            <p className="border-l-4 border-warning pl-3">
              The bank has {count(reach, 'question')} for it, and before {least} nothing can be settled: you would get a
              range, and no word on the cut.
            </p>
          ) : (
            reach < most && (
              <p className="border-l-4 border-warning pl-3">
                The bank has {count(reach, 'question')} for it, so it goes no further than that.
              </p>
            )
          )}
          <form
            className="flex flex-wrap items-center gap-x-5 gap-y-2"
            onSubmit={(event) => {
              event.preventDefault();
              begin.go(() =>
                ask(
                  api.POST('/api/exams/{exam}/tests', {
                    params: { path: { exam } },
                    body: { pools: [], count: most, mode: timed ? 'timed' : 'untimed', adapting: true },
                  }),
                ),
              );
            }}
          >
            <label className="flex items-center gap-2">
              At most
              <select
                value={chosen}
                onChange={(event) => setChosen(Number(event.target.value))}
                className="select w-auto border-base-content/50 text-base pointer-fine:h-9"
              >
                {choices.map(({ most }, i) => (
                  <option key={most} value={i}>
                    {most} questions
                  </option>
                ))}
              </select>
            </label>
            <Tick on={timed} onChange={(on) => setTimed(on)}>
              with a clock: {time(minutes)}
            </Tick>
            <Button type="submit" busy={begin.isPending} aria-label="Begin a test that adapts">
              Begin
            </Button>
          </form>
          {begin.isError && <Failure error={begin.error} />}
        </>
      )}
    </section>
  );
}

function Paper(props: { exam: string; paper: View<'Paper'>; sections: View<'Ready'>['sections'] }) {
  const time = useOwnTime();
  const { exam, paper } = props;
  const [section, setSection] = useState('');
  const [way, setWay] = useState<Way>('exam');
  const begin = useBegin();
  return (
    <li className="flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-base-300 py-2">
      <div className="basis-full">
        <h3 className="font-bold">{paper.title}</h3>
        <p className="text-sm text-base-content/75">
          {paper.met === 0 ? 'All of it is new to you.' : `You have met ${paper.met} of its ${paper.questions}.`}
        </p>
        {way !== 'exam' && <NotAsInTheExam />}
      </div>
      {props.sections.length > 1 && (
        <select
          aria-label={`How much of ${paper.title}`}
          value={section}
          onChange={(event) => setSection(event.target.value)}
          className="select w-auto border-base-content/50 text-base pointer-fine:h-9"
        >
          <option value="">the whole, {time(paper.minutes)}</option>
          {props.sections.map(({ code, name, minutes }) => (
            <option key={code} value={code}>
              {name}, {time(minutes)}
            </option>
          ))}
        </select>
      )}
      <Ways of={paper.title} way={way} onWay={setWay} />
      <Button
        small
        busy={begin.isPending}
        aria-label={`Sit ${paper.title}`}
        onClick={() =>
          begin.go(() =>
            ask(
              api.POST('/api/exams/{exam}/papers/{paper}/sittings', {
                params: { path: { exam, paper: paper.code } },
                body: { section: section === '' ? null : section, way },
              }),
            ),
          )
        }
      >
        Sit it
      </Button>
      {begin.isError && <Failure error={begin.error} />}
    </li>
  );
}

function Join() {
  const [search] = useSearchParams();
  const [code, setCode] = useState(search.get('code') ?? '');
  const begin = useBegin();
  return (
    <section aria-labelledby="join" className="grid gap-2">
      <h2 id="join" className="text-lg font-bold">
        A test somebody shared
      </h2>
      <p className="text-base-content/75">You sit exactly their questions, in your own account.</p>
      <form
        className="flex flex-wrap items-center gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          begin.go(() => ask(api.POST('/api/shared', { body: { code } })));
        }}
      >
        <input
          aria-label="Code of the test"
          placeholder="ABCD EFGH"
          autoComplete="off"
          value={code}
          onChange={(event) => setCode(event.target.value)}
          className="input w-44 border-base-content/50 font-mono text-base uppercase"
        />
        <Button type="submit" busy={begin.isPending}>
          Join
        </Button>
      </form>
      {begin.isError && <Failure error={begin.error} />}
    </section>
  );
}

function Series({ exam, series }: { exam: string; series: View<'SeriesOfTests'> }) {
  const time = useOwnTime();
  const begin = useBegin();
  return (
    <section aria-labelledby={`series-${series.code}`} className="grid gap-2">
      <h2 id={`series-${series.code}`} className="text-lg font-bold">
        {series.title}
      </h2>
      <p className="text-base-content/75">{series.about}</p>
      {begin.isError && <Failure error={begin.error} />}
      <Table
        caption={series.title}
        head={
          <tr>
            <th scope="col">Test</th>
            <th scope="col" className="max-sm:hidden">
              Questions
            </th>
            <th scope="col" className="max-sm:hidden">
              How
            </th>
            <th scope="col">Attempts</th>
            <th scope="col">Best</th>
            <th scope="col">
              <span className="sr-only">Begin</span>
            </th>
          </tr>
        }
      >
        {series.tests.map((test) => (
          <tr key={test.code}>
            <th scope="row">{test.title}</th>
            <td className="max-sm:hidden">{test.questions}</td>
            <td className="whitespace-nowrap max-sm:hidden">
              {MODES[test.mode]}
              {test.minutes !== null && `, ${time(test.minutes)}`}
            </td>
            <td className="whitespace-nowrap">
              {test.used}
              {test.attempts !== null && ` of ${test.attempts}`}
            </td>
            <td className="whitespace-nowrap">{toldPercent(test.best)}</td>
            <td className="text-right">
              <Attempt
                test={test}
                busy={begin.isPending}
                onBegin={() =>
                  begin.go(() =>
                    ask(
                      api.POST('/api/exams/{exam}/series/{series}/tests/{test}/sittings', {
                        params: { path: { exam, series: series.code, test: test.code } },
                      }),
                    ),
                  )
                }
              />
            </td>
          </tr>
        ))}
      </Table>
    </section>
  );
}

function Attempt({ test, busy, onBegin }: { test: View<'SeriesTest'>; busy: boolean; onBegin: () => void }): ReactNode {
  if (test.waiting !== null)
    return (
      <Link to={`/briefing/${test.waiting}`} className="text-primary underline underline-offset-4">
        Go on<span className="sr-only"> with {test.title}</span>
      </Link>
    );
  if (test.attempts !== null && test.used >= test.attempts) return 'all used';
  return (
    <Button small disabled={busy} onClick={onBegin} aria-label={`Begin ${test.title}`}>
      {test.used === 0 ? 'Begin' : 'Once more'}
    </Button>
  );
}
