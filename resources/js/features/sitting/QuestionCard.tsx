import clsx from 'clsx';
import { Ban } from 'lucide-react';
import { useId } from 'react';
import type { View } from '../../api/client';
import { Markdown } from '../../ui/Markdown';
import type { QuestionState, SittingStore, Sureness } from './sittingStore';

const SURENESS: [Sureness, string][] = [
  ['sure', 'Sure'],
  ['leaning', 'Leaning'],
  ['guess', 'Guess'],
];

/** A question to answer: choose, rule out, say how sure. */
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
  const choice = (state.response as { choice?: string } | null)?.choice;
  return (
    <div className="grid gap-5">
      <div id={id} className="text-lg">
        <Markdown>{question.stem}</Markdown>
      </div>
      <div role="radiogroup" aria-labelledby={id} className="grid max-w-[75ch] gap-2">
        {question.options.map((option) => {
          const struck = state.struck.includes(option.id);
          const on = choice === option.id;
          return (
            <div
              key={option.id}
              className={clsx(
                'flex items-stretch rounded-field border',
                on ? 'border-primary bg-base-200 ring-1 ring-primary' : 'border-base-content/50',
              )}
            >
              <label className="flex min-h-12 flex-1 cursor-pointer items-center gap-3 px-3 py-2 has-disabled:cursor-default">
                <input
                  type="radio"
                  name={id}
                  className="radio radio-primary shrink-0"
                  checked={on}
                  disabled={state.locked}
                  onChange={() => store.answer(position, { choice: option.id })}
                />
                <span className={clsx('min-w-0', struck && 'line-through opacity-70')}>
                  <Markdown inline>{option.text}</Markdown>
                  {struck && <span className="sr-only"> (ruled out)</span>}
                </span>
              </label>
              <button
                type="button"
                disabled={state.locked}
                aria-pressed={struck}
                aria-label={`Rule out: ${option.text}`}
                title={struck ? 'Bring back' : 'Rule out'}
                onClick={() =>
                  store.strike(
                    position,
                    struck ? state.struck.filter((other) => other !== option.id) : [...state.struck, option.id],
                  )
                }
                className={clsx(
                  'grid w-12 shrink-0 cursor-pointer place-items-center rounded-field disabled:cursor-default',
                  struck ? 'text-base-content' : 'text-base-content/65',
                  'hover:bg-base-content/10',
                )}
              >
                <Ban aria-hidden="true" className="size-5" />
              </button>
            </div>
          );
        })}
      </div>
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
        <fieldset
          disabled={state.locked || !choice}
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
        {choice && !state.locked && (
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
