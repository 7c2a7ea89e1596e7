import { expect, test } from 'vitest';
import { ask, Refused, Unreachable } from '../../resources/js/api/client';

test('answers of the server become data or one of two errors', async () => {
  const response = (status: number) => new Response(null, { status });
  await expect(ask(Promise.resolve({ data: { a: 1 }, response: response(200) }))).resolves.toEqual({ a: 1 });
  const problem = {
    message: 'Choose at least one topic.',
    reason: 'invalid',
    fields: { topics: ['Choose at least one topic.'] },
  };
  const refused = await ask(Promise.resolve({ error: problem, response: response(422) })).catch(
    (error: unknown) => error,
  );
  expect(refused).toBeInstanceOf(Refused);
  expect((refused as Refused).field('topics')).toBe('Choose at least one topic.');
  expect((refused as Refused).field('count')).toBeUndefined();
  await expect(ask(Promise.reject(new TypeError('Failed to fetch')))).rejects.toBeInstanceOf(Unreachable);
});
