import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { Button, ButtonLink } from '../../ui/Button';
import { Failure } from '../../ui/Failure';
import { Loading } from '../../ui/Loading';
import { Notice } from '../../ui/Notice';
import { count, duration } from '../../ui/words';
import type { Link as SittingLink, SittingStore } from './sittingStore';

/** What stands in place of a sitting while it cannot be shown. */
export function NotHere({ id, link, store }: { id: string; link: SittingLink; store: SittingStore }) {
  if (link.kind === 'elsewhere') {
    const one = link.waiting === 1;
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
            ` ${count(link.waiting, 'answer')} that you made here ${one ? 'is' : 'are'} not saved yet; go on here to save ${one ? 'it' : 'them'}.`}
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
  return (
    <Alone>
      {link.kind === 'failed' ? (
        <Failure error={link.error} retry={() => void store.open()} />
      ) : (
        <Loading what="Opening your test" />
      )}
    </Alone>
  );
}

function Alone({ children }: { children: ReactNode }) {
  return <main className="mx-auto grid max-w-2xl gap-6 p-6 pt-16">{children}</main>;
}

export function Paused({ onResume, going, timed }: { onResume: () => void; going: Going; timed: boolean }) {
  return (
    <Standstill title="Paused" go="Go on" onGo={onResume} going={going}>
      {timed ? 'The clock stands still. ' : ''}You can close this page; every answer is kept, and you go on at the same
      question.
    </Standstill>
  );
}

/** A pause that the server has not heard of is none, and must not look like one. */
export function Pausing({ away, timed, onBack }: { away: boolean; timed: boolean; onBack: () => void }) {
  if (!away) return <Loading what="Pausing" />;
  return (
    <Standstill title="Not paused yet" go="Go back to the questions" onGo={onBack}>
      There is no connection just now. {timed ? 'The clock goes on' : 'Your time goes on'} until the server hears that
      you want to pause; this page keeps trying.
    </Standstill>
  );
}

export function OnBreak({ ms, onEnd, going }: { ms: number; onEnd: () => void; going: Going }) {
  return (
    <Standstill title="On a break" go="End the break" onGo={onEnd} going={going}>
      {ms > 0 && `${duration(ms)} are meant for it. `}The clock goes on. Questions that you have seen stay as they are;
      those after them are still open to you.
    </Standstill>
  );
}

/** Whether going on has been asked for, and whether the server cannot be asked. */
type Going = 'no' | 'asked' | 'away';

/** The clock has run out here, and the server has not said so yet. */
export function TimeUp({ away, waiting }: { away: boolean; waiting: number }) {
  if (!away) return <Loading what="Handing in" />;
  return (
    <section className="mx-auto grid max-w-xl justify-items-start gap-4 pt-10">
      <h1 className="text-2xl font-bold">Time is up</h1>
      <p>
        There is no connection just now.
        {waiting > 0 &&
          ` ${count(waiting, 'answer')} that you made in time ${waiting === 1 ? 'waits' : 'wait'} here.`}{' '}
        Your test is handed in as soon as the server is reached; this page keeps trying.
      </p>
    </section>
  );
}

function Standstill(props: { title: string; children: ReactNode; go: string; onGo: () => void; going?: Going }) {
  return (
    <section className="mx-auto grid max-w-xl justify-items-start gap-4 pt-10">
      <h1 className="text-2xl font-bold">{props.title}</h1>
      <p>{props.children}</p>
      {props.going === 'away' && (
        <Notice tone="warn">
          There is no connection just now. You go on as soon as the server has heard of it; this page keeps trying.
        </Notice>
      )}
      <Button weight="main" busy={props.going === 'asked'} onClick={props.onGo}>
        {props.go}
      </Button>
    </section>
  );
}
