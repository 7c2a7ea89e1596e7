import { NotebookPen, Star } from 'lucide-react';
import { useId, useRef, useState } from 'react';
import { Button } from '../../ui/Button';
import { useKept, useNoting, useStarring } from './useKept';

/** A star and a note, which stay with the question beyond this sitting. */
export function StarAndNote({
  sitting,
  position,
  asked,
}: {
  sitting: string;
  position: number;
  /** The note was asked for from elsewhere: its field opens, once. */
  asked?: { current: boolean };
}) {
  const id = useId();
  const { starred, note, ready } = useKept(sitting, position);
  const starring = useStarring(sitting, position);
  const noting = useNoting(sitting, position);
  const [typed, setTyped] = useDraft(`uplandia.note.${sitting}.${position}`, asked?.current ? note : null);
  const opened = useRef(asked?.current ?? false);
  const keep = (text: string) => noting.mutate(text, { onSuccess: () => setTyped(null) });
  const open = () => {
    opened.current = true;
    setTyped(note);
  };
  const failed = starring.error ?? noting.error;
  const tool = 'inline-flex min-h-11 cursor-pointer items-center gap-1.5 underline-offset-4 hover:underline';
  return (
    <div className="grid max-w-[75ch] gap-2">
      <div className="flex flex-wrap items-center gap-x-5">
        <button
          type="button"
          aria-pressed={starred}
          disabled={!ready}
          className={tool}
          onClick={() => starring.mutate(!starred)}
        >
          <Star aria-hidden="true" className="size-4.5" fill={starred ? 'currentColor' : 'none'} />
          {starred ? 'Starred' : 'Star'}
        </button>
        {typed === null && (
          <button type="button" disabled={!ready} className={tool} onClick={open}>
            <NotebookPen aria-hidden="true" className="size-4.5" />
            {note === '' ? 'Note' : 'Change the note'}
          </button>
        )}
      </div>
      {failed && (
        <p role="alert" className="text-error">
          {failed.message}
        </p>
      )}
      {typed === null ? (
        note !== '' && <p className="border-l-4 border-accent pl-3 whitespace-pre-wrap">{note}</p>
      ) : (
        <div className="grid gap-2">
          <label htmlFor={id} className="font-bold">
            Note
          </label>
          <textarea
            id={id}
            rows={3}
            maxLength={2000}
            value={typed}
            // The field has just been asked for.
            ref={(field) => {
              if (field && opened.current) field.focus();
              opened.current = false;
              if (asked) asked.current = false;
            }}
            onChange={(event) => setTyped(event.target.value)}
            onKeyDown={(event) => {
              if (event.key !== 'Escape') return;
              event.preventDefault();
              setTyped(null);
            }}
            className="textarea w-full border-base-content/50 text-base"
          />
          <div className="flex gap-2">
            <Button small busy={noting.isPending} onClick={() => keep(typed)}>
              Keep the note
            </Button>
            <Button small weight="quiet" onClick={() => setTyped(null)}>
              Leave it
            </Button>
          </div>
        </div>
      )}
    </div>
  );
}

/** What is being typed, until it is kept or left: going on to another question, or a reload, loses none of it. */
function useDraft(key: string, otherwise: string | null): [string | null, (text: string | null) => void] {
  const [typed, setTyped] = useState(() => sessionStorage.getItem(key) ?? otherwise);
  const write = (text: string | null) => {
    if (text === null) sessionStorage.removeItem(key);
    else sessionStorage.setItem(key, text);
    setTyped(text);
  };
  return [typed, write];
}
