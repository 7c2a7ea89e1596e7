import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { useParams } from 'react-router';
import { kept, queries, session, tables } from '../../api/queries';
import { Loading } from '../../ui/Loading';
import { Notice } from '../../ui/Notice';
import { useAfterPaint } from '../../ui/useAfterPaint';
import { useTitle } from '../../ui/useTitle';
import { useWide } from '../../ui/useWide';
import { applyLook, readLook, type Look } from '../../ui/look';
import { StarAndNote } from '../library/StarAndNote';
import { useKept, useNoted, useStarring } from '../library/useKept';
import { OpenSection } from '../result/openSection';
import { prepare } from '../question/prepare';
import { EndCheck } from './EndCheck';
import { following, type Only } from './following';
import { BreakCheck } from './BreakCheck';
import { HandedIn } from './HandedIn';
import { HandInCheck } from './HandInCheck';
import { useKit } from './kit/kit';
import { KitPanel } from './kit/KitPanel';
import { KitTool, type Desk } from './kit/KitTools';
import { haveAtHand } from './kit/parts';
import { Ruler } from './kit/Ruler';
import { NotHere, OnBreak, Paused, Pausing, TimeUp } from './Interruptions';
import { GO_TO, QuestionHeading } from './QuestionHeading';
import { QuestionStage } from './QuestionStage';
import { RouteLine } from './RouteLine';
import { startsOf } from './sections';
import { readShortcuts } from '../../ui/shortcuts';
import { SittingFooter } from './SittingFooter';
import { SittingHeader } from './SittingHeader';
import type { SittingStore, Snapshot } from './sittingStore';
import { useShortcuts } from './useShortcuts';
import { useBuilt } from './useBuilt';
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
  return <Open id={id} user={user} store={store} now={now} sitting={now.sitting} />;
}

const TakeAlong = lazy(async () => ({ default: (await import('./packs/TakeAlong')).TakeAlong }));
const ReadingTime = lazy(async () => ({ default: (await import('./ReadingTime')).ReadingTime }));

/** What one looks at: the questions, or a last check before handing in or taking a break. */
type Face = 'questions' | 'handing in' | 'taking a break';

