import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useParams } from 'react-router';
import { session } from '../../api/queries';
import { Loading } from '../../ui/Loading';
import { Notice } from '../../ui/Notice';
import { OUTCOMES, type OutcomeName } from '../../ui/Outcome';
import { useHeightOf } from '../../ui/useHeightOf';
import { useTitle } from '../../ui/useTitle';
import { useAfterPaint } from '../../ui/useAfterPaint';
import { useWide } from '../../ui/useWide';
import { applyLook, readLook, type Look } from '../../ui/look';
import { StarAndNote } from '../library/StarAndNote';
import { useKept, useNoted, useStarring } from '../library/useKept';
import { OpenSection } from '../result/openSection';
import { barred, firstOf, leftBlankBy, waysFrom, type Only } from './following';
import { HandedIn } from './HandedIn';
import { useKit, type Workbench } from './kit/kit';
import { KitPanel, TIMED } from './kit/KitPanel';
import { AskFirst, runsOn, useWarned, type First } from './AskFirst';
import { KitTool } from './kit/KitTools';
import { Ruler } from './kit/Ruler';
import { NotHere } from './Interruptions';
import { GO_TO, QuestionHeading } from './QuestionHeading';
import { QuestionStage } from './QuestionStage';
import { RouteLine } from './RouteLine';
import { startsOf } from './sections';
import { readShortcuts } from '../../ui/shortcuts';
import { SittingFace, type Face } from './SittingFace';
import { SittingFooter } from './SittingFooter';
import { SittingHeader } from './SittingHeader';
import type { SittingStore, Snapshot } from './sittingStore';
import { useShortcuts } from './useShortcuts';
import { useAhead } from './useAhead';
import { useSitting, useSnapshot } from './useSitting';

export function Component() {
  const { sitting = '' } = useParams();
  const who = useQuery(session);
  return <Sitting key={sitting} id={sitting} user={who.data?.user?.email ?? ''} />;
}

function Sitting({ id, user }: { id: string; user: string }) {
  const store = useSitting(id, user);
  const now = useSnapshot(store);
  const { link } = now;
  if (link.kind === 'handedIn') return <HandedIn id={id} late={now.late} />;
  const gone = link.kind === 'elsewhere' || link.kind === 'signedOut' || link.kind === 'failed';
  if (gone || !now.sitting || now.questions.length === 0) return <NotHere id={id} link={link} store={store} />;
  return <Open id={id} user={user} store={store} now={now} sitting={now.sitting} />;
}

