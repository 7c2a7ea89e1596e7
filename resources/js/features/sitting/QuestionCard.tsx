import { useId } from 'react';
import type { View } from '../../api/client';
import { Markdown } from '../../ui/Markdown';
import { Gaps } from './kinds/Gaps';
import type { KindProps } from './kinds/kind';
import { NumberField } from './kinds/NumberField';
import { Options } from './kinds/Options';
import { Ordering } from './kinds/Ordering';
import { PictureField } from './kinds/PictureField';
import { Rows } from './kinds/Rows';
import { WrittenField } from './kinds/WrittenField';
import type { Response } from './response';
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
}: {
  question: View<'Question'>;
  state: QuestionState;
  store: SittingStore;
}) {
  const id = useId();
  const { position } = question;
  const response = state.response as Response | null;
  const props: KindProps = {
    question,
    response,
    locked: state.locked,
    labelledBy: id,
    onAnswer: (answer) => store.answer(position, answer),
  };
  const gaps = question.kind === 'dropdown_gaps' || question.kind === 'typed_gaps';
  return (
    <div className="grid content-start gap-5">
      {state.locked && !state.checked && (
        <p className="border-l-4 border-accent pl-3">Your answer to this question stands.</p>
      )}
      {!gaps && (
        <div id={id} className="text-lg">
          <Markdown>{question.stem}</Markdown>
        </div>
      )}
      {gaps && <Gaps {...props} />}
      {(question.kind === 'single' || question.kind === 'several') && (
        <Options {...props} struck={state.struck} onStrike={(struck) => store.strike(position, struck)} />
      )}
      {(question.kind === 'true_false_grid' || question.kind === 'matching' || question.kind === 'grouping') && (
        <Rows {...props} />
      )}
      {question.kind === 'ordering' && <Ordering {...props} />}
      {question.kind === 'number' && <NumberField {...props} />}
      {question.kind === 'picture' && <PictureField {...props} />}
      {question.kind === 'written' && <WrittenField {...props} />}
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
        <fieldset
          disabled={state.locked || !response}
          className="flex flex-wrap items-center gap-x-1 disabled:opacity-60"
        >
          <legend className="float-left mr-3 pt-2.5">How sure?</legend>
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
        {question.kind === 'single' && response && !state.locked && (
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
