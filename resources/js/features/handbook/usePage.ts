import { useMutation, useQuery } from '@tanstack/react-query';
import { api, ask, type View } from '../../api/client';
import { pagesKept, queries } from '../../api/queries';

type PageKept = Pick<View<'PageKept'>, 'note' | 'highlights' | 'step' | 'finished'>;

const NOTHING: PageKept = { note: '', highlights: [], step: 0, finished: false };

/** What one keeps with a page of the handbook: a note, marks, and how far it was read. */
export function usePage(exam: string, code: string) {
  const params = { path: { exam, section: code } };
  const all = useQuery(pagesKept(exam));
  const again = { onSettled: () => queries.invalidateQueries({ queryKey: pagesKept(exam).queryKey }) };
  const noting = useMutation({
    mutationFn: (note: string) => ask(api.PUT('/api/exams/{exam}/handbook/{section}/note', { params, body: { note } })),
    ...again,
  });
  const highlighting = useMutation({
    mutationFn: (highlights: PageKept['highlights']) =>
      ask(api.PUT('/api/exams/{exam}/handbook/{section}/highlights', { params, body: { highlights } })),
    scope: { id: `highlights-${exam}-${code}` },
    ...again,
  });
  const reading = useMutation({
    mutationFn: (body: View<'ReadSoFar'>) =>
      ask(api.PUT('/api/exams/{exam}/handbook/{section}/reading', { params, body })),
    ...again,
  });
  const kept = all.data?.pages.find((page) => page.code === code) ?? NOTHING;
  return {
    ...kept,
    // What has just been marked is seen at once.
    highlights: highlighting.isPending ? highlighting.variables : kept.highlights,
    ready: all.isSuccess,
    noting,
    highlighting,
    reading,
  };
}
