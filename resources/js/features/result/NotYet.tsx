import { useMutation } from '@tanstack/react-query';
import { useEffect } from 'react';
import { api, ask, Refused } from '../../api/client';
import { Button, ButtonLink } from '../../ui/Button';
import { Empty } from '../../ui/Empty';
import { Failure } from '../../ui/Failure';
import { Loading } from '../../ui/Loading';

/** Why a result cannot be told yet, and the way on. */
export function NotYet({ sitting, error, again }: { sitting: string; error: Error; again: () => void }) {
  const closing = useMutation({
    mutationFn: () => ask(api.POST('/api/sittings/{sitting}/close', { params: { path: { sitting } } })),
    onSuccess: again,
  });
  const reason = error instanceof Refused ? error.problem.reason : undefined;
  const { mutate: close } = closing;
  // Nobody holds anything of it any more, so there is nothing to ask.
  useEffect(() => {
    if (reason === 'to_be_closed') close();
  }, [reason, close]);

  if (closing.isError) return <Failure error={closing.error} retry={() => close()} />;
  switch (reason) {
    case 'to_be_closed':
      return <Loading what="Marking your test" />;
    case 'waits_for_device':
      return (
        <div className="grid max-w-2xl gap-4">
          <h1 className="text-2xl font-bold">Time ran out, and this test waits for its device</h1>
          <p>
            The phone or computer it was open on had no contact then, and may still hold answers that were made in time.
            Open the test there: they count, up to seven days later. Once it is closed, nothing more is taken.
          </p>
          <div className="flex flex-wrap gap-3">
            <ButtonLink weight="main" to={`/sit/${sitting}`}>
              It was this device: open it
            </ButtonLink>
            <Button busy={closing.isPending} onClick={() => close()}>
              Close it and see the result
            </Button>
          </div>
        </div>
      );
    case 'not_handed_in':
      return (
        <Empty title="This sitting has not been handed in yet.">
          <ButtonLink weight="main" to={`/sit/${sitting}`}>
            Go on with it
          </ButtonLink>
        </Empty>
      );
    case 'held_back':
      return (
        <Empty title="This result waits.">
          <p>{error.message}</p>
          <ButtonLink to="/tests">All tests</ButtonLink>
        </Empty>
      );
    default:
      return <Failure error={error} retry={again} />;
  }
}
