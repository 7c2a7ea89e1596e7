import { useMutation } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { api, ask, Refused } from '../../api/client';
import { EVERYTHING } from '../../api/queries';
import { Button } from '../../ui/Button';
import { Failure } from '../../ui/Failure';
import { Notice } from '../../ui/Notice';

interface Asked {
  sitting: string;
  /** Questions whose answers would be shown; null: all of the sitting. */
  positions: readonly number[] | null;
  show: string;
  again: () => void;
}

/** Why answers are not shown: they would give away what is still new, or what a running test asks. */
export function Covered({ error, ...asked }: Asked & { error: Error }) {
  const reason = error instanceof Refused ? error.problem.reason : undefined;
  if (reason === 'held_back') return <Notice tone="warn">{error.message}</Notice>;
  if (reason === 'still_new') return <StillNew {...asked}>{error.message}</StillNew>;
  return <Failure error={error} retry={asked.again} />;
}

/** What one has not answered is new no more once its answer is seen, so it is asked for. */
export function StillNew({ sitting, positions, show, children }: Omit<Asked, 'again'> & { children: ReactNode }) {
  const showing = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/sittings/{sitting}/exposures', {
          params: { path: { sitting } },
          body: { positions: positions && [...positions] },
        }),
      ),
    // Pools and counts have changed with it, and what was asked for is told now.
    meta: { invalidates: EVERYTHING },
  });
  return (
    <div className="grid gap-3">
      <Notice
        action={
          <Button small busy={showing.isPending} onClick={() => showing.mutate()}>
            {show}
          </Button>
        }
      >
        {children}
      </Notice>
      {showing.isError && <Failure error={showing.error} />}
    </div>
  );
}
