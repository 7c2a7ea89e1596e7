import { useId } from 'react';
import type { View } from '../../api/client';
import { Markdown } from '../../ui/Markdown';
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
}: {
  question: View<'Question'>;
  state: QuestionState;
  store: SittingStore;
  asksSureness: boolean;
  /** It can be looked at, and not answered yet. */
  reading: boolean;
}) {
  const id = useId();
  const { position, stem, body } = question;
  const response = state.response as Response | null;
  // A text with gaps is the field itself.
  const stemIsField = body.kind === 'dropdown_gaps' || body.kind === 'typed_gaps';
  return (
    <div className="grid content-start gap-5">
      {state.locked && !reading && (
        <p className="border-l-4 border-accent pl-3" role={state.checked ? 'status' : undefined}>
          {state.checked
            ? 'Checked: your answer stands. The reasons follow as soon as the server is reached.'
            : 'Your answer to this question stands.'}
        </p>
      )}
      {!stemIsField && (
        <div id={id} data-part="stem" className="text-lg">
          <Markdown>{stem}</Markdown>
        </div>
      )}
      <Answering
        body={body}
        stem={stem}
        response={response}
        locked={state.locked}
        labelledBy={id}
        onAnswer={(answer) => store.answer(position, answer)}
        struck={state.struck}
        onStrike={(struck) => store.strike(position, struck)}
      />
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
        {asksSureness && !reading && (
          <fieldset
            disabled={state.locked || !response}
            aria-labelledby={`${id}-how-sure`}
            className="flex flex-wrap items-center gap-x-1 disabled:opacity-60"
          >
            <span id={`${id}-how-sure`} className="mr-2">
              How sure?
            </span>
            {SURENESS.map(([value, label]) => (
              <label key={value} className="flex min-h-11 cursor-pointer items-center gap-1.5 px-2">
                <input
                  type="radio"
                  name={`${id}-sure`}
                  className="radio radio-sm border-base-content/70"
                  checked={state.sureness === value}
                  onChange={() => store.beSure(position, value)}
                />
                {label}
              </label>
            ))}
          </fieldset>
        )}
        {body.kind === 'single' && response && !state.locked && (
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
