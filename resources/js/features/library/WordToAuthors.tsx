import { useMutation } from '@tanstack/react-query';
import { useId, useState } from 'react';
import { api, ask, type View } from '../../api/client';
import { WordRequest } from '../../api/limits';
import { Button } from '../../ui/Button';

type About = View<'WordRequest'>['about'];

const ABOUT: Record<About, string> = {
  wrong_key: 'The key is wrong',
  unclear: 'It is unclear',
  outdated: 'It is out of date',
  broken: 'A picture, sound or film fails',
  other: 'Something else',
};

/** Tells the authors that something is wrong with a question. */
export function WordToAuthors({ sitting, position }: { sitting: string; position: number }) {
  const id = useId();
  const [open, setOpen] = useState(false);
  const [about, setAbout] = useState<About>('unclear');
  const [body, setBody] = useState('');
  const telling = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/sittings/{sitting}/questions/{position}/words', {
          params: { path: { sitting, position } },
          body: { about, body },
        }),
      ),
    onSuccess: () => {
      setOpen(false);
      setBody('');
    },
  });
  if (!open)
    return (
      <div>
        <button
          type="button"
          className="min-h-11 cursor-pointer text-primary underline underline-offset-4 pointer-fine:min-h-9"
          onClick={() => {
            telling.reset();
            setOpen(true);
          }}
        >
          A word to the authors
        </button>
        <p role="status">{telling.isSuccess && 'The authors have it. Thank you.'}</p>
      </div>
    );
  return (
    <form
      className="grid gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        telling.mutate();
      }}
    >
      <label htmlFor={`${id}-about`} className="font-bold">
        A word to the authors
      </label>
      <select
        id={`${id}-about`}
        value={about}
        onChange={(event) => setAbout(event.target.value as About)}
        className="select w-full border-base-content/50 text-base pointer-fine:h-9"
      >
        {Object.entries(ABOUT).map(([value, words]) => (
          <option key={value} value={value}>
            {words}
          </option>
        ))}
      </select>
      <textarea
        aria-label="What is wrong"
        placeholder="What is wrong, and how you know"
        rows={3}
        maxLength={WordRequest.body.longest}
        value={body}
        onChange={(event) => setBody(event.target.value)}
        className="textarea w-full border-base-content/50 text-base"
      />
      {telling.isError && (
        <p role="alert" className="text-error">
          {telling.error.message}
        </p>
      )}
      <div className="flex gap-2">
        <Button small type="submit" busy={telling.isPending}>
          Tell them
        </Button>
        <Button small weight="quiet" onClick={() => setOpen(false)}>
          Cancel
        </Button>
      </div>
    </form>
  );
}
