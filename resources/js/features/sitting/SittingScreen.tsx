import { useQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import { lazy, Suspense, useCallback, useEffect, useRef, useState } from 'react';
import { useParams } from 'react-router';
import { explanation, session } from '../../api/queries';
import { Failure } from '../../ui/Failure';
import { Loading } from '../../ui/Loading';
import { readAhead } from '../../ui/Markdown';
import { Notice } from '../../ui/Notice';
import { useTitle } from '../../ui/useTitle';
import { StarAndNote } from '../library/StarAndNote';
import { textsOf } from '../question/texts';
import { UnitPanel } from '../question/UnitPanel';
import { following, ONLY, type Only } from './following';
import { HandedIn } from './HandedIn';
import { HandInCheck } from './HandInCheck';
import { BreakCheck, NotHere, OnBreak, Paused, Pausing, TimeUp } from './Interruptions';
import { QuestionCard } from './QuestionCard';
import { RouteLine } from './RouteLine';
import { readShortcuts } from './shortcuts';
import { SittingFooter } from './SittingFooter';
import { SittingHeader } from './SittingHeader';
import type { SittingStore, Snapshot } from './sittingStore';
import { useShortcuts } from './useShortcuts';
import { useSitting, useSnapshot } from './useSitting';

export function Component() {
  const { sitting = '' } = useParams();
  const who = useQuery(session);
  return <Sitting key={sitting} id={sitting} user={who.data?.user?.email ?? ''} />;
}

function Sitting({ id, user }: { id: string; user: string }) {
  const store = useSitting(id, user);
  const now = useSnapshot(store);
  useTitle(now.sitting?.briefing.title ?? 'Sitting');
  const { link } = now;
  if (link.kind === 'handedIn') return <HandedIn id={id} late={now.late} />;
  const gone = link.kind === 'elsewhere' || link.kind === 'signedOut' || link.kind === 'failed';
  if (gone || !now.sitting || now.questions.length === 0) return <NotHere id={id} link={link} store={store} />;
  return <Open id={id} store={store} now={now} sitting={now.sitting} />;
}

const Explained = lazy(async () => ({ default: (await import('../result/Explained')).Explained }));

/** What one looks at: the questions, or a last check before handing in or taking a break. */
type Face = 'questions' | 'handing in' | 'taking a break';

function Open({
  id,
  store,
  now,
  sitting,
}: {
  id: string;
  store: SittingStore;
  now: Snapshot;
  sitting: NonNullable<Snapshot['sitting']>;
}) {
  const [face, setFace] = useState<Face>('questions');
  const [handing, setHanding] = useState(false);
  const [only, setOnly] = useState<Only>('all');
  const [timeUp, setTimeUp] = useState(false);
  const [shortcuts, setShortcuts] = useState(readShortcuts);
  const heading = useRef<HTMLHeadingElement>(null);
  const { current, questions } = now;
  const state = questions[current];
  const question = sitting.questions[current];
  const unit = sitting.units.find((one) => one.id === question?.unit);
  const tutor = sitting.briefing.mode === 'tutor';
  const timed = sitting.briefing.mode === 'timed';
  const away = now.link.kind === 'away';
  const going = now.asked !== 'going on' ? 'no' : away ? 'away' : 'asked';
  const asking = !timeUp && face === 'questions' && now.status === 'active' && now.asked !== 'pause';

  const go = useCallback(
    (position: number) => {
      setFace('questions');
      store.show(position);
      heading.current?.focus();
    },
    [store],
  );
  const handIn = async () => {
    setHanding(true);
    await store.handIn();
    setHanding(false);
  };
  const next = sitting.questions[current + 1];
  useEffect(() => (next ? readAhead(textsOf(next)) : undefined), [next]);
  useShortcuts({
    shortcuts,
    store,
    state,
    on: following(questions, current, only, 1),
    back: following(questions, current, only, -1),
    options: question?.body.kind === 'single' ? question.body.options.map((option) => option.id) : [],
    go,
    off: !asking,
  });

  if (!state || !question) return null;
  const { marks, penalty } = question;
  return (
    <div className="flex min-h-dvh flex-col">
      <a href="#question" className="btn btn-primary sr-only top-2 left-2 z-20 focus:not-sr-only focus:fixed">
        Skip to the question
      </a>
      <header className="sticky top-0 z-10 border-b border-base-300 bg-base-100 px-4 pt-2 sm:px-6">
        <div className="mx-auto max-w-7xl">
          <SittingHeader
            store={store}
            now={now}
            briefing={sitting.briefing}
            onZero={() => {
              if (store.timeUp()) setTimeUp(true);
              // What was in front of one was of the question before.
              else setFace('questions');
            }}
            onBreak={() => setFace('taking a break')}
            onShortcuts={setShortcuts}
          />
          <RouteLine questions={questions} current={current} inTurn={now.questionMs !== null} only={only} onGo={go} />
        </div>
      </header>

      <main className="w-full flex-1 px-4 py-6 sm:px-6">
        <div className="mx-auto max-w-7xl">
          {now.refused && (
            <div className="mb-4">
              <Notice tone="warn">Your last answer does not count: {now.refused}</Notice>
            </div>
          )}
          {now.link.kind === 'full' && (
            <div className="mb-4">
              <Notice tone="warn">{now.link.message}</Notice>
            </div>
          )}
          {timeUp ? (
            <TimeUp away={away} waiting={now.link.kind === 'away' ? now.link.waiting : 0} />
          ) : now.status === 'paused' ? (
            <Paused onResume={() => void store.resume()} going={going} timed={timed} />
          ) : now.status === 'on_break' ? (
            <OnBreak onEnd={() => void store.endBreak()} going={going} />
          ) : now.asked === 'pause' ? (
            <Pausing away={away} timed={timed} onBack={() => void store.stayOn()} />
          ) : face === 'taking a break' ? (
            <BreakCheck
              onTake={() => {
                setFace('questions');
                void store.takeBreak();
              }}
              onBack={() => setFace('questions')}
            />
          ) : face === 'handing in' ? (
            <HandInCheck
              questions={questions}
              inTurn={now.questionMs !== null}
              busy={handing}
              waiting={away}
              onGo={go}
              onBack={() => setFace('questions')}
              onHandIn={() => void handIn()}
            />
          ) : (
            <article
              className={clsx(
                'grid gap-x-8 gap-y-4',
                unit ? 'lg:grid-cols-[minmax(0,5fr)_minmax(0,6fr)]' : 'lg:grid-cols-[minmax(0,1fr)_19rem]',
              )}
              aria-labelledby="question"
            >
              <div className="col-span-full flex flex-wrap items-center justify-between gap-x-4">
                <h1
                  id="question"
                  ref={heading}
                  tabIndex={-1}
                  className="scroll-mt-40 text-base-content/75 outline-none"
                >
                  Question {current + 1} of {questions.length}
                  {marks !== '1' && `, ${marks} marks`}
                  {penalty && `, a wrong answer costs ${penalty} of ${marks === '1' ? 'a mark' : 'them'}`}
                  {sitting.topics[current] && ` · ${sitting.topics[current]}`}
                </h1>
                {now.questionMs === null && (
                  <select
                    aria-label="What going on leads to"
                    value={only}
                    onChange={(event) => setOnly(event.target.value as Only)}
                    className="select min-h-11 w-auto border-base-content/50 text-sm pointer-fine:h-9 pointer-fine:min-h-9"
                  >
                    {Object.entries(ONLY).map(([value, words]) => (
                      <option key={value} value={value}>
                        {words}
                      </option>
                    ))}
                  </select>
                )}
              </div>
              {unit && <UnitPanel key={unit.id} unit={unit} position={current} />}
              <div className="grid content-start gap-5">
                {state.checked && state.outcome ? (
                  <Answered sitting={id} position={current} />
                ) : (
                  <QuestionCard
                    key={current}
                    question={question}
                    state={state}
                    store={store}
                    asksSureness={sitting.briefing.asksSureness}
                  />
                )}
                {unit && <StarAndNote key={`kept-${current}`} sitting={id} position={current} />}
              </div>
              {!unit && (
                <aside aria-label="Star and note" className="self-start lg:border-l lg:border-base-300 lg:pl-6">
                  <StarAndNote key={`kept-${current}`} sitting={id} position={current} />
                </aside>
              )}
            </article>
          )}
        </div>
      </main>

      {asking && (
        <SittingFooter
          state={state}
          last={current === questions.length - 1}
          on={following(questions, current, only, 1)}
          back={following(questions, current, only, -1)}
          inTurn={now.questionMs !== null}
          tutor={tutor}
          onGo={go}
          onFlag={(on) => store.flag(current, on)}
          onCheck={() => void store.check(current)}
          onHandIn={() => setFace('handing in')}
        />
      )}
    </div>
  );
}

function Answered({ sitting, position }: { sitting: string; position: number }) {
  const page = useQuery(explanation(sitting, position));
  if (page.isPending) return <Loading what="Fetching the reasons" />;
  if (page.isError) return <Failure error={page.error} retry={() => void page.refetch()} />;
  return (
    <Suspense fallback={<Loading what="Fetching the reasons" />}>
      <Explained sitting={sitting} explanation={page.data} />
    </Suspense>
  );
}
