import { useMutation, useQuery } from '@tanstack/react-query';
import { NotebookPen } from 'lucide-react';
import { useEffect, useId, useRef, useState } from 'react';
import { api, ask } from '../../api/client';
import { TestNoteRequest as LIMITS } from '../../api/limits';
import { session, TESTS } from '../../api/queries';
import { NoteText } from './NoteText';
import { Kept, useKeeping } from './Note';

interface Written {
  title: string;
  note: string;
}

/** What somebody writes of a test as a whole, with a title; kept as it is typed. */
export function TestNote(props: { sitting: string; written: Written; open?: boolean; onDone?: () => void }) {
  const { sitting, written } = props;
  const user = useQuery(session).data?.user?.email ?? '';
  const draft = `${user}/uplandia.test-note.${sitting}`;
  const [now, setNow] = useState<Written>(() => read(sessionStorage.getItem(draft)) ?? written);
  const [open, setOpen] = useState(props.open ?? false);
  const keeping = useMutation({
    mutationFn: (text: string) =>
      ask(
        api.PUT('/api/sittings/{sitting}/note', {
          params: { path: { sitting } },
          body: read(text) ?? written,
          keepalive: true,
        }),
      ),
    scope: { id: `test-note-${sitting}` },
    meta: { invalidates: [...TESTS, ['result', sitting], ['library']], leaves: true },
  });
  const keep = useKeeping(draft, keeping.mutateAsync);
  const type = (part: Partial<Written>) => {
    const next = { ...now, ...part };
    setNow(next);
    keep.soon(JSON.stringify(next));
  };
  const close = () => {
    keep.now();
    setOpen(false);
    props.onDone?.();
  };
  const id = useId();
  const title = useRef<HTMLInputElement>(null);
  // It has just been asked for.
  useEffect(() => {
    if (open) title.current?.focus();
  }, [open]);
  const empty = now.title === '' && now.note === '';
  return (
    <section aria-label="My note on this test" className="grid max-w-[75ch] gap-2">
      {keeping.error && (
        <p role="alert" className="text-error">
          {keeping.error.message}
        </p>
      )}
      {open ? (
        <div className="grid gap-2">
          <label htmlFor={`${id}-title`} className="font-bold">
            Title of the note
          </label>
          <input
            id={`${id}-title`}
            value={now.title}
            maxLength={LIMITS.title.longest}
            ref={title}
            onChange={(event) => type({ title: event.target.value })}
            className="input w-full border-base-content/50 text-base"
          />
          <label htmlFor={`${id}-note`} className="font-bold">
            Note
          </label>
          <textarea
            id={`${id}-note`}
            rows={4}
            value={now.note}
            maxLength={LIMITS.note.longest}
            onChange={(event) => type({ note: event.target.value })}
            onBlur={keep.now}
            className="textarea w-full border-base-content/50 text-base"
          />
          <Kept waits={keep.waits} onDone={close} />
        </div>
      ) : (
        <>
          {!empty && (
            <div>
              {now.title !== '' && <p className="font-bold">{now.title}</p>}
              {now.note !== '' && <NoteText>{now.note}</NoteText>}
            </div>
          )}
          <button
            type="button"
            className="inline-flex min-h-11 cursor-pointer items-center gap-1.5 justify-self-start underline-offset-4 hover:underline"
            onClick={() => setOpen(true)}
          >
            <NotebookPen aria-hidden="true" className="size-4.5" />
            {empty ? 'Note on this test' : 'Change the note on this test'}
          </button>
        </>
      )}
    </section>
  );
}

function read(text: string | null): Written | null {
  if (text === null) return null;
  try {
    const { title, note } = JSON.parse(text) as Partial<Written>;
    return typeof title === 'string' && typeof note === 'string' ? { title, note } : null;
  } catch {
    return null;
  }
}
