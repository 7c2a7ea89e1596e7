import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask, type View } from '../../api/client';
import { EVERYTHING, session } from '../../api/queries';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Failure } from '../../ui/Failure';
import { throwAwayOf } from './sync/queueStorage';

const LINK =
  'inline-flex min-h-11 items-center pointer-fine:min-h-9 cursor-pointer text-primary underline underline-offset-4';

/** The same test with pen and paper, for those who want it so: asked first, and taken back until answers are typed in. */
export function PaperChoice(props: {
  data: View<'Briefing'>;
  /** With the way to the printer. */
  print?: boolean;
  /** It is sat on screen after all. */
  onScreen?: () => void;
}) {
  const { data, print = false, onScreen } = props;
  const user = useQuery(session).data?.user?.email;
  const path = { params: { path: { sitting: data.id } } };
  const [asked, setAsked] = useState(false);
  const choosing = useMutation({
    mutationFn: () => ask(api.POST('/api/sittings/{sitting}/on-paper', path)),
    onSuccess: () => setAsked(false),
    meta: { invalidates: EVERYTHING },
  });
  const back = useMutation({
    mutationFn: () => ask(api.DELETE('/api/sittings/{sitting}/on-paper', path)),
    // What this device kept of it is of a sitting that never was.
    onSuccess: async () => {
      if (user) await throwAwayOf(user, data.id);
      onScreen?.();
    },
    meta: { invalidates: EVERYTHING },
  });
  const failed = choosing.error ?? back.error;
  return (
    <div className="grid gap-1">
      {failed && <Failure error={failed} />}
      <p className="flex flex-wrap gap-x-4">
        {print && (
          <Link to={`/print/${data.id}`} className={LINK}>
            Print it
          </Link>
        )}
        {!data.onPaper && data.status === 'not_started' && (
          <button type="button" className={LINK} onClick={() => setAsked(true)}>
            Sit it on paper
          </button>
        )}
        {data.onPaper && (
          <button type="button" className={LINK} disabled={back.isPending} onClick={() => back.mutate()}>
            Sit it on screen after all
          </button>
        )}
      </p>
      {data.onPaper && (
        <p className="text-base-content/75">
          You sit it on paper: booklet, answer sheet and key can be printed, and it counts as untimed.
        </p>
      )}
      {asked && (
        <Dialog
          title="Sit it on paper?"
          onClose={() => setAsked(false)}
          actions={
            <>
              <Button weight="main" busy={choosing.isPending} onClick={() => choosing.mutate()}>
                Sit it on paper
              </Button>
              <Button onClick={() => setAsked(false)}>Leave it on screen</Button>
            </>
          }
        >
          <p>
            To print it you need not: printing changes nothing. Sat on paper it has no clock on this screen and counts
            as untimed, its key can be printed before you hand in, and you type in your letters afterwards. You can take
            this back until you have typed in an answer.
          </p>
        </Dialog>
      )}
    </div>
  );
}
