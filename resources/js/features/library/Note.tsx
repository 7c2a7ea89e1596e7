import { NotebookPen } from 'lucide-react';
import { useId, useRef, useState, type ReactNode } from 'react';
import { NoteRequest } from '../../api/limits';
import { Button } from '../../ui/Button';
import { NoteText } from './NoteText';

/** A note as it stands, and a field to write it in. */
export function Note(props: {
  /** Markdown; empty: there is none. */
  note: string;
  /** Whether it is known what stands there. */
  ready: boolean;
  keep: (text: string, done: () => void) => void;
  busy: boolean;
  fault: Error | null;
  /** Under which what is being typed is held. */
  draft: string;
  /** It was asked for from elsewhere: its field opens, once. */
  asked?: { current: boolean } | undefined;
  /** Other tools, in front of its own. */
  children?: ReactNode;
}) {
  const { note, ready, keep, busy, fault, asked } = props;
  const id = useId();
  const [typed, setTyped] = useDraft(props.draft, asked?.current ? note : null);
  const opened = useRef(asked?.current ?? false);
  const open = () => {
    opened.current = true;
    setTyped(note);
  };
  return (
    <div className="grid max-w-[75ch] gap-2">
      <div className="flex flex-wrap items-center gap-x-5">
        {props.children}
        {typed === null && (
          <button
            type="button"
            disabled={!ready}
            className="inline-flex min-h-11 cursor-pointer items-center gap-1.5 underline-offset-4 hover:underline"
            onClick={open}
          >
            <NotebookPen aria-hidden="true" className="size-4.5" />
            {note === '' ? 'Note' : 'Change the note'}
          </button>
        )}
      </div>
      {fault && (
        <p role="alert" className="text-error">
          {fault.message}
        </p>
      )}
      {typed === null ? (
        note !== '' && <NoteText>{note}</NoteText>
      ) : (
        <div className="grid gap-2">
          <label htmlFor={id} className="font-bold">
            Note
          </label>
          <textarea
            id={id}
            rows={3}
            maxLength={NoteRequest.note.longest}
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
            <Button small busy={busy} onClick={() => keep(typed, () => setTyped(null))}>
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
