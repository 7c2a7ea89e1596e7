import clsx from 'clsx';
import { Ban } from 'lucide-react';
import { useId, useState } from 'react';
import { Markdown } from '../../../../ui/Markdown';
import { plain } from '../../../../ui/plain';
import { count } from '../../../../ui/words';
import type { KindProps } from '../kind';

/** From so many options on, they stand in columns and can be narrowed by typing. */
const MANY = 9;

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
  const full = several && body.limit !== null && !body.voids && chosen.length >= body.limit;
  const over = several && body.limit !== null && chosen.length > body.limit;
  const many = body.options.length >= MANY;
  const [words, setWords] = useState('');
  const shown = many ? body.options.filter((option) => speaksOf(option.text, words)) : body.options;
  const choose = (id: string) => {
    if (!several) return onAnswer({ choice: id });
    const choices = chosen.includes(id) ? chosen.filter((other) => other !== id) : [...chosen, id];
    onAnswer(choices.length ? { choices } : null);
  };
  return (
    <div className="grid gap-3">
      {several && (
        <p role="status" className={clsx(over && 'font-bold text-warning')}>
          {body.limit === null
            ? `Choose as many as apply. ${count(chosen.length, 'option')} chosen.`
            : over
              ? `${chosen.length} chosen: more than ${body.limit}, so it counts nothing.`
              : `Choose up to ${body.limit}. ${chosen.length} of ${body.limit} chosen.`}
        </p>
      )}
      {many && <Finder words={words} onWords={setWords} shown={shown.length} of={body.options.length} />}
      <div
        role={several ? 'group' : 'radiogroup'}
        aria-labelledby={labelledBy}
        className={clsx('grid gap-2', many ? 'sm:grid-cols-2' : 'max-w-[75ch]')}
      >
        {shown.map((option) => {
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
                onClick={(event) => isSelectedIn(event.currentTarget) && event.preventDefault()}
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
                  // Away from the thumb, which would rule out what it means to choose.
                  'grid w-12 shrink-0 cursor-pointer place-items-center rounded-field pointer-coarse:order-first disabled:cursor-default',
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

/** Narrows a long list to what speaks of some words. What is chosen stays chosen, shown or not. */
function Finder(props: { words: string; onWords: (words: string) => void; shown: number; of: number }) {
  const id = useId();
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
      <label htmlFor={id}>Find among the options</label>
      <input
        id={id}
        type="search"
        autoComplete="off"
        value={props.words}
        maxLength={100}
        onChange={(event) => props.onWords(event.target.value)}
        onKeyDown={(event) => {
          if (event.key !== 'Escape' || props.words === '') return;
          event.preventDefault();
          props.onWords('');
        }}
        className="input w-56 border-base-content/50 text-base pointer-fine:h-9"
      />
      <span role="status" className="text-base-content/75">
        {props.words.trim() !== '' && `${props.shown} of ${props.of} shown`}
      </span>
    </div>
  );
}

/** Whether words of it are selected. What is selected in a field elsewhere, by going there with the Tab key say, is not. */
function isSelectedIn(element: Element): boolean {
  const selection = document.getSelection();
  return selection !== null && !selection.isCollapsed && selection.containsNode(element, true);
}

function speaksOf(text: string, words: string): boolean {
  const said = plain(text).toLowerCase();
  return words
    .toLowerCase()
    .split(/\s+/)
    .every((word) => said.includes(word));
}
