import { useMutation, useQuery } from '@tanstack/react-query';
import { NotebookPen, Star } from 'lucide-react';
import { useId, useRef, useState } from 'react';
import { api, ask, type View } from '../../api/client';
import { kept, queries } from '../../api/queries';
import { Button } from '../../ui/Button';

/** A star and a note, which stay with the question beyond this sitting. */
export function StarAndNote({ sitting, position }: { sitting: string; position: number }) {
  const id = useId();
  const page = useQuery(kept(sitting));
  const [typed, setTyped] = useDraft(`uplandia.note.${sitting}.${position}`);
  const opened = useRef(false);
  const own = page.data?.questions.find((one) => one.position === position);
  const { starred = false, note = '' } = own ?? {};
  const path = { params: { path: { sitting, position } } };
  const keep = (part: Partial<View<'Kept'>>) =>
    queries.setQueryData(kept(sitting).queryKey, (all) => {
      const others = (all?.questions ?? []).filter((one) => one.position !== position);
      return { questions: [...others, { position, starred, note, ...part }] };
    });
  const starring = useMutation({
    mutationFn: (on: boolean) =>
      ask(api.PUT('/api/sittings/{sitting}/questions/{position}/star', { ...path, body: { on } })),
    onMutate: async (on) => {
      // What was asked for before would speak over it.
      await queries.cancelQueries({ queryKey: kept(sitting).queryKey });
      keep({ starred: on });
    },
    onError: (_, on) => void keep({ starred: !on }),
  });
  const noting = useMutation({
    mutationFn: (text: string) =>
      ask(api.PUT('/api/sittings/{sitting}/questions/{position}/note', { ...path, body: { note: text } })),
    onSuccess: (_, text) => {
      keep({ note: text.trim() });
      setTyped(null);
    },
  });
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
          disabled={page.isPending}
          className={tool}
          onClick={() => starring.mutate(!starred)}
        >
          <Star aria-hidden="true" className="size-4.5" fill={starred ? 'currentColor' : 'none'} />
          {starred ? 'Starred' : 'Star'}
        </button>
        {typed === null && (
          <button type="button" disabled={page.isPending} className={tool} onClick={open}>
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
            }}
            onChange={(event) => setTyped(event.target.value)}
            onKeyDown={(event) => event.key === 'Escape' && setTyped(null)}
            className="textarea w-full border-base-content/50 text-base"
          />
          <div className="flex gap-2">
            <Button small busy={noting.isPending} onClick={() => noting.mutate(typed)}>
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
function useDraft(key: string): [string | null, (text: string | null) => void] {
  const [typed, setTyped] = useState(() => sessionStorage.getItem(key));
  const write = (text: string | null) => {
    if (text === null) sessionStorage.removeItem(key);
    else sessionStorage.setItem(key, text);
    setTyped(text);
  };
  return [typed, write];
}
