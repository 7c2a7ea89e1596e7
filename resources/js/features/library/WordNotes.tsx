import { NotebookPen } from 'lucide-react';
import { useEffect, useEffectEvent, useId, useRef, useState } from 'react';
import { NoteRequest } from '../../api/limits';
import { Button } from '../../ui/Button';
import { isOne, noted, type Highlight } from './highlights';

/** Whoever stops typing for so long has written something worth keeping. */
const AT_REST_MS = 700;

/** What was written beside marked words, and the field for the words it is being written beside. */
export function WordNotes(props: {
  highlights: readonly Highlight[];
  /** Beside which of them something is being written; null: beside none. */
  open: Highlight | null;
  onOpen: (one: Highlight | null) => void;
  onKeep: (highlights: Highlight[]) => void;
}) {
  const { highlights, open, onOpen, onKeep } = props;
  const shown = highlights.filter((one) => one.note !== '' || (open && isOne(one, open)));
  if (shown.length === 0) return null;
  return (
    <ul aria-label="Notes on words" className="grid max-w-[75ch] gap-1 border-l-4 border-accent pl-3">
      {shown.map((one) => (
        <li key={`${one.part} ${one.from} ${one.kind}`} className="grid gap-1">
          {open && isOne(one, open) ? (
            <Field one={one} keep={(note) => onKeep(noted(highlights, one, note))} onDone={() => onOpen(null)} />
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

/** Kept as one types: at rest, on leaving the field, and when the page goes on to something else. */
function Field({ one, keep, onDone }: { one: Highlight; keep: (note: string) => void; onDone: () => void }) {
  const id = useId();
  const [typed, setTyped] = useState(one.note);
  const unsent = useRef<string | null>(null);
  const timer = useRef(0);
  const field = useRef<HTMLTextAreaElement>(null);
  // It has just been asked for.
  useEffect(() => field.current?.focus(), []);
  const now = useEffectEvent(() => {
    window.clearTimeout(timer.current);
    if (unsent.current === null) return;
    keep(unsent.current);
    unsent.current = null;
  });
  useEffect(() => () => now(), []);
  const done = () => {
    window.clearTimeout(timer.current);
    if (unsent.current !== null) keep(unsent.current);
    unsent.current = null;
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
          unsent.current = value;
          window.clearTimeout(timer.current);
          timer.current = window.setTimeout(() => {
            if (unsent.current !== null) keep(unsent.current);
            unsent.current = null;
          }, AT_REST_MS);
        }}
        onKeyDown={(event) => {
          if (event.key !== 'Escape') return;
          event.preventDefault();
          done();
        }}
        className="textarea w-full border-base-content/50 text-base"
      />
      <div className="flex items-center gap-3">
        <Button small onClick={done}>
          Done
        </Button>
        <span className="text-sm text-base-content/75">Saved as you type</span>
      </div>
    </>
  );
}
