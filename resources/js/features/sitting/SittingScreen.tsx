import { useQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import { ChevronLeft, Flag, FlagOff, Pause } from 'lucide-react';
import { useCallback, useEffect, useRef, useState } from 'react';
import { Link, Navigate, useNavigate, useParams } from 'react-router';
import { explanation, queries, session } from '../../api/queries';
import { Button, ButtonLink } from '../../ui/Button';
import { Failure } from '../../ui/Failure';
import { Loading } from '../../ui/Loading';
import { Notice } from '../../ui/Notice';
import { useTitle } from '../../ui/useTitle';
import { clock, count } from '../../ui/words';
import { LookMenu } from '../account/LookMenu';
import { Explained } from '../scoring/Explained';
import { HandInCheck } from './HandInCheck';
import { QuestionCard } from './QuestionCard';
import { RouteLine } from './RouteLine';
import { TablesButton } from './TablesButton';
import { UnitPanel } from './UnitPanel';
import type { Link as SittingLink, QuestionState, SittingStore, Snapshot } from './sittingStore';
import { useRemaining, useSitting, useSnapshot } from './useSitting';

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

  if (link.kind === 'handedIn') return <Navigate to={`/result/${id}`} state={{ late: now.late }} replace />;
  if (link.kind === 'elsewhere') {
    return (
      <Alone>
        <Notice
          tone="warn"
          action={
            <Button weight="main" onClick={() => void store.open(true)}>
              Go on here
            </Button>
          }
        >
          {link.message}
          {link.waiting > 0 &&
            ` ${count(link.waiting, 'answer')} that you made here ${link.waiting === 1 ? 'is' : 'are'} not saved yet; go on here to save ${link.waiting === 1 ? 'it' : 'them'}.`}
        </Notice>
        <p>
          <Link to="/">Go to today</Link>
        </p>
      </Alone>
    );
  }
  if (link.kind === 'signedOut') {
    return (
      <Alone>
        <Notice
          tone="warn"
          action={
            <ButtonLink weight="main" to={`/sign-in?to=/sit/${id}`}>
              Sign in
            </ButtonLink>
          }
        >
          You have been signed out. What you did is kept on this device and is saved once you sign in again.
        </Notice>
      </Alone>
    );
  }
  if (link.kind === 'failed') {
    return (
      <Alone>
        <Failure error={link.error} retry={() => void store.open()} />
      </Alone>
    );
  }
  if (!now.sitting || now.questions.length === 0) {
    return (
      <Alone>
        <Loading what="Opening your test" />
      </Alone>
    );
  }
  return <Open id={id} store={store} now={now} sitting={now.sitting} />;
}

function Alone({ children }: { children: React.ReactNode }) {
  return <main className="mx-auto grid max-w-2xl gap-6 p-6 pt-16">{children}</main>;
}

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
  const navigate = useNavigate();
  const [checking, setChecking] = useState(false);
  const [handing, setHanding] = useState(false);
  const heading = useRef<HTMLHeadingElement>(null);
  const { current, questions } = now;
  const state = questions[current];
  const question = sitting.questions[current];
  const unit = sitting.units.find(({ code }) => code === question?.unit);
  const tutor = sitting.briefing.mode === 'tutor';
  const last = current === questions.length - 1;

  const go = useCallback(
    (position: number) => {
      setChecking(false);
      store.show(position);
      heading.current?.focus();
    },
    [store],
  );
  const handIn = useCallback(async () => {
    setHanding(true);
    const done = await store.handIn();
    setHanding(false);
    if (!done) return;
    await queries.invalidateQueries();
    void navigate(`/result/${id}`, { replace: true, state: { late: store.read().late } });
  }, [id, navigate, store]);
  useKeys({
    store,
    state,
    count: questions.length,
    options: question?.kind === 'single' ? question.options.map((option) => option.id) : [],
    go,
    off: checking || now.status !== 'active',
  });

  if (!state || !question) return null;
  return (
    <div className="flex min-h-dvh flex-col">
      <header className="sticky top-0 z-10 border-b border-base-300 bg-base-100 px-4 pt-2 sm:px-6">
        <div className="mx-auto max-w-5xl">
          <div className="flex flex-wrap items-center gap-x-1.5 sm:gap-x-4">
            <Link to="/" className="text-primary underline underline-offset-4">
              Today
            </Link>
            <p className="hidden min-w-0 flex-1 truncate md:block">{sitting.briefing.title}</p>
            <Saved link={now.link} />
            <span className="flex-1 md:hidden" />
            {sitting.briefing.mode === 'timed' && (
              <Countdown store={store} onZero={() => void handIn()} paused={now.status === 'paused'} />
            )}
            <button
              type="button"
              className="flex min-h-11 min-w-9 cursor-pointer items-center justify-center gap-1.5"
              onClick={() => void store.pause()}
              disabled={now.status !== 'active'}
            >
              <Pause aria-hidden="true" className="size-4.5" /> <span className="max-sm:sr-only">Pause</span>
            </button>
            <TablesButton exam={sitting.briefing.exam} />
            <LookMenu />
          </div>
          <RouteLine questions={questions} current={current} onGo={go} />
        </div>
      </header>

      <main className="w-full flex-1 px-4 py-6 sm:px-6">
        <div className={clsx('mx-auto', unit && !checking && now.status !== 'paused' ? 'max-w-7xl' : 'max-w-5xl')}>
          {now.refused && (
            <div className="mb-4">
              <Notice tone="warn">Your last answer does not count: {now.refused}</Notice>
            </div>
          )}
          {now.status === 'paused' ? (
            <Paused onResume={() => void store.resume()} timed={sitting.briefing.mode === 'timed'} />
          ) : checking ? (
            <HandInCheck
              questions={questions}
              busy={handing}
              waiting={now.link.kind === 'away'}
              onGo={go}
              onBack={() => setChecking(false)}
              onHandIn={() => void handIn()}
            />
          ) : (
            <article
              className={clsx('grid gap-x-8 gap-y-4', unit && 'lg:grid-cols-[minmax(0,5fr)_minmax(0,6fr)]')}
              aria-labelledby="question"
            >
              <h1 id="question" ref={heading} tabIndex={-1} className="col-span-full text-base-content/75 outline-none">
                Question {current + 1} of {questions.length}
                {question.marks !== '1' && `, ${question.marks} marks`}
                {question.penalty &&
                  `, a wrong answer costs ${question.penalty} of ${question.marks === '1' ? 'a mark' : 'them'}`}
              </h1>
              {unit && <UnitPanel key={unit.code} unit={unit} position={current} />}
              {state.checked && state.outcome ? (
                <Answered sitting={id} position={current} />
              ) : (
                <QuestionCard key={current} question={question} state={state} store={store} />
              )}
            </article>
          )}
        </div>
      </main>

      {!checking && now.status !== 'paused' && (
        <footer className="sticky bottom-0 border-t border-base-300 bg-base-100 px-4 py-2.5 sm:px-6">
          <div className="mx-auto flex max-w-5xl items-center gap-2 sm:gap-3">
            <Button onClick={() => go(current - 1)} disabled={current === 0}>
              <ChevronLeft aria-hidden="true" className="size-4.5 sm:hidden" />
              <span className="max-sm:sr-only">Back</span>
            </Button>
            <Button aria-pressed={state.flagged} onClick={() => store.flag(current, !state.flagged)}>
              {state.flagged ? (
                <FlagOff aria-hidden="true" className="size-4.5" />
              ) : (
                <Flag aria-hidden="true" className="size-4.5" />
              )}
              <span className="max-sm:sr-only">{state.flagged ? 'Unflag' : 'Flag'}</span>
            </Button>
            <span className="flex-1" />
            {(!last || (tutor && !state.checked)) && (
              // On a phone there is room for four; handing in is offered again once this question is checked.
              <Button
                weight="quiet"
                className={tutor && !state.checked && !last ? 'max-sm:hidden' : ''}
                onClick={() => setChecking(true)}
              >
                Hand in
              </Button>
            )}
            {tutor && !state.checked ? (
              <Button weight="main" disabled={!state.response} onClick={() => void store.check(current)}>
                Check
              </Button>
            ) : last ? (
              <Button weight="main" onClick={() => setChecking(true)}>
                Hand in
              </Button>
            ) : null}
            {!last && (
              <Button weight={tutor && !state.checked ? 'plain' : 'main'} onClick={() => go(current + 1)}>
                Next
              </Button>
            )}
          </div>
        </footer>
      )}
    </div>
  );
}

