import { useEffect } from 'react';
import { Button, ButtonLink } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { clock, count } from '../../ui/words';
import { isToCheck, type QuestionState, type SittingStore, type Snapshot } from './sittingStore';
import { useRemaining } from './useSitting';

/** Whether its clock runs on while nobody is there. */
export function runsOn({ status, sitting, deadline }: Snapshot): boolean {
  const isOn = status === 'active' || status === 'reading' || status === 'on_break';
  return isOn && deadline !== null && sitting?.briefing.pausable === false;
}

/** What cannot be taken back, or is done by a slip: going on from a blank, seeing a key, leaving a clock that runs. */
export type First =
  | { before: 'closing'; to: number; blank: readonly number[] }
  | { before: 'showing' }
  | { before: 'checking all' }
  | { before: 'leaving' };

/** The one question that stands before something is done. */
export function AskFirst(props: {
  first: First;
  store: SittingStore;
  current: number;
  onMove: (position: number) => void;
  /** It was thought better of, or is done. */
  onOver: () => void;
}) {
  const { first, store, current, onMove, onOver } = props;
  switch (first.before) {
    case 'closing': {
      const here = first.blank.includes(current) ? current : (first.blank[0] ?? current);
      return <ClosingBlank {...first} onStay={() => onMove(here)} onGo={() => onMove(first.to)} />;
    }
    case 'showing':
      return (
        <ShowingBlank
          position={current}
          onStay={onOver}
          onShow={() => {
            onOver();
            void store.check(current);
          }}
        />
      );
    case 'checking all':
      return (
        <CheckingAll
          questions={store.read().questions}
          onStay={onOver}
          onCheck={() => {
            onOver();
            void store.checkAll();
          }}
        />
      );
    case 'leaving':
      return <Leaving store={store} onStay={onOver} />;
  }
}

/** Asked before questions of a series that were seen are closed without an answer. */
function ClosingBlank(props: { to: number; blank: readonly number[]; onStay: () => void; onGo: () => void }) {
  const one = props.blank.length === 1;
  const which = props.blank.map((position) => position + 1).join(', ');
  return (
    <Dialog
      title={`Leave question${one ? '' : 's'} ${which} blank?`}
      onClose={props.onStay}
      actions={
        <>
          <Button weight="main" onClick={props.onStay}>
            Answer {one ? 'it' : 'them'} first
          </Button>
          <Button onClick={props.onGo}>
            Leave {one ? 'it' : 'them'} blank and go to {props.to + 1}
          </Button>
        </>
      }
    >
      <p>
        There is no going back in a series. Once you go on, {one ? 'it is' : 'they are'} closed and{' '}
        {one ? 'counts' : 'count'} as left blank.
      </p>
    </Dialog>
  );
}

/** Asked before the key of a question is shown that has no answer. */
function ShowingBlank(props: { position: number; onStay: () => void; onShow: () => void }) {
  return (
    <Dialog
      title={`Show the answer to question ${props.position + 1}?`}
      onClose={props.onStay}
      actions={
        <>
          <Button weight="main" onClick={props.onStay}>
            Answer it first
          </Button>
          <Button onClick={props.onShow}>Show it</Button>
        </>
      }
    >
      <p>You have not answered it. Once it is shown it counts as left blank, and it is new to you no more.</p>
    </Dialog>
  );
}

/** Asked before all answers so far are settled at once. */
function CheckingAll(props: { questions: readonly QuestionState[]; onStay: () => void; onCheck: () => void }) {
  const n = props.questions.filter(isToCheck).length;
  const rest = props.questions.filter(({ checked, response }) => !checked && !response).length;
  return (
    <Dialog
      title={`Check ${n === 1 ? 'your answer' : `all ${n} answers`}?`}
      onClose={props.onStay}
      actions={
        <>
          <Button weight="main" onClick={props.onCheck}>
            Check {n === 1 ? 'it' : 'them'}
          </Button>
          <Button onClick={props.onStay}>Not yet</Button>
        </>
      }
    >
      <p>
        You see what is right and why. What is checked can no longer be changed
        {rest > 0 && `; the ${count(rest, 'question')} without an answer ${rest === 1 ? 'stays' : 'stay'} open`}.
      </p>
    </Dialog>
  );
}

/** Asked before one goes elsewhere while the clock runs on. */
function Leaving({ store, onStay }: { store: SittingStore; onStay: () => void }) {
  const left = useRemaining(store);
  return (
    <Dialog
      title="The clock runs on"
      onClose={onStay}
      actions={
        <>
          <Button weight="main" onClick={onStay}>
            Stay here
          </Button>
          <ButtonLink to="/">Leave all the same</ButtonLink>
        </>
      }
    >
      <p>
        This test cannot be paused{left !== null && <>: {clock(left)} left</>}. Every answer is kept, and you can come
        back while there is time.
      </p>
    </Dialog>
  );
}

/** The browser asks too, before the page is closed or another address is gone to. */
export function useWarned(on: boolean): void {
  useEffect(() => {
    if (!on) return;
    const ask = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, [on]);
}