const TakeAlong = lazy(async () => ({ default: (await import('./packs/TakeAlong')).TakeAlong }));
const ReadingTime = lazy(async () => ({ default: (await import('./ReadingTime')).ReadingTime }));

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
  const [first, askFirst] = useState<First | null>(null);
  const [only, setOnly] = useState<Only>('all');
  const [shortcuts, setShortcuts] = useState(readShortcuts);
  const [look, setLook] = useState(readLook);
  const [page, setPage] = useState<string | null>(null);
  // A field that was filled from beside is made anew, for it keeps what is being typed.
  const [filled, setFilled] = useState(0);
  const [covered, cover] = useState(false);
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
  const off = useMemo(() => barred(now), [now]);
  const known = questions[current];
  const state = known && now.status === 'reading' ? { ...known, locked: true } : known;
  const question = sitting.questions[current];
  const unit = sitting.units.find((one) => one.id === question?.unit);
  const tutor = sitting.briefing.mode === 'tutor';
  // What was taken along by an older version does not say.
  const most = sitting.briefing.most || null;
  const inTurn = now.questionMs !== null || most !== null;
  const away = now.link.kind === 'away';
  const reading = now.status === 'reading';
  const asking = !now.zero && face === 'questions' && (reading || now.status === 'active') && now.asked !== 'pause';

  const move = useCallback(
    (position: number) => {
      askFirst(null);
      setFace('questions');
      store.show(position);
      heading.current?.focus();
    },
    [store],
  );
  const go = useCallback(
    (position: number) => {
      const here = store.read();
      const to = firstOf(here, position);
      const blank = here.status === 'active' ? leftBlankBy(here, to) : [];
      if (blank.length > 0) askFirst({ before: 'closing', to, blank });
      else move(to);
    },
    [store, move],
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
  // The button is gone with the answer: who reads by ear is led to what is new.
  const check = () => void store.check(current).then(() => heading.current?.focus());
  const ask = () => void store.next().then(() => heading.current?.focus());
  const ways = waysFrom(questions, current, only);
  const leadTo = (position: number | null) => (position === null ? null : () => go(position));
  useTitle(sitting.briefing.title);
  useWarned(runsOn(now));
  useEffect(() => {
    store.checksAtOnce = look.checkAtOnce;
  }, [store, look.checkAtOnce]);
  useHeightOf(head, '--head');
  const built = useAhead(id, sitting, now);
  useShortcuts({
    shortcuts,
    store,
    state,
    // Held down, the key must not leave a question blank for good.
    on: state?.response || (most === null && now.questionMs === null) ? (most === null ? leadTo(ways.on) : ask) : null,
    back: leadTo(ways.back),
    options: question?.body.kind === 'single' ? question.body.options.map((option) => option.id) : [],
    does: {
      go: () => document.getElementById(GO_TO)?.focus(),
      check: () => tutor && !state?.checked && state?.response && check(),
      star: () => starring.mutate(!starred),
      note,
      calculator: () => kit.toggle('calculator'),
      tables: () => kit.toggle('tables'),
      scratch: () => kit.toggle('scratch'),
      keys: () => kit.toggle('keys'),
    },
    off: !asking || first !== null,
  });

  if (!state || !question) return null;
  const { marks, penalty } = question;
  // Beside a question that stands alone there is room.
  const open = !asking ? null : kit.open === undefined ? (wide && !unit ? 'notes' : null) : kit.open;
  const number = question.body.kind === 'number' ? (state.response as { text?: string; unit?: string } | null) : null;
  const bench: Workbench = {
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
      <p role="status" className="sr-only">
        {asking && !covered && state.checked && state.outcome && outcomeSaid(current, state.outcome)}
      </p>
      <a href="#question" className="btn btn-primary sr-only top-2 left-2 z-20 focus:not-sr-only focus:fixed">
        Skip to the question
      </a>
      {look.ruler && asking && <Ruler />}
      <header
        ref={head}
        className="sticky top-0 z-20 short:static border-b border-base-300 bg-base-100 px-4 pt-2 sm:px-6"
      >
        <div className="mx-auto max-w-7xl">
          <SittingHeader
            store={store}
            now={now}
            briefing={sitting.briefing}
            onZero={() => {
              // What was in front of one was of the question before.
              if (!store.timeUp()) setFace('questions');
            }}
            onLeave={runsOn(now) ? () => askFirst({ before: 'leaving' }) : null}
            onBreak={() => setFace('taking a break')}
            kitOpen={open !== null}
            onKit={() => (open ? kit.close() : kit.take('calculator'))}
          />
          <RouteLine
            questions={covered ? questions.map((one) => ({ ...one, outcome: null })) : questions}
            current={current}
            inTurn={inTurn}
            only={only}
            sections={sections}
            noted={noted}
            barred={off}
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
            <SittingFace
              store={store}
              now={now}
              briefing={sitting.briefing}
              sections={sections}
              noted={noted}
              face={face}
              onFace={setFace}
              busy={handing}
              onHandIn={() => void handIn()}
              onGo={go}
            >
              <article className="grid gap-y-4" aria-labelledby="question">
                <QuestionHeading
                  heading={heading}
                  position={current}
                  questions={questions}
                  most={most}
                  marks={marks}
                  penalty={penalty}
                  topic={sitting.topics[current]}
                  inTurn={inTurn}
                  only={only}
                  onOnly={setOnly}
                  onGo={go}
                  timeOf={look.ownTime ? store : null}
                  checking={
                    sitting.briefing.mode === 'untimed' && most === null
                      ? { onAll: () => askFirst({ before: 'checking all' }), covered, cover }
                      : null
                  }
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
                    covered={covered}
                    filled={filled}
                  />
                </OpenSection>
              </article>
            </SittingFace>
          </div>
        </main>
        {asking && (
          <KitPanel kit={kit} open={open} {...(sitting.briefing.mode === 'timed' && { tools: TIMED })}>
            {(tool) => <KitTool tool={tool} bench={bench} />}
          </KitPanel>
        )}
      </div>

      {first && !now.zero && (
        <AskFirst first={first} store={store} current={current} onMove={move} onOver={() => askFirst(null)} />
      )}
      {asking && (
        <SittingFooter
          state={state}
          ways={ways}
          onAll={() => setOnly('all')}
          inTurn={inTurn}
          next={most === null ? null : { ask, busy: now.asking, away }}
          tutor={tutor}
          reading={reading}
          onGo={go}
          onFlag={(on) => store.flag(current, on)}
          onCheck={check}
          onShow={() => askFirst({ before: 'showing' })}
          onHandIn={() => setFace('handing in')}
        />
      )}
    </div>
  );
}

/** What came of a question, for the ear. */
function outcomeSaid(position: number, outcome: OutcomeName): string {
  return `Question ${position + 1}: ${OUTCOMES[outcome].toLowerCase()}.`;
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