function Open({
  id,
  user,
  store,
  now,
  sitting,
}: {
  id: string;
  user: string;
  store: SittingStore;
  now: Snapshot;
  sitting: NonNullable<Snapshot['sitting']>;
}) {
  const [face, setFace] = useState<Face>('questions');
  const [handing, setHanding] = useState(false);
  const [only, setOnly] = useState<Only>('all');
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
  const { starred } = useKept(id, current);
  const starring = useStarring(id, current);
  const noted = useNoted(id);
  const sections = useMemo(() => startsOf(sitting.briefing.sections), [sitting]);
  const known = questions[current];
  const state = known && now.status === 'reading' ? { ...known, locked: true } : known;
  const question = sitting.questions[current];
  const unit = sitting.units.find((one) => one.id === question?.unit);
  const tutor = sitting.briefing.mode === 'tutor';
  const timed = sitting.briefing.mode === 'timed';
  // What was taken along by an older version does not say.
  const most = sitting.briefing.most || null;
  const inTurn = now.questionMs !== null || most !== null;
  const away = now.link.kind === 'away';
  const going = now.asked !== 'going on' ? 'no' : away ? 'away' : 'asked';
  const reading = now.status === 'reading';
  const asking = !now.zero && face === 'questions' && (reading || now.status === 'active') && now.asked !== 'pause';

  const go = useCallback(
    (position: number) => {
      setFace('questions');
      store.show(position);
      heading.current?.focus();
    },
    [store],
  );
  const { take } = kit;
  const openSection = useCallback(
    (code: string) => {
      setPage(code);
      take('handbook');
    },
    [take],
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
  const ask = () => void store.next().then(() => heading.current?.focus());
  const leadTo = (step: 1 | -1) => {
    const position = following(questions, current, only, step);
    return position === null ? null : () => go(position);
  };
  useHeight(head);
  useEffect(() => {
    if (!now.pack) return;
    queries.setQueryData(tables(sitting.briefing.exam).queryKey, now.pack.tables);
    queries.setQueryData(kept(id).queryKey, (known) => known ?? now.pack?.kept);
  }, [now.pack, sitting, id]);
  useAtHand(sitting.briefing.exam);
  const next = sitting.questions[current + 1];
  const nextUnit = sitting.units.find((one) => one.id === next?.unit);
  useEffect(() => (next ? prepare(next, nextUnit) : undefined), [next, nextUnit]);
  const built = useBuilt(current, sitting.questions.length);
  useShortcuts({
    shortcuts,
    store,
    state,
    // Held down, the key must not leave a question blank for good.
    on: most === null ? leadTo(1) : state?.response ? ask : null,
    back: leadTo(-1),
    options: question?.body.kind === 'single' ? question.body.options.map((option) => option.id) : [],
    does: {
      go: () => document.getElementById(GO_TO)?.focus(),
      check: () => void (tutor && !state?.checked && state?.response && store.check(current)),
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
    filled,
    page,
    look,
    onLook: (next: Look) => (applyLook(next), setLook(next)),
    onShortcuts: setShortcuts,
    along: (
      <Suspense fallback={<Loading what="Fetching it" />}>
        <TakeAlong owner={user} store={store} now={now} />
      </Suspense>
    ),
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
              // What was in front of one was of the question before.
              if (!store.timeUp()) setFace('questions');
            }}
            onBreak={() => setFace('taking a break')}
            kitOpen={open !== null}
            onKit={() => (open ? kit.close() : kit.take('calculator'))}
          />
          <RouteLine
            questions={questions}
            current={current}
            inTurn={inTurn}
            only={only}
            sections={sections}
            noted={noted}
            open={most !== null && questions.length < most}
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
            {reading && (
              <Suspense fallback={null}>
                <ReadingTime store={store} ms={now.remainingMs} />
              </Suspense>
            )}
            {now.zero ? (
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
            ) : face === 'handing in' && most !== null ? (
              <EndCheck
                most={most}
                busy={handing}
                away={away}
                onEnd={() => void handIn()}
                onBack={() => setFace('questions')}
              />
            ) : face === 'handing in' ? (
              <HandInCheck
                sections={sections}
                questions={questions}
                inTurn={inTurn}
                busy={handing}
                waiting={away}
                onGo={go}
                onBack={() => setFace('questions')}
                onHandIn={() => void handIn()}
              />
            ) : (
              <article className="grid gap-y-4" aria-labelledby="question">
                <QuestionHeading
                  heading={heading}
                  position={current}
                  questions={questions.length}
                  most={most}
                  marks={marks}
                  penalty={penalty}
                  topic={sitting.topics[current]}
                  inTurn={inTurn}
                  only={only}
                  onOnly={setOnly}
                  onGo={go}
                  timeOf={look.ownTime ? store : null}
                />
                <OpenSection value={openSection}>
                  <QuestionStage
                    sitting={id}
                    owner={user}
                    current={current}
                    built={built}
                    questions={sitting.questions}
                    states={questions}
                    units={sitting.units}
                    narrow={open !== null}
                    below={
                      !(wide && open === 'notes') && (
                        <Kept key={filled} sitting={id} position={current} asked={noteAsked} />
                      )
                    }
                    store={store}
                    asksSureness={sitting.briefing.asksSureness}
                    reading={reading}
                    tutor={tutor}
                    packed={now.pack !== null}
                    filled={filled}
                  />
                </OpenSection>
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
          last={most === null && current === questions.length - 1}
          on={following(questions, current, only, 1)}
          back={following(questions, current, only, -1)}
          inTurn={inTurn}
          next={most === null ? null : { ask, busy: now.asking, away }}
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

/** Star and note below the question. It goes first: they follow once it is painted. */
function Kept({ sitting, position, asked }: { sitting: string; position: number; asked: { current: boolean } }) {
  const painted = useAfterPaint(position);
  return (
    <div id="kept" className="min-h-11">
      {painted === position && <StarAndNote key={position} sitting={sitting} position={position} asked={asked} />}
    </div>
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
