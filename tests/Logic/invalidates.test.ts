import { QueryObserver } from '@tanstack/react-query';
import { expect, test } from 'vitest';
import { EVERYTHING, queries } from '../../resources/js/api/queries';

type Meta = Parameters<ReturnType<typeof queries.getMutationCache>['build']>[1]['meta'];

/** Makes a change while a screen shows two queries; says which are stale after it, and how often each was asked. */
async function changed(meta: Meta, does: () => Promise<unknown>) {
  const asked = { today: 0, plan: 0 };
  const leave = (['today', 'plan'] as const).map((what) => {
    queries.setQueryData([what, 'exam'], 0);
    const options = { queryKey: [what, 'exam'], queryFn: () => ++asked[what], staleTime: Infinity };
    return new QueryObserver(queries, options).subscribe(() => undefined);
  });
  await queries
    .getMutationCache()
    .build(queries, { mutationFn: does, ...(meta && { meta }) })
    .execute(undefined)
    .catch(() => undefined);
  const stale = ['today', 'plan'].map((what) => queries.getQueryState([what, 'exam'])?.isInvalidated);
  for (const go of leave) go();
  queries.clear();
  return { stale, asked };
}

const done = () => Promise.resolve();

test('a change makes stale what it names, and what is shown of that is asked for again', async () => {
  expect(await changed({ invalidates: [['today']] }, done)).toEqual({
    stale: [false, false],
    asked: { today: 1, plan: 0 },
  });
  expect((await changed({ invalidates: EVERYTHING }, done)).asked).toEqual({ today: 1, plan: 1 });
  expect((await changed(undefined, done)).asked).toEqual({ today: 0, plan: 0 });
});

test('so does one that was refused', async () => {
  const refused = () => Promise.reject(new Error('no'));
  expect((await changed({ invalidates: [['plan']] }, refused)).asked).toEqual({ today: 0, plan: 1 });
});

test('whoever goes to another screen with it waits for nothing that is shown here', async () => {
  expect(await changed({ invalidates: [['today']], leaves: true }, done)).toEqual({
    stale: [true, false],
    asked: { today: 0, plan: 0 },
  });
});
