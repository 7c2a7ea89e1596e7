import { useMutation, useQuery } from '@tanstack/react-query';
import { api, ask, type View } from '../../api/client';
import { pagesKept } from '../../api/queries';

type PageKept = Pick<View<'PageKept'>, 'note' | 'highlights' | 'step' | 'finished'>;

/** What this page of the browser has told of reading: requests overtake each other, and the last is meant. */
const reader = Math.random().toString(36).slice(2);
let turn = 0;

const NOTHING: PageKept = { note: '', highlights: [], step: 0, finished: false };

/** What one keeps with a page of the handbook: a note, marks, and how far it was read. */
export function usePage(exam: string, code: string) {
  const params = { path: { exam, section: code } };
  const all = useQuery(pagesKept(exam));
  const meta = { invalidates: [pagesKept(exam).queryKey] };
  const noting = useMutation({
    mutationFn: (note: string) =>
      ask(api.PUT('/api/exams/{exam}/handbook/{section}/note', { params, body: { note }, keepalive: true })),
    scope: { id: `note-${exam}-${code}` },
    meta,
  });
  const highlighting = useMutation({
    mutationFn: (highlights: PageKept['highlights']) =>
      ask(api.PUT('/api/exams/{exam}/handbook/{section}/highlights', { params, body: { highlights } })),
    scope: { id: `highlights-${exam}-${code}` },
    meta,
  });
  const reading = useMutation({
    mutationFn: (body: Pick<PageKept, 'step' | 'finished'>) =>
      ask(
        api.PUT('/api/exams/{exam}/handbook/{section}/reading', {
          params,
          body: { ...body, reader, turn: turn++ },
          // Also when one leaves at once.
          keepalive: true,
        }),
      ),
    meta,
  });
  const kept = all.data?.pages.find((page) => page.code === code) ?? NOTHING;
  return {
    ...kept,
    // What has just been marked is seen at once.
    highlights: highlighting.isPending ? highlighting.variables : kept.highlights,
    step: reading.isPending ? reading.variables.step : kept.step,
    ready: all.isSuccess,
    noting,
    highlighting,
    reading,
  };
}
