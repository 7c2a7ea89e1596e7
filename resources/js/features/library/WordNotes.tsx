import { useQuery } from '@tanstack/react-query';
import { NotebookPen } from 'lucide-react';
import { useEffect, useId, useRef, useState } from 'react';
import { NoteRequest } from '../../api/limits';
import { session } from '../../api/queries';
import { isOne, noted, type Highlight } from './highlights';
import { Kept, useKeeping } from './Note';

/** What was written beside marked words, and the field for the words it is being written beside. */
export function WordNotes(props: {
  highlights: readonly Highlight[];
  /** Beside which of them something is being written; null: beside none. */
  open: Highlight | null;
  onOpen: (one: Highlight | null) => void;
  /** Under which what is being typed is held: of which text it is. */
  draft: string;
  onKeep: (highlights: Highlight[]) => Promise<unknown>;
}) {
  const { highlights, open, onOpen, onKeep } = props;
  const shown = highlights.filter((one) => one.note !== '' || (open && isOne(one, open)));
  if (shown.length === 0) return null;
  return (
    <ul aria-label="Notes on words" className="grid max-w-[75ch] gap-1 border-l-4 border-accent pl-3">
      {shown.map((one) => (
        <li key={`${one.part} ${one.from} ${one.kind}`} className="grid gap-1">
          {open && isOne(one, open) ? (
            <Field
              one={one}
              draft={`uplandia.words.${props.draft}.${one.part}.${one.from}`}
              keep={(note) => onKeep(noted(highlights, one, note.trim()))}
              onDone={() => onOpen(null)}
            />
          ) : (
            <p>
              <q>{one.quote}</q>: <span className="whitespace-pre-line">{one.note}</span>{' '}
              <button
                type="button"
                aria-label={`Change the note on ${one.quote}`}
                className="inline-flex min-h-11 min-w-6 cursor-pointer items-center align-middle pointer-fine:min-h-6"
                onClick={() => onOpen(one)}
              >
                <NotebookPen aria-hidden="true" className="size-4" />
              </button>
            </p>
          )}
        </li>
      ))}
    </ul>
  );
}

function Field(props: { one: Highlight; draft: string; keep: (note: string) => Promise<unknown>; onDone: () => void }) {
  const { one, onDone } = props;
  const id = useId();
  const draft = `${useQuery(session).data?.user?.email ?? ''}/${props.draft}`;
  const [typed, setTyped] = useState(() => sessionStorage.getItem(draft) ?? one.note);
  const keeping = useKeeping(draft, props.keep);
  const field = useRef<HTMLTextAreaElement>(null);
  // It has just been asked for.
  useEffect(() => field.current?.focus(), []);
  const done = () => {
    keeping.now();
    onDone();
  };
  return (
    <>
      <label htmlFor={id}>
        Note on <q>{one.quote}</q>
      </label>
      <textarea
        id={id}
        rows={2}
        maxLength={NoteRequest.note.longest}
        value={typed}
        ref={field}
        onChange={({ target: { value } }) => {
          setTyped(value);
          keeping.soon(value);
        }}
        onBlur={keeping.now}
        onKeyDown={(event) => {
          if (event.key !== 'Escape') return;
          event.preventDefault();
          done();
        }}
        className="textarea w-full border-base-content/50 text-base"
      />
      <Kept waits={keeping.waits} onDone={done} />
    </>
  );
}
