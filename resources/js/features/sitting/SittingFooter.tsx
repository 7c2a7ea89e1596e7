import { ChevronLeft, Flag, FlagOff } from 'lucide-react';
import { Button } from '../../ui/Button';
import type { QuestionState } from './sittingStore';

// Made once: the foot is drawn again with every question.
const BACK = <ChevronLeft aria-hidden="true" className="size-4.5 sm:hidden" />;
const FLAG = <Flag aria-hidden="true" className="size-4.5" />;
const FLAG_OFF = <FlagOff aria-hidden="true" className="size-4.5" />;

/** What can be done with the question on screen, always in reach of the thumb. */
export function SittingFooter(props: {
  state: QuestionState;
  last: boolean;
  /** Where going on and back lead; null: nowhere. */
  on: number | null;
  back: number | null;
  /** One after the other: there is no going back. */
  inTurn: boolean;
  /** Where what comes next has to be asked for; null: it is known. */
  next: { ask: () => void; busy: boolean; away: boolean } | null;
  tutor: boolean;
  /** There is nothing to hand in yet. */
  reading: boolean;
  onGo: (position: number) => void;
  onFlag: (on: boolean) => void;
  onCheck: () => void;
  onHandIn: () => void;
}) {
  const { state, last } = props;
  const unchecked = props.tutor && !state.checked;
  return (
    <footer className="sticky bottom-0 border-t border-base-300 bg-base-100 px-4 py-2.5 sm:px-6">
      <div className="mx-auto flex max-w-7xl items-center gap-2 sm:gap-3">
        {!props.next && (
          <Button
            onClick={() => props.back !== null && props.onGo(props.back)}
            disabled={props.back === null || props.inTurn}
          >
            {BACK}
            <span className="max-sm:sr-only">Back</span>
          </Button>
        )}
        <Button aria-pressed={state.flagged} onClick={() => props.onFlag(!state.flagged)}>
          {state.flagged ? FLAG_OFF : FLAG}
          <span className="max-sm:sr-only">{state.flagged ? 'Unflag' : 'Flag'}</span>
        </Button>
        {/* Far from going on, so that nobody hands in by a slip. */}
        {!props.reading && (!last || unchecked) && (
          // On a phone there is room for four; handing in is offered again once this question is checked.
          <Button weight="quiet" className={unchecked && !last ? 'max-sm:hidden' : ''} onClick={props.onHandIn}>
            {props.next ? 'End it here' : 'Hand in'}
          </Button>
        )}
        <span className="flex-1" />
        {unchecked ? (
          <Button weight="main" disabled={!state.response} onClick={props.onCheck}>
            Check
          </Button>
        ) : last && !props.reading ? (
          <Button weight="main" onClick={props.onHandIn}>
            Hand in
          </Button>
        ) : null}
        {props.next ? (
          <>
            {props.next.away && <span className="text-sm max-sm:hidden">The next question needs a connection.</span>}
            <Button weight={state.response ? 'main' : 'plain'} busy={props.next.busy} onClick={props.next.ask}>
              {state.response ? 'Next' : 'Leave it blank'}
            </Button>
          </>
        ) : !last ? (
          <Button
            weight={unchecked ? 'plain' : 'main'}
            disabled={props.on === null}
            onClick={() => props.on !== null && props.onGo(props.on)}
          >
            Next
          </Button>
        ) : null}
      </div>
    </footer>
  );
}
