import { useMemo } from 'react';
import { useMutation, useQuery } from '@tanstack/react-query';
import { api, ask, Refused, type View } from '../../api/client';
import { kept, queries } from '../../api/queries';

type Kept = View<'Kept'>;

const AGAIN_MS = 4000;
/** For a quarter of an hour: a connection that is lost comes back. */
const TRIES = 225;

const again = {
  retry: (failures: number, error: Error) => !(error instanceof Refused) && failures < TRIES,
  retryDelay: AGAIN_MS,
  networkMode: 'always' as const,
};

/** What a candidate keeps with a question, beyond this sitting: a star, a note, highlights. Shown at once. */
export function useKept(sitting: string, position: number) {
  const page = useQuery(kept(sitting));
  const own: Kept = page.data?.questions.find((one) => one.position === position) ?? nothing(position);
  const path = { params: { path: { sitting, position } } };
  const lay = (part: Partial<Kept>) =>
    queries.setQueryData(kept(sitting).queryKey, (all) => {
      const before = all?.questions.find((one) => one.position === position) ?? nothing(position);
      const others = (all?.questions ?? []).filter((one) => one.position !== position);
      return { questions: [...others, { ...before, ...part }] };
    });
  // What was asked for before would speak over it.
  const hold = () => queries.cancelQueries({ queryKey: kept(sitting).queryKey });
  const starring = useMutation({
    mutationFn: (on: boolean) =>
      ask(api.PUT('/api/sittings/{sitting}/questions/{position}/star', { ...path, body: { on } })),
    ...again,
    onMutate: async (on) => {
      await hold();
      lay({ starred: on });
    },
    onError: (_, on) => void lay({ starred: !on }),
  });
  const noting = useMutation({
    mutationFn: (note: string) =>
      ask(api.PUT('/api/sittings/{sitting}/questions/{position}/note', { ...path, body: { note } })),
    onSuccess: (_, note) => void lay({ note: note.trim() }),
  });
  const highlighting = useMutation({
    mutationFn: (highlights: Kept['highlights']) =>
      ask(api.PUT('/api/sittings/{sitting}/questions/{position}/highlights', { ...path, body: { highlights } })),
    scope: { id: `highlights-${sitting}-${position}` },
    ...again,
    onMutate: async (highlights) => {
      await hold();
      const before = own.highlights;
      lay({ highlights });
      return before;
    },
    onError: (_, __, before) => void (before && lay({ highlights: before })),
  });
  return { ...own, ready: !page.isPending, starring, noting, highlighting };
}

/** Which questions of a sitting have a note. */
export function useNoted(sitting: string): ReadonlySet<number> {
  const { data } = useQuery(kept(sitting));
  return useMemo(
    () => new Set((data?.questions ?? []).filter(({ note }) => note !== '').map(({ position }) => position)),
    [data],
  );
}

function nothing(position: number): Kept {
  return { position, starred: false, note: '', highlights: [] };
}
