import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Unreachable } from '../../../api/client';
import { session, TESTS } from '../../../api/queries';
import { Button } from '../../../ui/Button';
import { bytes, count } from '../../../ui/words';
import { takeTest } from './take';

/** Takes tests along on this device that are not open: one that there is, or some that are made for it. */
export function TakeTests(props: {
  /** Makes them, one after the other, or names those that there are: ids of sittings. */
  make: () => Promise<string>;
  /** How many. */
  tests: number;
  label: string;
  disabled?: boolean;
}) {
  const owner = useQuery(session).data?.user?.email ?? '';
  const [share, setShare] = useState(0);
  const taking = useMutation({
    mutationFn: async () => {
      let size = 0;
      for (let i = 0; i < props.tests; i++) {
        const pack = await takeTest(owner, await props.make(), (part) => setShare((i + part) / props.tests));
        size += pack.bytes;
        setShare((i + 1) / props.tests);
      }
      return size;
    },
    networkMode: 'always',
    meta: { invalidates: [...TESTS, ['on this device']] },
  });
  return (
    <span className="inline-flex flex-wrap items-center gap-x-3 gap-y-1">
      <Button
        small
        busy={taking.isPending}
        disabled={props.disabled || owner === '' || taking.isSuccess}
        onClick={() => taking.mutate()}
      >
        {props.label}
      </Button>
      {taking.isPending && <progress className="w-32" value={share} max={1} aria-label="Fetching what it needs" />}
      {taking.isSuccess && (
        <span role="status">
          {props.tests === 1 ? 'On this device' : `${count(props.tests, 'test')} on this device`}: {bytes(taking.data)}.
        </span>
      )}
      {taking.error && (
        <span role="alert" className="text-error">
          {taking.error instanceof Unreachable
            ? 'For this the server must be reached. Try again when it is.'
            : taking.error.message}
        </span>
      )}
    </span>
  );
}
