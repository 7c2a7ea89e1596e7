import { expect, test, vi } from 'vitest';
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

test('whoever was quicker than the session is taken at the second try, with the new token and the same words', async () => {
  const heard: [string, string | null, string][] = [];
  let cookie = '';
  vi.stubGlobal('document', {
    get cookie() {
      return cookie;
    },
  });
  vi.stubGlobal('fetch', async (what: Request | string) => {
    const request = typeof what === 'string' ? null : what;
    heard.push([
      request ? new URL(request.url).pathname : String(what),
      request?.headers.get('X-XSRF-TOKEN') ?? null,
      request ? await request.text() : '',
    ]);
    if (!request) cookie = 'XSRF-TOKEN=new%3D';
    const status = request && request.headers.get('X-XSRF-TOKEN') !== 'new=' ? 419 : 200;
    return new Response(status === 419 ? '{"message":"x","reason":"expired","fields":{}}' : '{}', {
      status,
      headers: { 'Content-Type': 'application/json' },
    });
  });
  // The client takes the fetch there is when it is made.
  vi.resetModules();
  const { api, ask } = await import('../../resources/js/api/client');
  const body = { email: 'fern@corvane.example', password: 'over the saddle' };
  await expect(ask(api.POST('/api/session', { body }))).resolves.toEqual({});
  expect(heard).toEqual([
    ['/api/session', null, JSON.stringify(body)],
    ['/api/session', null, ''],
    ['/api/session', 'new=', JSON.stringify(body)],
  ]);
  vi.unstubAllGlobals();
});
