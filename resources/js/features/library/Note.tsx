import { useQuery } from '@tanstack/react-query';
import { NotebookPen } from 'lucide-react';
import { useEffect, useEffectEvent, useId, useRef, useState, type ReactNode } from 'react';
import { NoteRequest } from '../../api/limits';
import { session } from '../../api/queries';
import { Button } from '../../ui/Button';
import { NoteText } from './NoteText';

/** Whoever stops typing for so long has written something worth keeping. */
const AT_REST_MS = 700;

/** A note as it stands, and a field to write it in, which keeps what is typed by itself. */
export function Note(props: {
  /** Markdown; empty: there is none. */
  note: string;
  /** Whether it is known what stands there. */
  ready: boolean;
  keep: (text: string) => Promise<unknown>;
  fault: Error | null;
  /** Under which what is being typed is held. */
  draft: string;
  /** It was asked for from elsewhere: its field opens, once. */
  asked?: { current: boolean } | undefined;
  /** Other tools, in front of its own. */
  children?: ReactNode;
}) {
  const { note, ready, fault, asked } = props;
  const id = useId();
  // Whoever signs in next in this tab must not find it, let alone keep it as their own.
  const draft = `${useQuery(session).data?.user?.email ?? ''}/${props.draft}`;
  const [typed, setTyped] = useState(() => sessionStorage.getItem(draft) ?? (asked?.current ? note : null));
  const keeping = useKeeping(draft, props.keep);
  const opened = useRef(asked?.current ?? false);
  const open = () => {
    opened.current = true;
    setTyped(note);
  };
  const close = () => {
    keeping.now();
    setTyped(null);
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
            onChange={(event) => {
              setTyped(event.target.value);
              keeping.soon(event.target.value);
            }}
            onBlur={keeping.now}
            onKeyDown={(event) => {
              if (event.key !== 'Escape') return;
              event.preventDefault();
              close();
            }}
            className="textarea w-full border-base-content/50 text-base"
          />
          <Kept waits={keeping.waits} onDone={close} />
        </div>
      )}
    </div>
  );
}

/** The foot of what keeps itself as it is typed. */
export function Kept({ waits, onDone }: { waits: boolean; onDone: () => void }) {
  return (
    <div className="flex items-center gap-3">
      <Button small onClick={onDone}>
        Done
      </Button>
      <span role="status" className="text-sm text-base-content/75">
        {waits ? 'Kept on this device, and soon on the server' : 'Saved as you type'}
      </span>
    </div>
  );
}

/**
 * Keeps what is typed: when one rests, leaves the field, or goes on. Until the server has it this browser holds it, so
 * that neither handing in nor a reload nor a lost connection takes any of it away.
 */
export function useKeeping(draft: string, keep: (text: string) => Promise<unknown>) {
  const unsent = useRef<string | null>(null);
  const timer = useRef(0);
  const [waits, setWaits] = useState(() => sessionStorage.getItem(draft) !== null);
  const now = () => {
    window.clearTimeout(timer.current);
    const text = unsent.current;
    if (text === null) return;
    unsent.current = null;
    keep(text).then(
      () => {
        if (sessionStorage.getItem(draft) !== text) return;
        sessionStorage.removeItem(draft);
        setWaits(false);
      },
      // It stays here, the fault is told, and it is tried again with the next chance.
      () => {
        unsent.current ??= text;
      },
    );
  };
  const told = useEffectEvent(now);
  useEffect(() => {
    // What an earlier page could not send.
    unsent.current = sessionStorage.getItem(draft);
    if (unsent.current !== null) timer.current = window.setTimeout(() => told(), AT_REST_MS);
    const leave = () => told();
    window.addEventListener('pagehide', leave);
    return () => {
      window.removeEventListener('pagehide', leave);
      leave();
    };
  }, [draft]);
  return {
    waits,
    now,
    soon: (text: string) => {
      unsent.current = text;
      sessionStorage.setItem(draft, text);
      setWaits(true);
      window.clearTimeout(timer.current);
      timer.current = window.setTimeout(now, AT_REST_MS);
    },
  };
}
