import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, ask } from '../../api/client';
import { result, review } from '../../api/queries';
import type { Cause } from './causes';
import type { Line } from './lines';

/** Names why a question went wrong; null takes the word back. */
export function useCause(sitting: string, position: number) {
  const tell = useTelling(sitting, position);
  return useMutation({
    mutationFn: (cause: Cause | null) =>
      ask(
        api.PUT('/api/sittings/{sitting}/questions/{position}/cause', {
          params: { path: { sitting, position } },
          body: { cause },
        }),
      ),
    scope: { id: `cause-${sitting}-${position}` },
    onSuccess: (_, cause) => tell({ cause }),
  });
}

/** Puts a question into the gap book, or takes it out. */
export function useGap(sitting: string, position: number) {
  const tell = useTelling(sitting, position);
  return useMutation({
    mutationFn: (inBook: boolean) =>
      ask(
        api.PUT('/api/sittings/{sitting}/questions/{position}/gap', {
          params: { path: { sitting, position } },
          body: { inBook },
        }),
      ),
    scope: { id: `gap-${sitting}-${position}` },
    onSuccess: (_, inGapBook) => tell({ inGapBook }),
  });
}

/** Result and review tell the same of a question. */
function useTelling(sitting: string, position: number) {
  const known = useQueryClient();
  return (said: Partial<Line>) => {
    const changed = (line: Line): Line => (line.position === position ? { ...line, ...said } : line);
    known.setQueryData(result(sitting).queryKey, (old) => old && { ...old, questions: old.questions.map(changed) });
    known.setQueryData(review(sitting).queryKey, (old) => old && { ...old, items: old.items.map(changed) });
    for (const what of ['today', 'gaps', 'revisits']) void known.invalidateQueries({ queryKey: [what] });
  };
}
