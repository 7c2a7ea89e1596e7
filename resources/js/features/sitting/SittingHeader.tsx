import { Coffee, Pause } from 'lucide-react';
import { useEffect, useRef, type ReactNode } from 'react';
import { Link } from 'react-router';
import { clock } from '../../ui/words';
import { LookMenu } from '../account/LookMenu';
import { KeysButton } from './KeysButton';
import type { Shortcuts } from './shortcuts';
import type { Link as SittingLink, SittingStore, Snapshot } from './sittingStore';
import { TablesButton } from './TablesButton';
import { useRemaining } from './useSitting';

/** The head of a sitting: whether all is saved, the clock, and what lies on the desk. */
export function SittingHeader(props: {
  store: SittingStore;
  now: Snapshot;
  briefing: NonNullable<Snapshot['sitting']>['briefing'];
  onZero: () => void;
  onBreak: () => void;
  onShortcuts: (shortcuts: Shortcuts) => void;
}) {
  const { store, now, briefing } = props;
  const active = now.status === 'active' && now.asked !== 'pause';
  return (
    <div className="flex flex-wrap items-center gap-x-1.5 sm:gap-x-4">
      <Link to="/" className="text-primary underline underline-offset-4">
        Today
      </Link>
      <p className="hidden min-w-0 flex-1 truncate md:block">{briefing.title}</p>
      <Saved link={now.link} />
      <span className="flex-1 md:hidden" />
      {briefing.mode === 'timed' && <Countdown store={store} onZero={props.onZero} paused={now.status === 'paused'} />}
      {briefing.pausable && (
        <Tool label="Pause" off={!active} onUse={() => void store.pause()}>
          <Pause aria-hidden="true" className="size-4.5" />
        </Tool>
      )}
      {now.breaksLeft > 0 && (
        <Tool label="Break" off={!active} onUse={props.onBreak}>
          <Coffee aria-hidden="true" className="size-4.5" />
        </Tool>
      )}
      <TablesButton exam={briefing.exam} />
      <KeysButton onChange={props.onShortcuts} />
      <LookMenu />
    </div>
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
      ? link.waiting === 0
        ? 'No connection: trying again'
        : link.kept
          ? `No connection: ${link.waiting} kept on this device`
          : `No connection: ${link.waiting} not saved, keep this page open`
      : link.kind === 'saving'
        ? 'Saving…'
        : link.kind === 'full'
          ? 'Full: hand it in'
          : 'All saved';
  return (
    <p
      role="status"
      className={link.kind === 'away' || link.kind === 'full' ? 'font-bold text-warning' : 'text-base-content/75'}
    >
      {words}
    </p>
  );
}
