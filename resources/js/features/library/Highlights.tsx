import clsx from 'clsx';
import { X } from 'lucide-react';
import { useId, useState } from 'react';
import { NoteRequest } from '../../api/limits';
import { Button } from '../../ui/Button';
import { noted, withOne } from './highlights';
import { textIn } from './textPlaces';
import { useHighlighting, useKept } from './useKept';

/** The words marked in a question, and a way to mark some from the keyboard. */
export function Highlights({ sitting, position }: { sitting: string; position: number }) {
  const id = useId();
  const { highlights } = useKept(sitting, position);
  const highlighting = useHighlighting(sitting, position);
  const [words, setWords] = useState('');
  const [fault, setFault] = useState('');
  const mark = () => {
    const quote = words.trim();
    if (quote === '') return setFault('Type some words of the question.');
    for (const part of document.querySelectorAll<HTMLElement>('#the-question [data-part]')) {
      // The next one is built out of sight, and is nobody's to search.
      if (!part.checkVisibility()) continue;
      const text = textIn(part);
      const from = text.toLowerCase().indexOf(quote.toLowerCase());
      if (from >= 0) {
        const to = from + quote.length;
        const place = { part: part.dataset.part ?? '', from, to, quote: text.slice(from, to) };
        highlighting.mutate(withOne(highlights, place, 'marked', text));
        setWords('');
        return setFault('');
      }
    }
    setFault('These words are not in the question.');
  };
  return (
    <div className="grid gap-2">
      <form
        className="grid gap-1"
        onSubmit={(event) => {
          event.preventDefault();
          mark();
        }}
      >
        <label htmlFor={id} className="font-bold">
          Mark words
        </label>
        <div className="flex gap-2">
          <input
            id={id}
            value={words}
            maxLength={200}
            autoComplete="off"
            placeholder="or select them in the question"
            aria-invalid={fault !== '' || undefined}
            aria-describedby={fault ? `${id}-fault` : undefined}
            onChange={(event) => {
              setWords(event.target.value);
              setFault('');
            }}
            className="input min-w-0 flex-1 border-base-content/50 text-base pointer-fine:h-9"
          />
          <Button small type="submit">
            Mark
          </Button>
        </div>
        {fault && (
          <p id={`${id}-fault`} role="alert" className="text-error">
            {fault}
          </p>
        )}
      </form>
      {highlights.length > 0 && (
        <ul className="grid">
          {highlights.map((one, i) => (
            <li
              key={`${one.part}-${one.from}-${one.kind}`}
              className="flex items-center gap-2 border-t border-base-300"
            >
              <span className="grid min-w-0 flex-1 py-1">
                <span className={clsx('truncate', one.kind === 'struck' && 'line-through')}>{one.quote}</span>
                {one.kind === 'marked' && (
                  <input
                    key={one.note}
                    aria-label={`Note on ${one.quote}`}
                    placeholder="note on it"
                    defaultValue={one.note}
                    maxLength={NoteRequest.note.longest}
                    onBlur={(event) => {
                      const note = event.target.value.trim();
                      if (note !== one.note) highlighting.mutate(noted(highlights, one, note));
                    }}
                    onKeyDown={(event) => {
                      if (event.key === 'Enter') event.currentTarget.blur();
                    }}
                    className="input input-sm w-full border-base-content/40 text-sm"
                  />
                )}
              </span>
              <button
                type="button"
                aria-label={`Clear: ${one.quote}`}
                className="grid size-11 cursor-pointer place-items-center rounded-field hover:bg-base-content/10 pointer-fine:size-8"
                onClick={() => highlighting.mutate(highlights.filter((_, other) => other !== i))}
              >
                <X aria-hidden="true" className="size-4" />
              </button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
