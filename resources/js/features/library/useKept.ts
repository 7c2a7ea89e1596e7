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

/** What a candidate keeps with a question, beyond this sitting: a star, a note, highlights. */
export function useKept(sitting: string, position: number): Kept & { ready: boolean } {
  const page = useQuery(kept(sitting));
  return { ...ofQuestion(page.data, position), ready: !page.isPending };
}

/** Puts a star on a question or takes it away, one after the other. Shown at once. */
export function useStarring(sitting: string, position: number) {
  return useMutation({
    mutationFn: (on: boolean) =>
      ask(api.PUT('/api/sittings/{sitting}/questions/{position}/star', { ...path(sitting, position), body: { on } })),
    scope: { id: `star-${sitting}-${position}` },
    ...again,
    onMutate: async (on) => {
      await hold(sitting);
      lay(sitting, position, { starred: on });
    },
    onSuccess: () => told(sitting),
    onError: (_, on) => lay(sitting, position, { starred: !on }),
  });
}

/** Keeps a note with a question, as it is being typed. Shown at once. */
export function useNoting(sitting: string, position: number) {
  return useMutation({
    mutationFn: (note: string) =>
      ask(
        api.PUT('/api/sittings/{sitting}/questions/{position}/note', {
          ...path(sitting, position),
          body: { note },
          // Also when one leaves at once.
          keepalive: true,
        }),
      ),
    scope: { id: `note-${sitting}-${position}` },
    ...again,
    onMutate: async (note) => {
      await hold(sitting);
      lay(sitting, position, { note: note.trim() });
    },
    onSuccess: () => told(sitting),
  });
}

/** Keeps the highlights of a question, one after the other. Shown at once. */
export function useHighlighting(sitting: string, position: number) {
  return useMutation({
    mutationFn: (highlights: Kept['highlights']) =>
      ask(
        api.PUT('/api/sittings/{sitting}/questions/{position}/highlights', {
          ...path(sitting, position),
          body: { highlights },
        }),
      ),
    scope: { id: `highlights-${sitting}-${position}` },
    ...again,
    onMutate: async (highlights) => {
      await hold(sitting);
      const before = ofQuestion(queries.getQueryData(kept(sitting).queryKey), position).highlights;
      lay(sitting, position, { highlights });
      return before;
    },
    onError: (_, __, before) => before && lay(sitting, position, { highlights: before }),
  });
}

/** The review tells which questions are starred and noted. */
function told(sitting: string) {
  return queries.invalidateQueries({ queryKey: ['review', sitting] });
}

function path(sitting: string, position: number) {
  return { params: { path: { sitting, position } } };
}

function ofQuestion(all: View<'KeptAll'> | undefined, position: number): Kept {
  return all?.questions.find((one) => one.position === position) ?? nothing(position);
}

function lay(sitting: string, position: number, part: Partial<Kept>): void {
  queries.setQueryData(kept(sitting).queryKey, (all) => ({
    questions: [
      ...(all?.questions ?? []).filter((one) => one.position !== position),
      { ...ofQuestion(all, position), ...part },
    ],
  }));
}

/** What was asked for before would speak over it. */
function hold(sitting: string): Promise<void> {
  return queries.cancelQueries({ queryKey: kept(sitting).queryKey });
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
