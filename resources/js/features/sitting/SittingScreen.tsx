import { useQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import { lazy, Suspense, useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { useParams } from 'react-router';
import { explanation, queries, session, tables } from '../../api/queries';
import { Failure } from '../../ui/Failure';
import { Loading } from '../../ui/Loading';
import { readAhead } from '../../ui/Markdown';
import { Notice } from '../../ui/Notice';
import { useTitle } from '../../ui/useTitle';
import { useWide } from '../../ui/useWide';
import { applyLook, readLook, type Look } from '../../ui/look';
import { Highlightable } from '../library/Highlightable';
import { StarAndNote } from '../library/StarAndNote';
import { useKept, useNoted } from '../library/useKept';
import { OpenSection } from '../result/openSection';
import { textsOf } from '../question/texts';
import { UnitPanel } from '../question/UnitPanel';
import { following, ONLY, type Only } from './following';
import { HandedIn } from './HandedIn';
import { HandInCheck } from './HandInCheck';
import { useKit } from './kit/kit';
import { KitPanel } from './kit/KitPanel';
import { KitTool, type Desk } from './kit/KitTools';
import { haveAtHand } from './kit/parts';
import { Ruler } from './kit/Ruler';
import { BreakCheck, NotHere, OnBreak, Paused, Pausing, TimeUp } from './Interruptions';
import { QuestionCard } from './QuestionCard';
import { ReadingTime } from './ReadingTime';
import { RouteLine } from './RouteLine';
import { startsOf } from './sections';
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
  const [look, setLook] = useState(readLook);
  const [page, setPage] = useState<string | null>(null);
  // A field that was filled from beside is made anew, for it keeps what is being typed.
  const [filled, setFilled] = useState(0);
  const heading = useRef<HTMLHeadingElement>(null);
  const noteAsked = useRef(false);
  const head = useRef<HTMLElement>(null);
  const kit = useKit(id);
  const wide = useWide();
  const { current, questions } = now;
  const { starred, starring } = useKept(id, current);
  const noted = useNoted(id);
  const sections = useMemo(() => startsOf(sitting.briefing.sections), [sitting]);
  const known = questions[current];
  const state = known && now.status === 'reading' ? { ...known, locked: true } : known;
  const question = sitting.questions[current];
  const unit = sitting.units.find((one) => one.id === question?.unit);
  const tutor = sitting.briefing.mode === 'tutor';
  const timed = sitting.briefing.mode === 'timed';
  const away = now.link.kind === 'away';
  const going = now.asked !== 'going on' ? 'no' : away ? 'away' : 'asked';
  const reading = now.status === 'reading';
  const asking = !timeUp && face === 'questions' && (reading || now.status === 'active') && now.asked !== 'pause';

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
  const note = () => {
    noteAsked.current = true;
    if (wide) kit.take('notes');
    else document.getElementById('kept')?.scrollIntoView();
    setFilled(filled + 1);
  };
  useHeight(head);
  useAtHand(sitting.briefing.exam);
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
    does: {
      star: () => starring.mutate(!starred),
      note,
      calculator: () => kit.toggle('calculator'),
      tables: () => kit.toggle('tables'),
      scratch: () => kit.toggle('scratch'),
      keys: () => kit.toggle('keys'),
    },
    off: !asking,
  });

  if (!state || !question) return null;
  const { marks, penalty } = question;
  // Beside a question that stands alone there is room.
  const open = !asking ? null : kit.open === undefined ? (wide && !unit ? 'notes' : null) : kit.open;
  const number = question.body.kind === 'number' ? (state.response as { text?: string; unit?: string } | null) : null;
  const desk: Desk = {
    sitting: id,
    exam: sitting.briefing.exam,
    position: current,
    onUse:
      question.body.kind !== 'number' || state.locked
        ? null
        : (text) => {
            store.answer(current, number?.unit ? { text, unit: number.unit } : { text });
            setFilled(filled + 1);
          },
    noteAsked,
    page,
    look,
    onLook: (next: Look) => (applyLook(next), setLook(next)),
    onShortcuts: setShortcuts,
  };
  return (
    <div className="flex min-h-dvh flex-col">
      <a href="#question" className="btn btn-primary sr-only top-2 left-2 z-20 focus:not-sr-only focus:fixed">
        Skip to the question
      </a>
      {look.ruler && asking && <Ruler />}
      <header ref={head} className="sticky top-0 z-20 border-b border-base-300 bg-base-100 px-4 pt-2 sm:px-6">
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
            kitOpen={open !== null}
            onKit={() => (open ? kit.close() : kit.take('calculator'))}
          />
          <RouteLine
            questions={questions}
            current={current}
            inTurn={now.questionMs !== null}
            only={only}
            sections={sections}
            noted={noted}
            onGo={go}
          />
        </div>
      </header>

      <div className="mx-auto flex w-full max-w-[90rem] flex-1 max-lg:flex-col">
        <main className="w-full min-w-0 flex-1 px-4 py-6 sm:px-6">
          <div>
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
            {reading && <ReadingTime store={store} ms={now.remainingMs} />}
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
                sections={sections}
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
                  unit &&
                    (open
                      ? 'xl:grid-cols-[minmax(0,5fr)_minmax(0,6fr)]'
                      : 'lg:grid-cols-[minmax(0,5fr)_minmax(0,6fr)]'),
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
                {unit && (
                  <Highlightable sitting={id} position={unit.positions[0] ?? current}>
                    <UnitPanel key={unit.id} unit={unit} position={current} />
                  </Highlightable>
                )}
                <div id="the-question" className="grid content-start gap-5">
                  {state.checked && state.outcome ? (
                    <OpenSection
                      value={(code) => {
                        setPage(code);
                        kit.take('handbook');
                      }}
                    >
                      <Highlightable key={current} sitting={id} position={current}>
                        <Answered sitting={id} position={current} />
                      </Highlightable>
                    </OpenSection>
                  ) : (
                    <Highlightable key={current} sitting={id} position={current}>
                      <QuestionCard
                        key={`${current}-${filled}`}
                        question={question}
                        state={state}
                        store={store}
                        asksSureness={sitting.briefing.asksSureness}
                        reading={reading}
                      />
                    </Highlightable>
                  )}
                  {!(wide && open === 'notes') && (
                    <div id="kept">
                      <StarAndNote key={`${current}-${filled}`} sitting={id} position={current} asked={noteAsked} />
                    </div>
                  )}
                </div>
              </article>
            )}
          </div>
        </main>
        {asking && (
          <KitPanel kit={kit} open={open}>
            {(tool) => <KitTool tool={tool} desk={desk} />}
          </KitPanel>
        )}
      </div>

      {asking && (
        <SittingFooter
          state={state}
          last={current === questions.length - 1}
          on={following(questions, current, only, 1)}
          back={following(questions, current, only, -1)}
          inTurn={now.questionMs !== null}
          tutor={tutor}
          reading={reading}
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

/** Tells the page's styles how high the head is: what sticks below it must know. */
function useHeight(head: React.RefObject<HTMLElement | null>): void {
  useLayoutEffect(() => {
    const element = head.current;
    if (!element) return;
    const watch = new ResizeObserver(() =>
      document.documentElement.style.setProperty('--head', `${element.offsetHeight}px`),
    );
    watch.observe(element);
    return () => watch.disconnect();
  }, [head]);
}

const AT_HAND_MS = 10_000;

/** What may be wanted when the connection is gone: the tables at once, the heavier tools once the page is at rest. */
function useAtHand(exam: string): void {
  useQuery(tables(exam));
  useEffect(() => {
    const timer = window.setTimeout(() => haveAtHand(queries), AT_HAND_MS);
    return () => window.clearTimeout(timer);
  }, []);
}
