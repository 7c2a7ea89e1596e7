import clsx from 'clsx';
import { BriefcaseBusiness, Coffee, Pause, Timer, TimerOff } from 'lucide-react';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { useTitle } from '../../ui/useTitle';
import { clock, signed, toldPercent } from '../../ui/words';
import { ahead, isTimeForBreak, paceWords, spoken } from './pace';
import { Saved } from './Saved';
import type { SittingStore, Snapshot } from './sittingStore';
import { useOwnClock, useShown } from './kit/ownClock';
import { useRemaining, useZero } from './useSitting';

// Made once: the head is drawn again with every question.
const PAUSE = <Pause aria-hidden="true" className="size-4.5" />;
const CUP = <Coffee aria-hidden="true" className="size-4.5" />;
const CASE = <BriefcaseBusiness aria-hidden="true" className="size-4.5" />;
const TIMER = <Timer aria-hidden="true" className="size-4.5" />;
const TIMER_OFF = <TimerOff aria-hidden="true" className="size-4.5" />;

/** The head of a sitting: whether all is saved, the clock, and what lies on the desk. */
export function SittingHeader(props: {
  store: SittingStore;
  now: Snapshot;
  briefing: NonNullable<Snapshot['sitting']>['briefing'];
  onZero: () => void;
  /** Asks before one leaves while the clock runs on; null: it does not. */
  onLeave: (() => void) | null;
  onBreak: () => void;
  /** Whether the kit lies open, and what takes it or puts it away: on a narrow screen it has no rail. */
  kitOpen: boolean;
  onKit: () => void;
}) {
  const { store, now, briefing } = props;
  const active = now.status === 'active' && now.asked !== 'pause';
  return (
    <div className="flex flex-wrap items-center gap-x-1.5 sm:gap-x-4">
      <Link
        to="/"
        className="text-primary underline underline-offset-4"
        onClick={(event) => {
          if (!props.onLeave || event.ctrlKey || event.metaKey || event.shiftKey) return;
          event.preventDefault();
          props.onLeave();
        }}
      >
        Today
      </Link>
      <p className="hidden min-w-0 flex-1 truncate md:block">{briefing.title}</p>
      {now.score && now.score.questions > 0 && (
        <p className="whitespace-nowrap">
          {signed(now.score.marks)} of {now.score.possible}
          <span className="max-sm:sr-only"> marks so far</span>
          {now.score.percent !== null && `, ${toldPercent(now.score.percent)}`}
        </p>
      )}
      <Saved link={now.link} />
      <span className="flex-1 md:hidden" />
      {briefing.mode === 'timed' && now.status !== 'reading' && (
        <Countdown
          store={store}
          onZero={props.onZero}
          title={briefing.title}
          of={now.questionMs === null ? 'left' : 'left for this question'}
          pace={(remaining) =>
            briefing.most !== null
              ? null
              : ahead(
                  briefing,
                  now.sitting?.questions ?? [],
                  (i) => now.questions[i]?.response != null || now.questions[i]?.locked === true,
                  remaining,
                )
          }
        />
      )}
      {briefing.mode !== 'timed' && <OwnClockShown sitting={briefing.id} />}
      {briefing.pausable && (
        <Tool label="Pause" off={!active} onUse={() => void store.pause()}>
          {PAUSE}
        </Tool>
      )}
      {now.breaksLeft > 0 && (
        <Tool label="Break" off={!active || !isTimeForBreak(briefing, now.questions)} onUse={props.onBreak}>
          {CUP}
        </Tool>
      )}
      <button
        type="button"
        aria-expanded={props.kitOpen}
        className="flex min-h-11 min-w-9 cursor-pointer items-center justify-center gap-1.5 lg:hidden"
        onClick={props.onKit}
      >
        {CASE} Kit
      </button>
    </div>
  );
}

/** One's own clock, once it was started: set going and stopped in the kit. */
function OwnClockShown({ sitting }: { sitting: string }) {
  const [own] = useOwnClock(sitting);
  const ms = useShown(own);
  if (own.since === null && own.goneMs === 0) return null;
  return (
    <p className={clsx('font-mono', own.since === null && 'text-base-content/60')}>
      <span className="sr-only">My clock: </span>
      {clock(ms)}
    </p>
  );
}

function Tool(props: { label: string; off: boolean; onUse: () => void; children: ReactNode }) {
  return (
    <button
      type="button"
      className="flex min-h-11 min-w-9 cursor-pointer items-center justify-center gap-1.5 disabled:cursor-default disabled:opacity-60"
      onClick={props.onUse}
      disabled={props.off}
    >
      {props.children} <span className="max-sm:sr-only">{props.label}</span>
    </button>
  );
}

const HIDDEN = 'uplandia.clock.hidden';

function Countdown(props: {
  store: SittingStore;
  onZero: () => void;
  title: string;
  of: string;
  pace: (remaining: number) => number | null;
}) {
  const { store, onZero } = props;
  useZero(store, onZero);
  const left = useRemaining(store);
  const before = useRef<number | null>(null);
  const [said, setSaid] = useState('');
  const [hidden, setHidden] = useState(() => localStorage.getItem(HIDDEN) === '1');
  useEffect(() => {
    if (left !== null) {
      const words = spoken(before.current ?? left, left);
      if (words) setSaid(words);
      before.current = left;
    }
  }, [left]);
  // Seen from another tab, too; not by who does not want to see it.
  useTitle(left === null || hidden ? props.title : `${clock(left)} · ${props.title}`);
  if (left === null) return null;
  const hide = () => {
    localStorage.setItem(HIDDEN, hidden ? '0' : '1');
    setHidden(!hidden);
  };
  const pace = props.pace(left);
  return (
    <>
      <span role="status" className="sr-only">
        {said}
      </span>
      {pace !== null && !hidden && (
        <span
          className={clsx('whitespace-nowrap max-md:hidden', pace <= -60_000 ? 'text-warning' : 'text-base-content/75')}
        >
          {paceWords(pace)}
        </span>
      )}
      {!hidden && (
        <p role="timer" aria-label="Time left" className="font-mono text-lg font-bold">
          {clock(left)}
          <span className="sr-only"> {props.of}</span>
        </p>
      )}
      <button
        type="button"
        aria-pressed={hidden}
        aria-label={hidden ? 'Show the clock' : 'Hide the clock'}
        title={hidden ? 'Show the clock' : 'Hide the clock'}
        className="flex min-h-11 min-w-9 cursor-pointer items-center justify-center"
        onClick={hide}
      >
        {hidden ? TIMER : TIMER_OFF}
      </button>
    </>
  );
}
