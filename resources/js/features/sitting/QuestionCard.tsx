import { useId } from 'react';
import type { View } from '../../api/client';
import { Markdown } from '../../ui/Markdown';
import { Outcome } from '../../ui/Outcome';
import { Answering } from '../question/kinds/Answering';
import type { Response } from '../question/response';
import type { QuestionState, SittingStore, Sureness } from './sittingStore';

const SURENESS: [Sureness, string][] = [
  ['sure', 'Sure'],
  ['leaning', 'Leaning'],
  ['guess', 'Guess'],
];

/** A question to answer, and how sure one is of it. */
export function QuestionCard({
  question,
  state,
  store,
  asksSureness,
  reading,
  tutor,
  packed = false,
  covered = false,
}: {
  question: View<'Question'>;
  state: QuestionState;
  store: Pick<SittingStore, 'answer' | 'strike' | 'beSure' | 'try'>;
  asksSureness: boolean;
  /** It can be looked at, and not answered yet. */
  reading: boolean;
  /** Whether one may ask if it is right, and answer again. */
  tutor: boolean;
  /** Its reasons were taken along, and stand below. */
  packed?: boolean;
  /** What came of it is known, and out of sight. */
  covered?: boolean;
}) {
  const id = useId();
  const { position, stem, body } = question;
  const response = state.response as Response | null;
  const locked = state.locked || reading;
  // A text with gaps is the field itself.
  const stemIsField = body.kind === 'dropdown_gaps' || body.kind === 'typed_gaps';
  return (
    <div className="grid content-start gap-5">
      {state.locked && !reading && (
        <p className="border-l-4 border-accent pl-3" role={state.checked ? 'status' : undefined}>
          {covered && state.checked
            ? 'Checked and hidden: your answer stands. “Show again” uncovers what came of it.'
            : state.checked
              ? packed
                ? 'Checked: your answer stands. Whether it counts as right is said as soon as the server is reached.'
                : 'Checked: your answer stands. The reasons follow as soon as the server is reached.'
              : lockedSaid(state)}
        </p>
      )}
      {!stemIsField && (
        <div id={id} data-part="stem" className="text-lg">
          <Markdown>{stem}</Markdown>
        </div>
      )}
      {state.tries.length > 0 && !state.checked && <Tried state={state} />}
      <Answering
        body={body}
        stem={stem}
        response={response}
        locked={locked}
        labelledBy={id}
        onAnswer={(answer) => store.answer(position, answer)}
        struck={state.struck}
        onStrike={(struck) => store.strike(position, struck)}
      />
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
        {asksSureness && !reading && (
          <fieldset
            disabled={state.locked || state.tries.length > 0 || state.asked === true}
            aria-labelledby={`${id}-how-sure`}
            className="flex flex-wrap items-center disabled:opacity-60 sm:gap-x-1"
          >
            <span id={`${id}-how-sure`} className="mr-0.5 sm:mr-2">
              How sure?
            </span>
            {SURENESS.map(([value, label]) => (
              <label key={value} className="flex min-h-11 cursor-pointer items-center gap-1.5 px-1 sm:px-2">
                <input
                  type="radio"
                  name={`${id}-sure`}
                  className="radio radio-sm size-6 border-base-content/70 disabled:opacity-100"
                  checked={state.sureness === value}
                  onChange={() => store.beSure(position, value)}
                />
                {label}
              </label>
            ))}
          </fieldset>
        )}
        {tutor && body.kind !== 'written' && response && !locked && (
          <button
            type="button"
            disabled={state.asked === true || isTried(state)}
            className="min-h-11 cursor-pointer text-primary underline underline-offset-4 disabled:cursor-default disabled:no-underline disabled:opacity-60"
            onClick={() => void store.try(position)}
          >
            {state.asked ? 'Asking whether it is right' : 'Only tell me if it is right'}
          </button>
        )}
        {body.kind === 'single' && response && !locked && (
          <button
            type="button"
            className="min-h-11 cursor-pointer text-primary underline underline-offset-4"
            onClick={() => store.answer(position, null)}
          >
            Take my answer back
          </button>
        )}
      </div>
    </div>
  );
}

function lockedSaid({ closed, response }: QuestionState): string {
  if (!closed) return 'This question cannot be answered now.';
  return response
    ? 'This question is closed: your answer stands.'
    : 'This question is closed: it was left blank, and can be answered no more.';
}

/** What came of the tries so far. */
function Tried({ state }: { state: QuestionState }) {
  const last = state.tries.at(-1);
  if (!last) return null;
  return (
    <div role="status" className="flex flex-wrap items-center gap-x-3 border-l-4 border-accent pl-3">
      {state.tries.length > 1 && <span>Try {state.tries.length}:</span>}
      <Outcome outcome={last.outcome} />
      <span>
        {state.tries.length > 1 ? 'The first try counts.' : 'This try counts.'} Try again, or check to see the reasons.
      </span>
    </div>
  );
}

/** Whether this very answer was tried just now. */
function isTried({ tries, response }: QuestionState): boolean {
  return JSON.stringify(tries.at(-1)?.response) === JSON.stringify(response);
}
