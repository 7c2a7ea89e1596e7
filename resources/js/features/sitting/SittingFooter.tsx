import { ChevronLeft, Flag, FlagOff } from 'lucide-react';
import { Button } from '../../ui/Button';
import type { Ways } from './following';
import type { QuestionState } from './sittingStore';

// Made once: the foot is drawn again with every question.
const BACK = <ChevronLeft aria-hidden="true" className="size-4.5 sm:hidden" />;
const FLAG = <Flag aria-hidden="true" className="size-4.5" />;
const FLAG_OFF = <FlagOff aria-hidden="true" className="size-4.5" />;

/** What can be done with the question on screen, always in reach of the thumb. */
export function SittingFooter(props: {
  state: QuestionState;
  ways: Ways;
  /** One after the other: there is no going back. */
  inTurn: boolean;
  /** Where what comes next has to be asked for; null: it is known. */
  next: { ask: () => void; busy: boolean; away: boolean } | null;
  tutor: boolean;
  /** There is nothing to hand in yet. */
  reading: boolean;
  onGo: (position: number) => void;
  /** Going on leads to all questions again. */
  onAll: () => void;
  onFlag: (on: boolean) => void;
  onCheck: () => void;
  /** The key is wanted without an answer. */
  onShow: () => void;
  onHandIn: () => void;
}) {
  const { state, ways, next, inTurn } = props;
  const { on, back, only, unanswered } = ways;
  const unchecked = props.tutor && !state.checked;
  const last = next === null && only === 'all' && ways.last;
  // Handing in is what comes next only where nothing is open any more.
  const atEnd = last && !unchecked && (inTurn || unanswered.length === 0);
  const going = unchecked ? 'plain' : 'main';
  return (
    <footer className="sticky bottom-0 border-t border-base-300 bg-base-100 px-4 py-2.5 sm:px-6 short:py-1">
      <div className="mx-auto flex max-w-7xl flex-wrap items-center gap-2 sm:gap-3">
        {!next && (
          <Button onClick={() => back !== null && props.onGo(back)} disabled={back === null || inTurn}>
            {BACK}
            <span className="max-sm:sr-only">Back</span>
          </Button>
        )}
        <Button aria-pressed={state.flagged} onClick={() => props.onFlag(!state.flagged)}>
          {state.flagged ? FLAG_OFF : FLAG}
          <span className="max-sm:sr-only">{state.flagged ? 'Unflag' : 'Flag'}</span>
        </Button>
        {/* Far from going on, and never where another button was, so that nobody hands in by a slip. */}
        {!props.reading && (
          // On a phone there is room for four; handing in is offered again once this question is checked.
          <Button
            weight={atEnd ? 'main' : 'quiet'}
            className={unchecked && !last ? 'max-sm:hidden' : ''}
            onClick={props.onHandIn}
          >
            {next ? 'End it here' : 'Hand in'}
          </Button>
        )}
        <span className="flex-1" />
        {unchecked && state.response ? (
          <Button weight="main" onClick={props.onCheck}>
            Check
          </Button>
        ) : unchecked ? (
          <Button onClick={props.onShow}>Show it</Button>
        ) : null}
        {next ? (
          <>
            {next.away && <span className="text-sm max-sm:hidden">The next question needs a connection.</span>}
            <Button weight={state.response ? 'main' : 'plain'} busy={next.busy} onClick={next.ask}>
              {state.response ? 'Next' : 'Leave it blank'}
            </Button>
          </>
        ) : on !== null ? (
          <Button weight={inTurn && !state.response ? 'plain' : going} onClick={() => props.onGo(on)}>
            {inTurn && !state.response ? 'Leave it blank' : 'Next'}
          </Button>
        ) : only !== 'all' ? (
          <Button weight={going} onClick={props.onAll}>
            All questions again
          </Button>
        ) : unanswered[0] !== undefined && !inTurn && !props.reading ? (
          <Button weight={going} onClick={() => unanswered[0] !== undefined && props.onGo(unanswered[0])}>
            <span className="max-sm:hidden">To the next unanswered ({unanswered.length})</span>
            <span className="sm:hidden">Unanswered ({unanswered.length})</span>
          </Button>
        ) : null}
      </div>
    </footer>
  );
}