/** Digits choose, square brackets go back and on, F flags. */
function useKeys(keys: {
  store: SittingStore;
  state: QuestionState | undefined;
  count: number;
  options: string[];
  go: (position: number) => void;
  off: boolean;
}) {
  const { store, state, count, options, go, off } = keys;
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const typing =
        event.target instanceof HTMLElement &&
        event.target.closest('input:not([type=radio]), textarea, select, dialog');
      if (off || !state || typing || event.ctrlKey || event.metaKey || event.altKey) return;
      const option = options[Number(event.key) - 1];
      if (event.key === '[' && state.position > 0) go(state.position - 1);
      else if (event.key === ']' && state.position < count - 1) go(state.position + 1);
      else if (event.key === 'f') store.flag(state.position, !state.flagged);
      else if (option && !state.locked) store.answer(state.position, { choice: option });
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  });
}

function Answered({ sitting, position }: { sitting: string; position: number }) {
  const page = useQuery(explanation(sitting, position));
  if (page.isPending) return <Loading what="Fetching the reasons" />;
  if (page.isError) return <Failure error={page.error} retry={() => void page.refetch()} />;
  return <Explained sitting={sitting} explanation={page.data} />;
}

function Countdown({ store, onZero, paused }: { store: SittingStore; onZero: () => void; paused: boolean }) {
  const left = useRemaining(store);
  const rung = useRef(false);
  useEffect(() => {
    if (left !== null && left <= 0 && !paused && !rung.current) {
      rung.current = true;
      onZero();
    }
  }, [left, onZero, paused]);
  if (left === null) return null;
  return (
    <p role="timer" aria-label="Time left" className="font-mono text-lg font-bold">
      {clock(left)}
      <span className="sr-only"> left</span>
    </p>
  );
}

function Saved({ link }: { link: SittingLink }) {
  const words =
    link.kind === 'away'
      ? link.waiting
        ? `No connection: ${link.waiting} kept on this device`
        : 'No connection: trying again'
      : link.kind === 'saving'
        ? 'Saving…'
        : 'All saved';
  return (
    <p role="status" className={link.kind === 'away' ? 'font-bold text-warning' : 'text-base-content/75'}>
      {words}
    </p>
  );
}

function Paused({ onResume, timed }: { onResume: () => void; timed: boolean }) {
  return (
    <section className="mx-auto grid max-w-xl justify-items-start gap-4 pt-10">
      <h1 className="text-2xl font-bold">Paused</h1>
      <p>
        {timed ? 'The clock stands still. ' : ''}You can close this page; every answer is kept, and you go on at the
        same question.
      </p>
      <Button weight="main" onClick={onResume}>
        Go on
      </Button>
    </section>
  );
}
