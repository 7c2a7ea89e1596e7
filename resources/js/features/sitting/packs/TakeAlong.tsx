import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Unreachable } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { bytes, dayTime } from '../../../ui/words';
import type { SittingStore, Snapshot } from '../sittingStore';
import { giveBack, take } from './take';

/** Takes a sitting along on this device, to go on with it where there is no connection. */
export function TakeAlong({ owner, store, now }: { owner: string; store: SittingStore; now: Snapshot }) {
  const [share, setShare] = useState(0);
  const { sitting, pack, link } = now;
  const taking = useMutation({
    mutationFn: async () => {
      if (!sitting) return;
      await store.flush();
      store.took(await take(owner, store.name, sitting, store.state(), setShare));
    },
    networkMode: 'always',
  });
  const giving = useMutation({
    mutationFn: async () => {
      await store.flush();
      await giveBack(sitting?.briefing.id ?? '');
      store.took(null);
    },
    networkMode: 'always',
  });
  if (!sitting) return null;
  const { mode, pausable, limitMs, questionMs, most } = sitting.briefing;
  if (most)
    return <p>The next question comes from the server, as your answer asks for it: this test cannot be taken along.</p>;
  if (questionMs !== null)
    return <p>Where each question has its own time, the server must be there: this test cannot be taken along.</p>;
  const failed = taking.error ?? giving.error;
  return (
    <div className="grid gap-3">
      {pack ? (
        <>
          <p role="status">
            <strong>This test is on this device</strong>, since {dayTime(pack.takenAt)}. It takes {bytes(pack.bytes)}
            {pack.starts
              ? ', and goes on without a connection, also when the page is closed and opened again.'
              : ', and goes on without a connection for as long as this page stays open: this browser does not keep the app itself.'}
          </p>
          <p>What you do is sent when there is a connection again. On another device you would be told first.</p>
        </>
      ) : (
        <p>
          For a train, a hut or a basement: the whole test, its pictures and sounds
          {mode === 'tutor' && ' and the reasons'}, kept on this device until you hand in, give it back or sign out.
        </p>
      )}
      {limitMs !== null && (
        <p className="border-l-4 border-warning pl-3">
          {pausable
            ? 'The clock counts the time in which this page is open. When it is closed, or the device sleeps for more than a minute, the clock stands.'
            : 'The clock goes on, whether the page is open or not. What reaches the server more than 5 seconds after the end does not count: be back before that.'}
        </p>
      )}
      {taking.isPending && (
        <progress className="w-full" value={share} max={1} aria-label="Fetching pictures and sounds" />
      )}
      {failed && (
        <p role="alert" className="text-error">
          {failed instanceof Unreachable
            ? 'For this the server must be reached. Try again when it is.'
            : failed.message}
        </p>
      )}
      <div>
        {pack ? (
          <Button small busy={giving.isPending} onClick={() => giving.mutate()}>
            Give it back
          </Button>
        ) : (
          <Button
            small
            weight="main"
            busy={taking.isPending}
            disabled={link.kind === 'away'}
            onClick={() => taking.mutate()}
          >
            Take it along
          </Button>
        )}
      </div>
    </div>
  );
}
