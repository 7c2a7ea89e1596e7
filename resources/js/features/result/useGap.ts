import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, ask, type View } from '../../api/client';
import { result, review } from '../../api/queries';
import type { Line } from './lines';

/** Says of a question why it went wrong, or whether it belongs into the gap book. */
export function useGap(sitting: string) {
  const known = useQueryClient();
  return useMutation({
    mutationFn: ({ position, said }: { position: number; said: View<'Gap'> }) =>
      ask(
        api.PUT('/api/sittings/{sitting}/questions/{position}/gap', {
          params: { path: { sitting, position } },
          body: said,
        }),
      ),
    onSuccess: (_, { position, said }) => {
      const changed = (line: Line): Line =>
        line.position === position
          ? {
              ...line,
              ...('cause' in said && { cause: said.cause ?? null }),
              ...(said.inBook !== undefined && { inGapBook: said.inBook }),
            }
          : line;
      known.setQueryData(result(sitting).queryKey, (old) => old && { ...old, questions: old.questions.map(changed) });
      known.setQueryData(review(sitting).queryKey, (old) => old && { ...old, items: old.items.map(changed) });
      void known.invalidateQueries({ queryKey: ['today'] });
    },
  });
}
