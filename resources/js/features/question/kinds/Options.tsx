import clsx from 'clsx';
import { Ban } from 'lucide-react';
import { Markdown } from '../../../ui/Markdown';
import { plain } from '../../../ui/plain';
import { count } from '../../../ui/words';
import type { KindProps } from './kind';

/** One option or several; each can be ruled out. */
export function Options({
  body,
  response,
  locked,
  labelledBy,
  onAnswer,
  struck,
  onStrike,
}: KindProps<'single' | 'several'>) {
  const several = body.kind === 'several';
  const chosen = several ? (response?.choices ?? []) : response?.choice ? [response.choice] : [];
  const full = several && body.limit !== null && chosen.length >= body.limit;
  const choose = (id: string) => {
    if (!several) return onAnswer({ choice: id });
    const choices = chosen.includes(id) ? chosen.filter((other) => other !== id) : [...chosen, id];
    onAnswer(choices.length ? { choices } : null);
  };
  return (
    <div className="grid gap-3">
      {several && (
        <p role="status">
          {body.limit === null
            ? `Choose as many as apply. ${count(chosen.length, 'option')} chosen.`
            : `Choose up to ${body.limit}. ${chosen.length} of ${body.limit} chosen.`}
        </p>
      )}
      <div role={several ? 'group' : 'radiogroup'} aria-labelledby={labelledBy} className="grid max-w-[75ch] gap-2">
        {body.options.map((option) => {
          const out = struck.includes(option.id);
          const on = chosen.includes(option.id);
          return (
            <div
              key={option.id}
              className={clsx(
                'flex items-stretch rounded-field border',
                on ? 'border-primary bg-base-200 ring-1 ring-primary' : 'border-base-content/50',
              )}
            >
              {/* Only a pointer can select words and press at once. */}
              {/* eslint-disable-next-line jsx-a11y/click-events-have-key-events, jsx-a11y/no-noninteractive-element-interactions */}
              <label
                className="flex min-h-12 flex-1 cursor-pointer items-center gap-3 px-3 py-2 has-disabled:cursor-default"
                // Who selects words of an option does not choose it.
                onClick={(event) => document.getSelection()?.toString() && event.preventDefault()}
              >
                <input
                  type={several ? 'checkbox' : 'radio'}
                  name={labelledBy}
                  className={clsx('shrink-0', several ? 'checkbox checkbox-primary' : 'radio radio-primary')}
                  checked={on}
                  disabled={locked || (full && !on)}
                  onChange={() => choose(option.id)}
                />
                <span className={clsx('min-w-0', out && 'line-through opacity-70')}>
                  <span data-part={`option:${option.id}`}>
                    <Markdown inline>{option.text}</Markdown>
                  </span>
                  {out && <span className="sr-only"> (ruled out)</span>}
                </span>
              </label>
              <button
                type="button"
                disabled={locked}
                aria-pressed={out}
                aria-label={`Rule out: ${plain(option.text)}`}
                title={out ? 'Bring back' : 'Rule out'}
                onClick={() => onStrike(out ? struck.filter((other) => other !== option.id) : [...struck, option.id])}
                className={clsx(
                  'grid w-12 shrink-0 cursor-pointer place-items-center rounded-field disabled:cursor-default',
                  out ? 'text-base-content' : 'text-base-content/65',
                  'hover:bg-base-content/10',
                )}
              >
                <Ban aria-hidden="true" className="size-5" />
              </button>
            </div>
          );
        })}
      </div>
    </div>
  );
}
